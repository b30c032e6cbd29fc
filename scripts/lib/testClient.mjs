import { randomUUID } from 'node:crypto';
import { EventSourceParserStream } from 'eventsource-parser/stream';
import { PATIENCE_MS } from './patience.mjs';

/** @typedef {{ kind: string, events: { id: string }[] }} Frame */

/** @param {string} url */
const headersFor = (url) => ({ origin: url, 'content-type': 'application/json' });

/**
 * A screen as far as the server can tell, for benches and for tests of several servers.
 * @param {string} url
 * @param {string} login
 * @param {string} password
 */
export async function signedIn(url, login, password) {
  const answer = await fetch(`${url}/api/session`, {
    method: 'POST',
    headers: headersFor(url),
    body: JSON.stringify({ login, password }),
  });
  if (!answer.ok) throw new Error(`sign-in answered ${answer.status}`);
  // The head of the answer comes before the session is kept; its last byte comes after.
  await answer.arrayBuffer();
  return screenWith(url, (answer.headers.getSetCookie()[0] ?? '').split(';')[0] ?? '');
}

/**
 * @param {string} url
 * @param {string} cookie
 */
function screenWith(url, cookie) {
  /**
   * @param {string} path
   * @param {object} body
   */
  const post = async (path, body) => {
    const response = await fetch(url + path, {
      method: 'POST',
      headers: { ...headersFor(url), cookie },
      body: JSON.stringify(body),
      signal: AbortSignal.timeout(PATIENCE_MS),
    });
    return { status: response.status, body: /** @type {unknown} */ (await response.json()) };
  };
  return {
    post,
    /** @param {string} path */
    async get(path) {
      const response = await fetch(url + path, { headers: { cookie } });
      return { status: response.status, body: /** @type {any} */ (await response.json()) };
    },
    /** What a page exports. @param {string} path */
    async text(path) {
      const response = await fetch(url + path, { headers: { cookie } });
      return response.text();
    },
    /** The same browser at another address of the same shop's servers. @param {string} other */
    at: (other) => screenWith(other, cookie),
    /**
     * @param {string} ticket
     * @param {object} draft
     */
    record: (ticket, draft) => post(`/api/tickets/${ticket}/events`, draft),
    /**
     * Keeps a picture with a ticket.
     * @param {string} ticket
     * @param {Uint8Array} bytes a JPEG
     * @returns {Promise<string>} its name
     */
    async picture(ticket, bytes) {
      const response = await fetch(`${url}/api/tickets/${ticket}/photos`, {
        method: 'POST',
        headers: { cookie, origin: url, 'content-type': 'image/jpeg' },
        body: new Uint8Array(bytes),
      });
      const { photo } = /** @type {{ photo: string }} */ (await response.json());
      const kept = commandOf('photo-kept', { photo, words: '' });
      const { status } = await post(`/api/tickets/${ticket}/events`, kept);
      if (status !== 200) throw new Error(`the picture was refused: ${status}`);
      return photo;
    },
    /** @param {string} ticket @param {string} photo @returns {Promise<number>} its bytes */
    async preview(ticket, photo) {
      const path = `/api/tickets/${ticket}/photos/${photo}?size=small`;
      const response = await fetch(url + path, { headers: { cookie } });
      return response.ok ? (await response.arrayBuffer()).byteLength : 0;
    },
    /** @param {(frame: Frame) => void} onFrame @returns {Promise<() => void>} how to stop */
    async follow(onFrame) {
      const abort = new AbortController();
      const response = await fetch(`${url}/api/live`, {
        headers: { cookie },
        signal: abort.signal,
      });
      const messages = response.body
        ?.pipeThrough(new TextDecoderStream())
        .pipeThrough(new EventSourceParserStream());
      const read = async () => {
        for await (const { data } of messages ?? []) onFrame(JSON.parse(data));
      };
      read().catch(() => undefined);
      return () => abort.abort();
    },
  };
}

/**
 * A command as a screen would send it.
 * @param {string} type
 * @param {object} command
 */
export const commandOf = (type, command) => ({
  id: randomUUID(),
  type,
  command,
  epoch: 0,
  observedAt: new Date().toISOString(),
  device: 'test screen',
});

/** @param {string} words */
export const noteCommand = (words) => commandOf('observation-noted', { words });

/**
 * Takes a machine in.
 * @param {Awaited<ReturnType<typeof signedIn>>} screen
 * @param {number} tag
 * @param {string} [family]
 * @returns {Promise<string>} the ticket
 */
export async function takeIn(screen, tag, family = 'drop-in') {
  const ticket = randomUUID();
  const intake = commandOf('intake-taken', {
    family,
    label: `Bench ${tag}`,
    tag,
    shelf: 'Z',
    words: 'It skips.',
    customer: null,
  });
  const { status } = await screen.post('/api/tickets', {
    ticket,
    customer: null,
    drafts: [intake],
  });
  if (status !== 200) throw new Error(`taking in answered ${status}`);
  return ticket;
}

import { randomUUID } from 'node:crypto';

/** @typedef {{ kind: string, events: { id: string }[] }} Frame */

/**
 * A screen as far as the server can tell, for benches.
 * @param {string} url
 * @param {string} login
 * @param {string} password
 */
export async function signedIn(url, login, password) {
  const headers = { origin: url, 'content-type': 'application/json' };
  const answer = await fetch(`${url}/api/session`, {
    method: 'POST',
    headers,
    body: JSON.stringify({ login, password }),
  });
  if (!answer.ok) throw new Error(`sign-in answered ${answer.status}`);
  const cookie = (answer.headers.getSetCookie()[0] ?? '').split(';')[0] ?? '';
  /**
   * @param {string} path
   * @param {object} body
   */
  const post = async (path, body) => {
    const response = await fetch(url + path, {
      method: 'POST',
      headers: { ...headers, cookie },
      body: JSON.stringify(body),
      signal: AbortSignal.timeout(10_000),
    });
    await response.arrayBuffer();
    return { status: response.status };
  };
  return {
    post,
    /**
     * @param {string} ticket
     * @param {object} draft
     */
    record: (ticket, draft) => post(`/api/tickets/${ticket}/events`, draft),
    /** @param {(frame: Frame) => void} onFrame @returns {Promise<() => void>} how to stop */
    async follow(onFrame) {
      const abort = new AbortController();
      const response = await fetch(`${url}/api/live`, {
        headers: { cookie },
        signal: abort.signal,
      });
      const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader();
      const read = async () => {
        let rest = '';
        for (;;) {
          const chunk = await reader?.read();
          if (!chunk || chunk.done) return;
          rest += chunk.value;
          const parts = rest.split('\n\n');
          rest = parts.pop() ?? '';
          for (const part of parts) {
            if (part.startsWith('data: ')) onFrame(JSON.parse(part.slice(6)));
          }
        }
      };
      read().catch(() => undefined);
      return () => abort.abort();
    },
  };
}

/**
 * Takes a machine in.
 * @param {Awaited<ReturnType<typeof signedIn>>} screen
 * @param {number} tag
 * @returns {Promise<string>} the ticket
 */
export async function takeIn(screen, tag) {
  const ticket = randomUUID();
  const command = {
    family: 'drop-in',
    label: `Bench ${tag}`,
    tag,
    shelf: 'Z',
    words: 'It skips.',
    customer: null,
  };
  const draft = {
    id: randomUUID(),
    type: 'intake-taken',
    command,
    epoch: 0,
    observedAt: new Date().toISOString(),
    device: 'bench',
  };
  const { status } = await screen.post('/api/tickets', { ticket, customer: null, drafts: [draft] });
  if (status !== 200) throw new Error(`taking in answered ${status}`);
  return ticket;
}

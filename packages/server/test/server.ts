import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { EventSourceParserStream } from 'eventsource-parser/stream';
import { connect, type DatabaseSettings, type Running, runServer } from '../src/index.ts';
import { freshDatabase } from './database.ts';
import { makeShop, type TestPerson, type TestShop } from './shop.ts';

export interface TestServer {
  readonly url: string;
  readonly shop: TestShop;
  readonly otherShop: TestShop;
  readonly database: DatabaseSettings;
  readonly log: readonly string[];
  /** Folder of the pictures. */
  readonly photos: string;
  stop(): Promise<void>;
}

/** Of the metrics. */
export const METRICS_SECRET = 'a secret of the metrics';

/** A real server on a database of its own, with two shops. */
export async function startTestServer(): Promise<TestServer> {
  const database = await freshDatabase();
  const db = connect(database, database.app, 2);
  const shop = await makeShop(db);
  const otherShop = await makeShop(db);
  await db.close();
  const log: string[] = [];
  const photos = mkdtempSync(join(tmpdir(), 'nodo-photos-'));
  const { owner: _owner, ...withoutOwner } = database;
  const running: Running = await runServer(
    {
      host: '127.0.0.1',
      port: 0,
      names: [],
      webRoot: '/nonexistent',
      photos,
      sessionSecret: 'x'.repeat(40),
      metricsSecret: METRICS_SECRET,
      database: withoutOwner,
    },
    {
      now: () => new Date(),
      zone: 'Europe/Vienna',
      wait: () => Promise.resolve(),
      room: () => Promise.resolve(1e12),
      log: (entry) => log.push(JSON.stringify(entry)),
    },
  );
  return {
    url: `http://127.0.0.1:${running.port}`,
    shop,
    otherShop,
    database,
    log,
    photos,
    stop: async () => {
      await running.stop();
      rmSync(photos, { recursive: true, force: true });
    },
  };
}

export interface Answer {
  readonly status: number;
  readonly body: unknown;
  readonly headers: Headers;
}

/** A browser with a cookie, as far as the server can tell. */
export class Client {
  cookie = '';

  constructor(private readonly url: string) {}

  static async signedIn(url: string, person: TestPerson): Promise<Client> {
    const client = new Client(url);
    const { login, password } = person;
    const { status } = await client.call('POST', '/api/session', { login, password });
    if (status !== 200) throw new Error(`sign-in answered ${status}`);
    return client;
  }

  async call(
    method: string,
    path: string,
    body?: unknown,
    headers: Readonly<Record<string, string>> = {},
  ): Promise<Answer> {
    const response = await fetch(this.url + path, {
      method,
      headers: {
        origin: this.url,
        cookie: this.cookie,
        ...(body === undefined ? {} : { 'content-type': typeOf(body) }),
        ...headers,
      },
      ...(body === undefined
        ? {}
        : { body: typeof body === 'string' || isPicture(body) ? body : JSON.stringify(body) }),
    });
    const set = response.headers.getSetCookie()[0];
    if (set !== undefined) this.cookie = set.split(';')[0] ?? '';
    const text = await response.text();
    return {
      status: response.status,
      body:
        text.startsWith('{') || text.startsWith('[') || text === 'null'
          ? (JSON.parse(text) as unknown)
          : text,
      headers: response.headers,
    };
  }

  /** What a browser shows as a picture. */
  async read(path: string): Promise<{ readonly headers: Headers; readonly bytes: Buffer }> {
    const response = await fetch(this.url + path, { headers: { cookie: this.cookie } });
    return { headers: response.headers, bytes: Buffer.from(await response.arrayBuffer()) };
  }

  /** Opens the live stream; `frames` fills as they come. */
  async follow(): Promise<{
    readonly frames: Record<string, unknown>[];
    isOver(): boolean;
    stop(): void;
  }> {
    const abort = new AbortController();
    const response = await fetch(`${this.url}/api/live`, {
      headers: { cookie: this.cookie },
      signal: abort.signal,
    });
    const frames: Record<string, unknown>[] = [];
    let over = false;
    const read = async (): Promise<void> => {
      const messages = response.body
        ?.pipeThrough(new TextDecoderStream())
        .pipeThrough(new EventSourceParserStream());
      for await (const { data } of messages ?? []) {
        frames.push(JSON.parse(data) as Record<string, unknown>);
      }
      over = true;
    };
    read().catch(() => undefined);
    return { frames, isOver: () => over, stop: () => abort.abort() };
  }
}

function isPicture(body: unknown): body is Buffer<ArrayBuffer> {
  return Buffer.isBuffer(body);
}

function typeOf(body: unknown): string {
  return isPicture(body) ? 'image/jpeg' : 'application/json';
}

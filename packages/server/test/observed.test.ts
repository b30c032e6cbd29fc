import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ADDRESSES, pathTo } from '@nodo/api';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { connect, runServer } from '../src/index.ts';
import type { LogEntry } from '../src/log.ts';
import { asSuper, freshDatabase } from './database.ts';
import { Client, METRICS_SECRET } from './server.ts';
import { makeShop, type TestShop } from './shop.ts';

const DRAIN_MS = 60_000;

let shop: TestShop;
let database: Awaited<ReturnType<typeof freshDatabase>>;
const folder = mkdtempSync(join(tmpdir(), 'nodo-observed-'));
const log: LogEntry[] = [];

async function start(drainMs = 0, wait = (_ms: number) => Promise.resolve()) {
  const { owner: _owner, ...withoutOwner } = database;
  const running = await runServer(
    {
      host: '127.0.0.1',
      port: 0,
      names: ['nodo.example'],
      proxies: 1,
      webRoot: '/nonexistent',
      photos: folder,
      sessionSecret: 'x'.repeat(40),
      metricsSecret: METRICS_SECRET,
      logsRequests: true,
      drainMs,
      database: withoutOwner,
    },
    {
      now: () => new Date(),
      zone: 'Europe/Vienna',
      wait,
      room: () => Promise.resolve(1e12),
      log: (entry) => log.push(entry),
    },
  );
  return { ...running, url: `http://127.0.0.1:${running.port}` };
}

beforeAll(async () => {
  database = await freshDatabase();
  const db = connect(database, database.app, 2);
  shop = await makeShop(db);
  await db.close();
});
afterAll(() => rmSync(folder, { recursive: true }));

const metricsOf = (url: string, secret = METRICS_SECRET) =>
  new Client(url).call('GET', ADDRESSES.readMetrics.path, undefined, {
    authorization: `Bearer ${secret}`,
  });

/** The samples of an exposition, as the text format of OpenMetrics 1.0 says it; a line of another form fails. */
function samplesOf(text: string): ReadonlyMap<string, number> {
  const lines = text.trimEnd().split('\n');
  expect(lines.at(-1)).toBe('# EOF');
  const samples = new Map<string, number>();
  for (const line of lines.slice(0, -1)) {
    if (/^# (HELP|TYPE|UNIT) [a-zA-Z_:][\w:]* .+$/.test(line)) continue;
    const [, name, value] =
      /^([a-zA-Z_:][\w:]*(?:\{(?:\w+="(?:[^"\\\n]|\\.)*",?)*\})?) (-?[\d.e+-]+|[+-]Inf|NaN)$/.exec(
        line,
      ) ?? [];
    expect(name, line).toBeDefined();
    samples.set(name ?? '', Number(value));
  }
  return samples;
}

describe('metrics', () => {
  it('are read by whoever has their secret, in the form that collectors know', async () => {
    const server = await start();
    expect((await metricsOf(server.url, 'another secret')).status).toBe(401);
    const lead = await Client.signedIn(server.url, shop.people.lead);
    await lead.call('GET', ADDRESSES.listTickets.path);
    const stream = await lead.follow();
    const { status, body, headers } = await metricsOf(server.url);
    expect(status).toBe(200);
    expect(headers.get('content-type')).toContain('application/openmetrics-text; version=1.0.0');
    const samples = samplesOf(body as string);
    const answered = (route: string, code: number) =>
      samples.get(
        `nodo_http_request_duration_seconds_count{method="GET",route="${route}",status="${code}"}`,
      );
    expect(answered(ADDRESSES.listTickets.path, 200)).toBe(1);
    expect(answered(ADDRESSES.readMetrics.path, 401)).toBe(1);
    expect(samples.get('nodo_live_screens')).toBe(1);
    expect(samples.get('nodo_hears_others')).toBe(1);
    expect(samples.get('process_resident_memory_bytes')).toBeGreaterThan(1e7);
    expect(
      samples.get('nodo_database_connections{pool="app",state="waiting"}'),
    ).toBeGreaterThanOrEqual(0);
    // Nobody is named: neither by id nor by name.
    expect(body).not.toMatch(new RegExp(`${shop.id}|${shop.people.lead.login}`));
    stream.stop();
    await server.stop();
  });
});

describe('each answer', () => {
  it('is a line of the log with its name, and without what stands in the address', async () => {
    const server = await start();
    log.length = 0;
    const lead = await Client.signedIn(server.url, shop.people.lead);
    const secret = 'A'.repeat(43);
    const given = { 'x-request-id': 'from-the-proxy-7' };
    const { headers } = await lead.call(
      'GET',
      pathTo('readFeed', { token: secret }),
      undefined,
      given,
    );
    expect(headers.get('x-request-id')).toBe('from-the-proxy-7');
    const strange = await lead.call('GET', ADDRESSES.listTickets.path, undefined, {
      'x-request-id': 'a b"c',
    });
    expect(strange.headers.get('x-request-id')).toMatch(/^[0-9a-f-]{36}$/);
    await expect.poll(() => log.length).toBe(3);
    expect(log[1]).toMatchObject({
      level: 'info',
      event: 'answered',
      request: 'from-the-proxy-7',
      method: 'GET',
      route: ADDRESSES.readFeed.path,
      status: 404,
    });
    expect(log[2]).toMatchObject({ shop: shop.id, status: 200 });
    expect(JSON.stringify(log)).not.toContain(secret);
    await server.stop();
  });
});

describe('behind a proxy', () => {
  it('a page of its address may change things, and a cookie goes over TLS alone', async () => {
    const server = await start();
    const client = new Client(server.url);
    const { login, password } = shop.people.lead;
    const through = {
      host: 'nodo.example',
      origin: 'https://nodo.example',
      'x-forwarded-proto': 'https',
      'x-forwarded-for': '203.0.113.9',
    };
    // fetch does not let a page say its host: the name is the loopback's, the scheme the proxy's.
    const origin = server.url.replace('http:', 'https:');
    const signedIn = await client.call(
      'POST',
      ADDRESSES.signIn.path,
      { login, password },
      { ...through, origin },
    );
    expect(signedIn.status).toBe(200);
    expect(signedIn.headers.getSetCookie()[0]).toMatch(/Secure/);
    const foreign = await client.call('POST', ADDRESSES.lookAt.path, {}, { ...through });
    expect(foreign.body).toMatchObject({ code: 'foreign-origin' });
    await server.stop();
  });
});

describe('a process that is told to stop', () => {
  it('says at once that it takes nobody more, and serves on who still comes', async () => {
    let end: () => void = () => undefined;
    const waited: number[] = [];
    const server = await start(DRAIN_MS, (ms) => {
      waited.push(ms);
      return new Promise((resolve) => {
        end = resolve;
      });
    });
    const lead = await Client.signedIn(server.url, shop.people.lead);
    const stopped = server.stop();
    expect(waited).toEqual([DRAIN_MS]);
    const ready = await new Client(server.url).call('GET', ADDRESSES.readReadiness.path);
    expect(ready.status).toBe(503);
    expect((await lead.call('GET', ADDRESSES.listTickets.path)).status).toBe(200);
    end();
    await stopped;
    await expect(lead.call('GET', ADDRESSES.listTickets.path)).rejects.toThrow();
  });
});

describe('a process and the version of the tables', () => {
  it('does not start on older ones, and works on with newer ones', async () => {
    await asSuper(database.name, "insert into migration (name) values ('0999-of-a-newer-one')");
    const server = await start();
    expect((await new Client(server.url).call('GET', ADDRESSES.readReadiness.path)).status).toBe(
      200,
    );
    await server.stop();
    await asSuper(database.name, "delete from migration where name = '0021-several'");
    await expect(start()).rejects.toThrow(
      'The tables are older than this version: run the migrations (0021-several)',
    );
    await asSuper(database.name, "insert into migration (name) values ('0021-several')");
    // As the versions before had it.
    await asSuper(database.name, 'revoke select on migration from nodo_app');
    await expect(start()).rejects.toThrow('run the migrations (0021-several)');
    await asSuper(database.name, 'grant select on migration to nodo_app');
  });
});

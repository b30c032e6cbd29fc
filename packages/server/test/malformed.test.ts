import { randomUUID } from 'node:crypto';
import { ADDRESSES, ENDPOINTS, type EndpointName, type TicketFile } from '@nodo/api';
import { seeded } from '@nodo/core';
import { refusal } from '@nodo/kernel';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { callsAbout, NOTHING } from './calls.ts';
import { Client, startTestServer, type TestServer } from './server.ts';
import { commandOf, intakeCommand } from './shop.ts';
import { type Json, wellFormed } from './wellFormed.ts';

let server: TestServer;
let lead: Client;
let ticket: string;
beforeAll(async () => {
  server = await startTestServer();
  lead = await Client.signedIn(server.url, server.shop.people.lead);
  ticket = randomUUID();
  await lead.call('POST', '/api/tickets', { ticket, customer: null, drafts: [intakeCommand()] });
});
afterAll(() => server.stop());

/** The full count is the bench's (`npm run bench -- faults`). */
const TIMES = Number(process.env.NODO_MALFORMED ?? 300);
const draw = seeded(20_261_125);
const pick = <Item>(items: readonly Item[]): Item => {
  const item = items[Math.floor(draw() * items.length)];
  if (item === undefined) throw new Error('nothing to pick from');
  return item;
};

const deep = (levels: number): Json => (levels === 0 ? 'x' : [deep(levels - 1)]);

/** What no field of ours wants, and what databases and parsers trip over. */
const JUNK: readonly (() => Json)[] = [
  () => null,
  () => true,
  () => -1,
  () => 1e308,
  () => 0.5,
  () => '',
  () => ' ',
  () => 'a\u0000b',
  () => '\ud800',
  () => 'x'.repeat(5_000),
  () => '’ or 1=1; --',
  () => '../../secrets',
  () => '2026-13-45T99:99:99Z',
  () => [],
  () => ({}),
  () => deep(400),
  () => JSON.parse('{"__proto__": {"role": "lead"}, "constructor": 1}') as Json,
];

/** Well formed, and yet nothing that a calendar or a column holds. */
const IMPOSSIBLE: readonly Json[] = [
  '0000-01-01T00:00:00Z',
  '0000-01-01',
  '9999-12-31T23:59:59-23:59',
  2_147_483_648,
  Number.MAX_SAFE_INTEGER,
];

/** The body once for each text and number in it, with that one replaced. */
function replacedIn(body: Json, value: Json): readonly Json[] {
  const paths: (readonly string[])[] = [];
  const visit = (node: Json, path: readonly string[]): void => {
    if (node !== null && typeof node === 'object') {
      for (const [key, inner] of Object.entries(node)) visit(inner, [...path, key]);
    } else if (typeof node === typeof value) paths.push(path);
  };
  visit(body, []);
  return paths.map((path) => {
    const copy = structuredClone(body);
    let holder = copy as Record<string, Json>;
    for (const key of path.slice(0, -1)) holder = holder[key] as Record<string, Json>;
    holder[path.at(-1) ?? ''] = value;
    return copy;
  });
}

/** The body with one place of it spoiled. */
function spoiled(body: Json): Json {
  if (draw() < 0.05) return pick(JUNK)();
  const copy = structuredClone(body);
  const places: (() => void)[] = [];
  const visit = (node: Json): void => {
    if (node === null || typeof node !== 'object') return;
    const holder = node as Record<string, Json>;
    for (const key of Object.keys(holder)) {
      places.push(
        () => {
          holder[key] = pick(JUNK)();
        },
        () => {
          if (Array.isArray(node)) node.splice(Number(key), 1);
          else Reflect.deleteProperty(holder, key);
        },
        () => {
          holder[`${key}x`] = holder[key] ?? null;
        },
      );
      visit(holder[key] ?? null);
    }
  };
  visit(copy);
  if (places.length > 0) pick(places)();
  return copy;
}

describe('malformed bodies', () => {
  it('are tried on every route that takes one, but for the one that takes a picture', () => {
    const taking = Object.entries(ENDPOINTS)
      .filter(([, { method, body }]) => method === 'POST' && !body.safeParse({}).success)
      .map(([name]) => name);
    const tried = wellFormed(ticket, pick).map((make) => make().name);
    expect(taking.filter((name) => !tried.some((one) => one === name))).toEqual(['keepPhoto']);
  });

  it(`are refused with code and path, ${TIMES} of them, and never a fault of the server`, async () => {
    const all = wellFormed(ticket, pick);
    let refused = 0;
    for (let time = 0; time < TIMES; time += 1) {
      const { name, path, body } = pick(all)();
      const given = spoiled(body);
      const isWellFormed = ENDPOINTS[name].body.safeParse(given).success;
      const answer = await lead.call('POST', path, JSON.stringify(given));
      const told = `${name} ${JSON.stringify(given).slice(0, 300)}`;
      expect(answer.status, told).toBeLessThan(500);
      if (answer.status >= 400) expect(refusal.safeParse(answer.body).success, told).toBe(true);
      if (isWellFormed) continue;
      refused += 1;
      expect(answer, told).toMatchObject({ status: 400, body: { code: 'bad-input' } });
      const isWhole = typeof given !== 'object' || given === null || Array.isArray(given);
      if (!isWhole) expect((answer.body as { path: string }).path, told).not.toBe('');
    }
    expect(refused).toBeGreaterThan(TIMES / 3);
    expect(server.log).toEqual([]);
    // Nobody was signed out by it, and the ticket can still be read.
    expect((await lead.call('GET', `/api/tickets/${ticket}`)).status).toBe(200);
  });
});

describe('a body that is not what a route takes', () => {
  it.each(['text/plain', 'application/x-www-form-urlencoded', 'application/xml', 'image/jpeg'])(
    'is refused as none: %s',
    async (type) => {
      for (const make of wellFormed(ticket, pick)) {
        const { name, path, body } = make();
        if (ENDPOINTS[name].takes !== undefined) continue;
        const headers = { 'content-type': type };
        const answer = await lead.call('POST', path, JSON.stringify(body), headers);
        expect(answer, name).toMatchObject({ status: 400, body: { code: 'bad-input' } });
      }
    },
  );
});

describe('values that are well formed and yet impossible', () => {
  it('are refused wherever they stand, and never a fault of the server', async () => {
    let tried = 0;
    for (const make of wellFormed(ticket, pick)) {
      const { path, body } = make();
      for (const value of IMPOSSIBLE) {
        for (const given of replacedIn(body, value)) {
          const answer = await lead.call('POST', path, JSON.stringify(given));
          expect(answer.status, `${path} ${JSON.stringify(given)}`).toBeLessThan(500);
          tried += 1;
        }
      }
    }
    expect(tried).toBeGreaterThan(300);
    expect(server.log).toEqual([]);
  });

  it('are refused as cursors', async () => {
    const id = randomUUID();
    for (const at of [
      '0000-01-01T00:00:00Z',
      '2026-13-01T00:00:00Z',
      '----',
      '2026-01-01T99:00Z',
    ]) {
      for (const list of [ADDRESSES.readAudit, ADDRESSES.listCollected]) {
        const answer = await lead.call('GET', `${list.path}?before=${at}%20${id}`);
        expect(answer, `${list.path} ${at}`).toMatchObject({
          status: 400,
          body: { code: 'bad-input', path: 'params.before' },
        });
      }
    }
  });
});

describe('what is acknowledged is what is stored', () => {
  const events = async () =>
    ((await lead.call('GET', `/api/tickets/${ticket}`)).body as TicketFile).events;

  it('names of devices without what the database cannot hold', async () => {
    const path = `/api/tickets/${ticket}/events`;
    const odd = { ...commandOf('observation-noted', { words: 'x' }), device: 'bench\u0000two' };
    const before = await events();
    expect(await lead.call('POST', path, odd)).toMatchObject({
      status: 400,
      body: { code: 'bad-input', path: 'device' },
    });
    expect(await events()).toEqual(before);
    const kept = { ...commandOf('observation-noted', { words: 'x' }), device: ' Bänch 両 ' };
    const answer = await lead.call('POST', path, kept);
    expect((await events()).at(-1)).toEqual(answer.body);
  });

  it('ids in capitals as the same ids', async () => {
    const id = randomUUID();
    const capital = id.toUpperCase();
    const body = { ticket: capital, customer: null, drafts: [intakeCommand()] };
    expect(await lead.call('POST', '/api/tickets', body)).toMatchObject({
      status: 200,
      body: { ticket: id },
    });
    const rack = (await lead.call('GET', '/api/tickets')).body as { ticket: string }[];
    expect(rack.map((line) => line.ticket)).toContain(id);
    const noted = commandOf('observation-noted', { words: 'x' });
    await lead.call('POST', `/api/tickets/${capital}/events`, noted);
    const file = (await lead.call('GET', `/api/tickets/${id}`)).body as TicketFile;
    expect(file.events).toHaveLength(2);
  });
});

/** What stands where an id or a cursor should, as it stands in an address. */
const NO_IDS: readonly string[] = [
  'x',
  '1e9',
  '%00',
  '%ED%A0%80',
  '%E0%A4%A',
  '..%2F..%2Fsecrets',
  "'%20or%201%3D1",
  '%F0%9F%A7%B5',
  'a'.repeat(4_000),
  '00000000-0000-0000-0000-00000000000g',
];

describe('malformed addresses', () => {
  it('are refused with code and path on every route that takes something in its address', async () => {
    const withIds = (Object.keys(ADDRESSES) as EndpointName[]).filter((name) =>
      ADDRESSES[name].path.includes(':'),
    );
    expect(withIds.length).toBeGreaterThan(9);
    for (const name of withIds) {
      const { method, path: pattern } = ADDRESSES[name];
      const { body } = callsAbout(NOTHING)[name]();
      for (const param of pattern.match(/:[a-z]+/g) ?? []) {
        for (const junk of NO_IDS) {
          const path = pattern
            .replace(param, junk)
            .replaceAll(/:[a-z]+/g, (other) => NOTHING[other.slice(1) as keyof typeof NOTHING]);
          const answer = await lead.call(method, path, body);
          const told = `${name} ${path.slice(0, 120)}`;
          expect(refusal.safeParse(answer.body).success, told).toBe(true);
          expect([told, answer.status]).toEqual([told, 400]);
          expect(answer.body, told).toMatchObject({
            code: 'bad-input',
            path: expect.stringMatching(/^(params\.[a-z]+|url)$/) as string,
          });
        }
      }
    }
    const cursor = (before: string) => lead.call('GET', `${ADDRESSES.readAudit.path}?${before}`);
    for (const given of ['before=x', 'before=%00', 'person=x', 'before=1&before=2']) {
      expect((await cursor(given)).body, given).toMatchObject({ code: 'bad-input' });
    }
    expect(server.log).toEqual([]);
  });
});

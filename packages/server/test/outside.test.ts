import { randomUUID } from 'node:crypto';
import { type AccessToken, ADDRESSES, ENDPOINTS, type EndpointName, pathTo } from '@nodo/api';
import ICAL from 'ical.js';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { callsAbout, NOTHING } from './calls.ts';
import { asSuper } from './database.ts';
import { jpeg } from './jpeg.ts';
import { Client, startTestServer, type TestServer } from './server.ts';
import type { TestPerson } from './shop.ts';
import { commandOf, intakeCommand } from './shop.ts';

let server: TestServer;
let lead: Client;
beforeAll(async () => {
  server = await startTestServer();
  lead = await Client.signedIn(server.url, server.shop.people.lead);
});
afterAll(() => server.stop());

const takeIn = async (label: string, promised?: string) => {
  const ticket = randomUUID();
  const drafts = [intakeCommand({ label })];
  await lead.call('POST', '/api/tickets', { ticket, customer: null, drafts });
  if (promised !== undefined) {
    const entry = commandOf('day-promised', { day: promised });
    const { status, body } = await lead.call('POST', `/api/tickets/${ticket}/events`, entry);
    expect(status, JSON.stringify(body)).toBe(200);
  }
  return ticket;
};

describe('the promised days as a calendar', () => {
  const make = async () =>
    (await lead.call('POST', ADDRESSES.makeFeed.path, { what: 'promised' })).body as {
      feed: { id: string };
      token: string;
    };
  const read = (token: string) => new Client(server.url).read(pathTo('readFeed', { token }));

  it('are read by another program: a whole day each, without a customer', async () => {
    const late = await takeIn('Teal; zigzag, "the quick"\nبيضاء', '2026-12-31');
    const early = await takeIn('Ash', '2026-03-29');
    await takeIn('Without a promise');
    const { token } = await make();
    const { headers, bytes } = await read(token);
    expect(headers.get('content-type')).toBe('text/calendar; charset=utf-8');
    const text = bytes.toString('utf8');
    // RFC 5545: CR LF, and no line longer than 75 octets.
    expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
    expect(calendar.getFirstPropertyValue('version')).toBe('2.0');
    const events = calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
    const told = events.map(({ uid, summary, startDate }) => ({
      uid,
      summary,
      day: startDate.toString(),
      isDay: startDate.isDate,
    }));
    expect(told).toHaveLength(2);
    expect(told).toContainEqual({
      uid: `${late}@nodo`,
      summary: expect.stringContaining('Teal; zigzag, "the quick"\nبيضاء') as string,
      day: '2026-12-31',
      isDay: true,
    });
    // The day on which the clocks change stays that day.
    expect(told).toContainEqual(
      expect.objectContaining({ uid: `${early}@nodo`, day: '2026-03-29', isDay: true }),
    );
  });

  it('are shown until the address is withdrawn, and to nobody who guesses', async () => {
    const { feed, token } = await make();
    const [stored] = await asSuper(server.database.name, 'select token_hash from calendar_feed');
    expect(JSON.stringify(stored?.rows)).not.toContain(token);
    expect((await new Client(server.url).call('GET', pathTo('readFeed', { token }))).status).toBe(
      200,
    );
    expect(JSON.stringify((await lead.call('GET', ADDRESSES.listFeeds.path)).body)).toContain(
      feed.id,
    );
    expect((await lead.call('DELETE', pathTo('revokeFeed', { feed: feed.id }))).status).toBe(200);
    const gone = await new Client(server.url).call('GET', pathTo('readFeed', { token }));
    expect(gone).toMatchObject({ status: 404, body: { code: 'no-such-link' } });
    expect(JSON.stringify((await lead.call('GET', ADDRESSES.listFeeds.path)).body)).not.toContain(
      feed.id,
    );
  });
});

describe('a token of a person', () => {
  const make = async (
    person: TestPerson,
    scope: AccessToken['scope'],
  ): Promise<{ token: AccessToken; secret: string; owner: Client }> => {
    const owner = await Client.signedIn(server.url, person);
    const { status, body } = await owner.call('POST', ADDRESSES.makeToken.path, {
      password: person.password,
      name: 'Till',
      scope,
      days: 30,
    });
    expect(status, JSON.stringify(body)).toBe(200);
    return { ...(body as { token: AccessToken; secret: string }), owner };
  };
  /** A program: no cookie, no origin, a token. */
  const by = async (secret: string, method: string, path: string, body?: unknown) => {
    const response = await fetch(server.url + path, {
      method,
      headers: {
        authorization: `Bearer ${secret}`,
        ...(body === undefined
          ? {}
          : { 'content-type': Buffer.isBuffer(body) ? 'image/jpeg' : 'application/json' }),
      },
      ...(body === undefined
        ? {}
        : { body: Buffer.isBuffer(body) ? new Uint8Array(body) : JSON.stringify(body) }),
    });
    const text = await response.text();
    return {
      status: response.status,
      body: text.startsWith('{') ? (JSON.parse(text) as object) : text,
    };
  };

  it('lets a program do what its person may, within its scope', async () => {
    const { secret } = await make(server.shop.people.technician, 'write');
    const ticket = randomUUID();
    const drafts = [intakeCommand({ label: 'By a program' })];
    const taken = await by(secret, 'POST', '/api/tickets', { ticket, customer: null, drafts });
    expect(taken.status).toBe(200);
    expect((await by(secret, 'GET', '/api/tickets')).status).toBe(200);
    const photo = jpeg({ width: 8, height: 6 });
    expect((await by(secret, 'POST', `/api/tickets/${ticket}/photos`, photo)).status).toBe(200);
    // Never more than the person.
    const accounts = await by(secret, 'GET', ADDRESSES.listAccounts.path);
    expect(accounts).toMatchObject({ status: 403, body: { code: 'role-may-not' } });
    const events = (await lead.call('GET', `/api/tickets/${ticket}`)).body as {
      events: { actor: { person: string } }[];
    };
    expect(events.events[0]?.actor.person).toBe(server.shop.people.technician.person);
  });

  it('that only looks writes nothing', async () => {
    const { secret } = await make(server.shop.people.lead, 'read');
    expect((await by(secret, 'GET', '/api/tickets')).status).toBe(200);
    const refused = await by(secret, 'POST', '/api/tickets', {});
    expect(refused).toMatchObject({ status: 403, body: { code: 'token-may-not' } });
  });

  it('is kept as its hash, told to its person alone, and shows when it was used', async () => {
    const { secret, token, owner } = await make(server.shop.people.counter, 'read');
    const [stored] = await asSuper(server.database.name, 'select * from access_token');
    expect(JSON.stringify(stored?.rows)).not.toContain(secret);
    await by(secret, 'GET', '/api/tickets');
    const listed = (await owner.call('GET', ADDRESSES.listTokens.path)).body as AccessToken[];
    expect(listed).toMatchObject([{ id: token.id, name: 'Till', scope: 'read', isOver: false }]);
    expect(listed[0]?.usedAt).not.toBeNull();
    expect(JSON.stringify((await lead.call('GET', ADDRESSES.listTokens.path)).body)).not.toContain(
      token.id,
    );
    const others = await lead.call('DELETE', pathTo('revokeToken', { token: token.id }));
    expect(others).toMatchObject({ status: 404, body: { code: 'no-such-token' } });
  });

  it('wants the password, and ends when it is taken back, with its screen, or with a new password', async () => {
    const person = server.shop.people.technician;
    const owner = await Client.signedIn(server.url, person);
    const body = { password: 'not this', name: 'Till', scope: 'read', days: 1 };
    expect((await owner.call('POST', ADDRESSES.makeToken.path, body)).status).toBe(401);
    const works = async (secret: string) => (await by(secret, 'GET', '/api/tickets')).status;

    const first = await make(person, 'read');
    expect(await works(first.secret)).toBe(200);
    await first.owner.call('DELETE', pathTo('revokeToken', { token: first.token.id }));
    expect(await works(first.secret)).toBe(401);

    const second = await make(person, 'read');
    const screens = (await lead.call('GET', ADDRESSES.listScreens.path)).body as {
      id: string;
      device: string;
    }[];
    const own = screens.filter(({ device }) => device === 'Till').map(({ id }) => id);
    for (const screen of own) await lead.call('DELETE', pathTo('endScreen', { screen }));
    expect(await works(second.secret)).toBe(401);

    const third = await make(person, 'read');
    const [past] = await asSuper(
      server.database.name,
      `update access_token set until = now() - interval '1 minute' where id = '${third.token.id}'`,
    );
    expect(past?.rowCount).toBe(1);
    expect(await by(third.secret, 'GET', '/api/tickets')).toMatchObject({
      status: 401,
      body: { code: 'token-not-valid' },
    });

    const fourth = await make(person, 'read');
    const fresh = { password: person.password, fresh: 'another password' };
    expect((await fourth.owner.call('POST', ADDRESSES.changePassword.path, fresh)).status).toBe(
      200,
    );
    expect(await works(fourth.secret)).toBe(401);
  });

  it('that does not hold is refused whatever cookie comes with it', async () => {
    const answer = await lead.call('GET', '/api/tickets', undefined, {
      authorization: `Bearer nodo_${'x'.repeat(43)}`,
    });
    expect(answer).toMatchObject({ status: 401, body: { code: 'token-not-valid' } });
    const elsewhere = await by('nothing', 'POST', ADDRESSES.importRows.path, {});
    expect(elsewhere.status).toBe(401);
  });

  it('opens nothing that only a person at a screen does', async () => {
    const { secret } = await make(server.shop.people.lead, 'write');
    const calls = callsAbout(NOTHING);
    const only = (Object.keys(ENDPOINTS) as EndpointName[]).filter(
      (name) => 'notByToken' in ENDPOINTS[name],
    );
    expect(only).toEqual(expect.arrayContaining(['makeToken', 'changePassword', 'invitePerson']));
    for (const name of only) {
      const { path, body } = calls[name]();
      const answer = await by(secret, ADDRESSES[name].method, path, body);
      expect([name, answer]).toMatchObject([
        name,
        { status: 403, body: { code: 'token-may-not' } },
      ]);
    }
  });
});

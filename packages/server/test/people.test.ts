import { randomUUID } from 'node:crypto';
import { type Account, type AuditLine, proofOf, type Session, type TicketFile } from '@nodo/api';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { asSuper } from './database.ts';
import { Client, startTestServer, type TestServer } from './server.ts';
import { commandOf, intakeCommand } from './shop.ts';

let server: TestServer;
let lead: Client;
beforeAll(async () => {
  server = await startTestServer();
  lead = await Client.signedIn(server.url, server.shop.people.lead);
});
afterAll(() => server.stop());

const PASSWORD = 'a test password';
const signInAs = (client: Client, login: string, password = PASSWORD) =>
  client.call('POST', '/api/session', { login, password, device: 'bench by the window' });

/** A person of its own, so that tests do not meet. */
async function newPerson(role = 'technician') {
  const login = `p-${randomUUID().slice(0, 8)}`;
  const invited = await lead.call('POST', '/api/accounts', {
    login,
    name: 'Somebody New',
    initials: 'SN',
    role,
  });
  const { account, code } = invited.body as { account: Account; code: string };
  const anyone = new Client(server.url);
  const redeem = () => anyone.call('POST', '/api/codes', { login, code, password: PASSWORD });
  return { login, id: account.id, code, redeem };
}
async function newcomer(role?: string) {
  const person = await newPerson(role);
  expect((await person.redeem()).status).toBe(200);
  return person;
}
const newTicket = async (): Promise<string> => {
  const ticket = randomUUID();
  await lead.call('POST', '/api/tickets', { ticket, customer: null, drafts: [intakeCommand()] });
  return ticket;
};
const look = (change = {}) =>
  commandOf('findings-recorded', { check: 'winder', answers: { 'winder-on': 'no' } }, change);

describe('a code from the lead', () => {
  it('becomes a password once, typed as people type', async () => {
    const { login, code, redeem } = await newPerson();
    const client = new Client(server.url);
    expect((await signInAs(client, login)).status).toBe(401);
    const typed = {
      login,
      code: ` ${code.toUpperCase().replaceAll('-', ' ')}`,
      password: PASSWORD,
    };
    expect((await client.call('POST', '/api/codes', typed)).status).toBe(200);
    expect((await signInAs(client, login)).status).toBe(200);
    expect(await redeem()).toMatchObject({ status: 403, body: { code: 'code-not-valid' } });
  });

  it('is not told from a wrong one, and a login is taken once', async () => {
    const { login } = await newPerson();
    const anyone = new Client(server.url);
    const guess = { login, code: 'aaaa-bbbb-cccc-dddd', password: PASSWORD };
    expect(await anyone.call('POST', '/api/codes', guess)).toMatchObject({ status: 403 });
    const again = {
      login: login.toUpperCase().toLowerCase(),
      name: 'x',
      initials: 'x',
      role: 'lead',
    };
    expect(await lead.call('POST', '/api/accounts', again)).toMatchObject({
      status: 409,
      body: { code: 'login-taken', path: 'login' },
    });
  });

  it('takes the old password away and ends every sign-in when it is a reset', async () => {
    const { login, id } = await newcomer();
    const client = new Client(server.url);
    await signInAs(client, login);
    expect((await lead.call('POST', `/api/accounts/${id}/reset`, {})).status).toBe(200);
    expect((await client.call('GET', '/api/tickets')).status).toBe(401);
    expect((await signInAs(client, login)).status).toBe(401);
  });
});

describe('rights', () => {
  it('change with the role at once', async () => {
    const { login, id } = await newcomer('learner');
    const client = new Client(server.url);
    await signInAs(client, login);
    const takeIn = () =>
      client.call('POST', '/api/tickets', {
        ticket: randomUUID(),
        customer: null,
        drafts: [intakeCommand()],
      });
    expect((await takeIn()).status).toBe(403);
    await lead.call('POST', `/api/accounts/${id}`, { role: 'counter' });
    expect((await takeIn()).status).toBe(200);
  });

  it('end with a lock, at the stream too, and come back after it', async () => {
    const { login, id } = await newcomer();
    const client = new Client(server.url);
    await signInAs(client, login);
    const there = await client.follow();
    expect(await lead.call('POST', `/api/accounts/${id}`, { locked: true })).toMatchObject({
      body: { locked: true },
    });
    await expect.poll(() => there.isOver()).toBe(true);
    expect((await client.call('GET', '/api/tickets')).status).toBe(401);
    expect((await signInAs(client, login)).status).toBe(401);
    await lead.call('POST', `/api/accounts/${id}`, { locked: false });
    expect((await signInAs(client, login)).status).toBe(200);
  });

  it('are never without a lead', async () => {
    const id = server.shop.people.lead.person;
    for (const change of [{ role: 'counter' }, { locked: true }]) {
      expect(await lead.call('POST', `/api/accounts/${id}`, change)).toMatchObject({
        status: 409,
        body: { code: 'last-lead' },
      });
    }
  });

  it('of another shop’s people cannot be changed, nor seen', async () => {
    const stranger = server.otherShop.people.technician.person;
    expect((await lead.call('POST', `/api/accounts/${stranger}`, { locked: true })).status).toBe(
      404,
    );
    expect((await lead.call('POST', `/api/accounts/${stranger}/reset`, {})).status).toBe(404);
    const accounts = (await lead.call('GET', '/api/accounts')).body as Account[];
    expect(accounts.map(({ id }) => id)).not.toContain(stranger);
  });
});

describe('a shared screen', () => {
  const pinFor = (client: Client, pin: string) =>
    client.call('POST', '/api/session/pin', { password: PASSWORD, pin });
  const change = (client: Client, person: string, pin: string) =>
    client.call('POST', '/api/session/person', { person, pin });

  /** Two people who signed in in full on one screen, each with a PIN; the second stands there. */
  async function shared() {
    const [first, second] = [await newcomer(), await newcomer()];
    const screen = new Client(server.url);
    const signedIn = (await signInAs(screen, first.login)).body as Session;
    await pinFor(screen, '1111');
    await signInAs(screen, second.login);
    await pinFor(screen, '2222');
    return { first: { ...first, key: signedIn.key ?? '' }, second, screen };
  }

  it('changes person by PIN, for those who signed in on it in full', async () => {
    const { first, second, screen } = await shared();
    const { body } = await change(screen, first.id, '1111');
    const session = body as Session;
    expect(session.person.id).toBe(first.id);
    expect(session.screen.people.map(({ id }) => id).sort()).toEqual([first.id, second.id].sort());
    const third = await newcomer();
    const elsewhere = new Client(server.url);
    await signInAs(elsewhere, third.login);
    await pinFor(elsewhere, '3333');
    expect(await change(screen, third.id, '3333')).toMatchObject({
      status: 403,
      body: { code: 'no-pin-here' },
    });
  });

  it('takes five wrong PINs, then only the password', async () => {
    const { first, screen } = await shared();
    for (let guess = 0; guess < 5; guess += 1) {
      expect((await change(screen, first.id, '9999')).body).toMatchObject({ code: 'wrong-pin' });
    }
    expect((await change(screen, first.id, '1111')).body).toMatchObject({ code: 'no-pin-here' });
    await signInAs(screen, first.login);
    expect((await change(screen, first.id, '1111')).status).toBe(200);
  });

  it('changes person while the pages on it ask who is there: neither waits for the other', async () => {
    const { first, second, screen } = await shared();
    const answers = new Set<number>();
    let changing = true;
    const pages = Array.from({ length: 8 }, async () => {
      while (changing) answers.add((await screen.call('GET', '/api/session')).status);
    });
    for (let turn = 0; turn < 20; turn += 1) {
      const [{ id }, pin] = turn % 2 ? [first, '1111'] : [second, '2222'];
      answers.add((await change(screen, id, pin)).status);
    }
    changing = false;
    await Promise.all(pages);
    expect(answers).toEqual(new Set([200]));
    expect(server.log).toEqual([]);
  });

  it('shows nothing while it is locked, and opens by PIN', async () => {
    const { second, screen } = await shared();
    const there = await screen.follow();
    expect(await screen.call('POST', '/api/session/lock', {})).toMatchObject({
      body: { screen: { locked: true } },
    });
    await expect.poll(() => there.isOver()).toBe(true);
    expect((await screen.call('GET', '/api/tickets')).body).toMatchObject({
      code: 'screen-locked',
    });
    expect((await screen.call('GET', '/api/session')).body).toMatchObject({
      screen: { locked: true },
    });
    await change(screen, second.id, '2222');
    expect((await screen.call('GET', '/api/tickets')).status).toBe(200);
  });

  it('leaves entries with the person who made them', async () => {
    const { first, second, screen } = await shared();
    const ticket = await newTicket();
    const path = `/api/tickets/${ticket}/events`;
    expect((await screen.call('POST', path, look())).body).toMatchObject({
      actor: { person: second.id },
    });
    // Made under the password of the first, sent while the second stands there.
    const made = look();
    const proof = proofOf(first.key, ticket, made);
    expect((await screen.call('POST', path, { ...made, by: first.id, proof })).body).toMatchObject({
      actor: { person: first.id },
      sentBy: second.id,
    });
    const stranger = server.shop.people.technician.person;
    expect(await screen.call('POST', path, look({ by: stranger }))).toMatchObject({
      status: 403,
      body: { code: 'not-at-this-screen', path: 'by' },
    });
  });

  it('takes nothing in the name of somebody else that they did not make', async () => {
    const { first, second, screen } = await shared();
    const ticket = await newTicket();
    const path = `/api/tickets/${ticket}/events`;
    const made = look();
    const proof = proofOf(first.key, ticket, made);
    const own = ((await screen.call('GET', '/api/session')).body as Session).key ?? '';
    const forged = [
      look({ by: first.id }),
      // With one's own key, with the proof of another entry, on another ticket, changed.
      { ...made, by: first.id, proof: proofOf(own, ticket, made) },
      { ...look(), by: first.id, proof },
      { ...made, by: first.id, proof: proofOf(first.key, await newTicket(), made) },
      { ...made, observedAt: '2026-03-03T10:00:00.000Z', by: first.id, proof },
    ];
    for (const one of forged) {
      expect(await screen.call('POST', path, one)).toMatchObject({
        status: 403,
        body: { code: 'not-at-this-screen', path: 'by', data: { unproven: true } },
      });
    }
    const { events } = (await screen.call('GET', `/api/tickets/${ticket}`)).body as TicketFile;
    expect(events.map(({ actor }) => actor.person)).not.toContain(first.id);
    expect(own).not.toBe(first.key);
    expect(second.id).not.toBe(first.id);
  });

  it('gives out no key while it is locked, and the same one afterwards', async () => {
    const { second, screen } = await shared();
    const { key } = (await screen.call('GET', '/api/session')).body as Session;
    await screen.call('POST', '/api/session/lock', {});
    expect((await screen.call('GET', '/api/session')).body).not.toHaveProperty('key');
    await change(screen, second.id, '2222');
    expect((await screen.call('GET', '/api/session')).body).toMatchObject({ key });
  });

  it('gives tabs that ask at the same time one key', async () => {
    const { first, second, screen } = await shared();
    await asSuper(
      server.database.name,
      `update screen_person set entry_key = null where person_id in ('${first.id}', '${second.id}')`,
    );
    const asked = await Promise.all(
      Array.from({ length: 8 }, () => screen.call('GET', '/api/session')),
    );
    expect(new Set(asked.map(({ body }) => (body as Session).key)).size).toBe(1);
  });

  it('is ended by the lead, for everybody on it', async () => {
    const { screen } = await shared();
    const { screen: own } = (await screen.call('GET', '/api/session')).body as Session;
    const screens = (await lead.call('GET', '/api/screens')).body as {
      id: string;
      device: string;
    }[];
    expect(screens.find(({ id }) => id === own.id)?.device).toBe('bench by the window');
    await lead.call('DELETE', `/api/screens/${own.id}`);
    expect((await screen.call('GET', '/api/session')).body).toBeNull();
  });

  it('keeps this screen and leaves the others when a password is changed', async () => {
    const { login } = await newcomer();
    const [here, there] = [new Client(server.url), new Client(server.url)];
    await signInAs(here, login);
    await signInAs(there, login);
    const given = { password: PASSWORD, fresh: 'another password' };
    expect((await here.call('POST', '/api/session/password', given)).status).toBe(200);
    expect((await here.call('GET', '/api/tickets')).status).toBe(200);
    expect((await there.call('GET', '/api/tickets')).status).toBe(401);
    expect((await signInAs(there, login, 'another password')).status).toBe(200);
  });
});

describe('who saw and did what', () => {
  it('is told page by page, with entries and readings in one order', async () => {
    const { id, login } = await newcomer();
    const reader = new Client(server.url);
    await signInAs(reader, login);
    const ticket = await newTicket();
    await reader.call('GET', `/api/tickets/${ticket}`);
    await reader.call('GET', `/api/tickets/${ticket}`);
    await reader.call('POST', `/api/tickets/${ticket}/events`, look());
    const page = (await lead.call('GET', `/api/audit?person=${id}`)).body as { lines: AuditLine[] };
    // Read twice in a row is read once.
    expect(page.lines.map(({ what }) => what)).toEqual([
      'findings-recorded',
      'ticket-read',
      'signed-in',
      'password-set',
    ]);
    expect(page.lines[0]).toMatchObject({ person: id, ticket, label: 'Teal zigzag' });

    // More than a page holds.
    for (let entry = 0; entry < 61; entry += 1) {
      await reader.call('POST', `/api/tickets/${ticket}/events`, look());
    }
    const all: string[] = [];
    let before: string | null = null;
    do {
      const query: string = before === null ? '' : `?before=${encodeURIComponent(before)}`;
      const { lines, next } = (await lead.call('GET', `/api/audit${query}`)).body as {
        lines: AuditLine[];
        next: string | null;
      };
      all.push(...lines.map((line) => line.id));
      before = next;
    } while (before !== null);
    expect(new Set(all).size).toBe(all.length);
    expect(all.length).toBeGreaterThan(60);
  });
});

describe('who looks at what', () => {
  it('is told to every screen of the shop, to whoever comes later, and to no other shop', async () => {
    const ticket = await newTicket();
    const [there, elsewhere] = [
      await lead.follow(),
      await (await Client.signedIn(server.url, server.otherShop.people.lead)).follow(),
    ];
    const { login, id } = await newcomer();
    const client = new Client(server.url);
    await signInAs(client, login);
    await client.call('POST', '/api/presence', { ticket, check: 'winder' });
    const seen = { person: id, ticket, check: 'winder' };
    const whoIn = (frames: readonly Record<string, unknown>[]) =>
      frames.findLast(({ kind }) => kind === 'presence')?.who;
    await expect.poll(() => whoIn(there.frames)).toContainEqual(expect.objectContaining(seen));
    const later = await lead.follow();
    await expect.poll(() => whoIn(later.frames)).toContainEqual(expect.objectContaining(seen));
    expect(whoIn(elsewhere.frames)).toEqual([]);
    await client.call('POST', '/api/presence', { ticket: null, check: null });
    await expect.poll(() => whoIn(there.frames)).toEqual([]);
    for (const one of [there, elsewhere, later]) one.stop();
  });
});

import { randomUUID } from 'node:crypto';
import { ADDRESSES, ENDPOINTS, type Endpoint, type EndpointName } from '@nodo/api';
import { type Role, refusal } from '@nodo/kernel';
import { newCustomerProfile, newMachineProfile } from '@nodo/shop';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { z } from 'zod';
import { type Calls, callsAbout, NOTHING } from './calls.ts';
import { Client, startTestServer, type TestServer } from './server.ts';
import { commandOf, intakeCommand } from './shop.ts';

let server: TestServer;
let ticket: string;
const clients = {} as Record<Role | 'nobody' | 'stranger', Client>;

beforeAll(async () => {
  server = await startTestServer();
  for (const role of ['counter', 'technician', 'lead', 'learner'] as const) {
    clients[role] = await Client.signedIn(server.url, server.shop.people[role]);
  }
  clients.nobody = new Client(server.url);
  clients.stranger = await Client.signedIn(server.url, server.otherShop.people.lead);
  ticket = randomUUID();
  const taken = await clients.counter.call('POST', '/api/tickets', {
    ticket,
    customer: null,
    drafts: [intakeCommand()],
  });
  expect(taken.status).toBe(200);
  calls = callsAbout({ ...NOTHING, ticket });
});
afterAll(() => server.stop());

let calls: Calls;

/** Every route against every role and nobody: the status each must answer with. */
const TABLE: Readonly<Record<EndpointName, Readonly<Record<Role | 'nobody', number>>>> = {
  signIn: { nobody: 401, counter: 401, technician: 401, lead: 401, learner: 401 },
  whoAmI: { nobody: 200, counter: 200, technician: 200, lead: 200, learner: 200 },
  changePerson: { nobody: 401, counter: 403, technician: 403, lead: 403, learner: 403 },
  nameScreen: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 200 },
  lockScreen: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 200 },
  setPin: { nobody: 401, counter: 401, technician: 401, lead: 401, learner: 401 },
  changePassword: { nobody: 401, counter: 401, technician: 401, lead: 401, learner: 401 },
  redeemCode: { nobody: 403, counter: 403, technician: 403, lead: 403, learner: 403 },
  lookAt: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 200 },
  listAccounts: { nobody: 401, counter: 403, technician: 403, lead: 200, learner: 403 },
  invitePerson: { nobody: 401, counter: 403, technician: 403, lead: 200, learner: 403 },
  changeAccount: { nobody: 401, counter: 403, technician: 403, lead: 404, learner: 403 },
  resetAccount: { nobody: 401, counter: 403, technician: 403, lead: 404, learner: 403 },
  listScreens: { nobody: 401, counter: 403, technician: 403, lead: 200, learner: 403 },
  endScreen: { nobody: 401, counter: 403, technician: 403, lead: 404, learner: 403 },
  readReach: { nobody: 401, counter: 403, technician: 403, lead: 200, learner: 403 },
  readAudit: { nobody: 401, counter: 403, technician: 403, lead: 200, learner: 403 },
  listNotices: { nobody: 401, counter: 403, technician: 403, lead: 200, learner: 403 },
  readBackups: { nobody: 401, counter: 403, technician: 403, lead: 200, learner: 403 },
  // Of a server behind which no start command stands.
  makeBackup: { nobody: 401, counter: 403, technician: 403, lead: 409, learner: 403 },
  setBackupPassphrase: { nobody: 401, counter: 403, technician: 403, lead: 409, learner: 403 },
  takeBackup: { nobody: 401, counter: 403, technician: 403, lead: 404, learner: 403 },
  readExport: { nobody: 401, counter: 403, technician: 403, lead: 200, learner: 403 },
  importRows: { nobody: 401, counter: 403, technician: 403, lead: 200, learner: 403 },
  listFeeds: { nobody: 401, counter: 403, technician: 403, lead: 200, learner: 403 },
  makeFeed: { nobody: 401, counter: 403, technician: 403, lead: 200, learner: 403 },
  revokeFeed: { nobody: 401, counter: 403, technician: 403, lead: 404, learner: 403 },
  readFeed: { nobody: 404, counter: 404, technician: 404, lead: 404, learner: 404 },
  listTokens: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 200 },
  makeToken: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 200 },
  revokeToken: { nobody: 401, counter: 404, technician: 404, lead: 404, learner: 404 },
  readOpenApi: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 200 },
  readHealth: { nobody: 200, counter: 200, technician: 200, lead: 200, learner: 200 },
  readReadiness: { nobody: 200, counter: 200, technician: 200, lead: 200, learner: 200 },
  // Nobody has the secret of the metrics.
  readMetrics: { nobody: 401, counter: 401, technician: 401, lead: 401, learner: 401 },
  takeErased: { nobody: 401, counter: 403, technician: 403, lead: 200, learner: 403 },
  putNoticeAway: { nobody: 401, counter: 403, technician: 403, lead: 200, learner: 403 },
  listLinks: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 403 },
  makeLink: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 403 },
  revokeLink: { nobody: 401, counter: 404, technician: 404, lead: 404, learner: 403 },
  readShared: { nobody: 404, counter: 404, technician: 404, lead: 404, learner: 404 },
  openTickets: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 200 },
  listPeople: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 200 },
  listTickets: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 200 },
  takeIn: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 403 },
  readTicket: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 200 },
  recordEvent: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 403 },
  keepPhoto: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 403 },
  readPhoto: { nobody: 401, counter: 404, technician: 404, lead: 404, learner: 404 },
  readTables: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 200 },
  listCandidates: { nobody: 401, counter: 403, technician: 403, lead: 200, learner: 403 },
  recordTableEvent: { nobody: 401, counter: 403, technician: 403, lead: 200, learner: 403 },
  readPaper: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 403 },
  readSampleCard: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 200 },
  readBills: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 403 },
  issueBill: { nobody: 401, counter: 409, technician: 409, lead: 409, learner: 403 },
  makeSale: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 403 },
  readSaleReceipt: { nobody: 401, counter: 404, technician: 404, lead: 404, learner: 403 },
  countTill: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 403 },
  readDaySheet: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 403 },
  listCollected: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 200 },
  search: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 403 },
  readShop: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 200 },
  nameShop: { nobody: 401, counter: 403, technician: 403, lead: 200, learner: 403 },
  nameMyself: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 200 },
  changeShop: { nobody: 401, counter: 403, technician: 403, lead: 409, learner: 403 },
  readCustomer: { nobody: 401, counter: 404, technician: 404, lead: 404, learner: 403 },
  changeCustomer: { nobody: 401, counter: 404, technician: 404, lead: 404, learner: 403 },
  mergeCustomer: { nobody: 401, counter: 404, technician: 404, lead: 404, learner: 403 },
  eraseCustomer: { nobody: 401, counter: 403, technician: 403, lead: 404, learner: 403 },
  readMachine: { nobody: 401, counter: 404, technician: 404, lead: 404, learner: 403 },
  readNeedles: { nobody: 401, counter: 404, technician: 404, lead: 404, learner: 404 },
  registerNeedle: { nobody: 401, counter: 403, technician: 404, lead: 404, learner: 403 },
  changeMachine: { nobody: 401, counter: 404, technician: 404, lead: 404, learner: 403 },
  live: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 200 },
  signOut: { nobody: 401, counter: 200, technician: 200, lead: 200, learner: 200 },
};

/** What nobody can go on from with the same screen. */
const ENDINGS: readonly EndpointName[] = ['signOut', 'lockScreen'];

const CELLS = (Object.keys(TABLE) as EndpointName[])
  .filter((name) => !ENDINGS.includes(name))
  .flatMap((name) =>
    (Object.entries(TABLE[name]) as [Role | 'nobody', number][]).map(([who, status]) => ({
      name,
      who,
      status,
    })),
  );

describe('who may call what', () => {
  it('has a row for every route there is', () => {
    expect(Object.keys(TABLE).sort()).toEqual(Object.keys(ENDPOINTS).sort());
  });

  it.each(CELLS)('$name by $who: $status', async ({ name, who, status }) => {
    const { path, body } = calls[name]();
    if (name === 'live' && status === 200) {
      const stream = await clients[who].follow();
      stream.stop();
      return;
    }
    const answer = await clients[who].call(ADDRESSES[name].method, path, body);
    expect(answer.status).toBe(status);
    if (status >= 400) expect(refusal.safeParse(answer.body).success).toBe(true);
  });

  it.each(
    ENDINGS.flatMap((name) =>
      (Object.entries(TABLE[name]) as [Role | 'nobody', number][]).map(([who, status]) => ({
        name,
        who,
        status,
      })),
    ),
  )('$name by $who: $status', async ({ name, who, status }) => {
    const client =
      who === 'nobody'
        ? clients.nobody
        : await Client.signedIn(server.url, server.shop.people[who]);
    const { path, body } = calls[name]();
    expect((await client.call(ADDRESSES[name].method, path, body)).status).toBe(status);
    const after = who !== 'nobody' && name === 'lockScreen' ? 423 : 401;
    expect((await client.call('GET', '/api/tickets')).status).toBe(after);
  });

  it('lets a locked screen do nothing but open itself and sign out', async () => {
    const locked = await Client.signedIn(server.url, server.shop.people.lead);
    await locked.call('POST', ADDRESSES.lockScreen.path, {});
    for (const [name, { method }] of Object.entries(ADDRESSES)) {
      const { roles, evenLocked } = ENDPOINTS[name as EndpointName] as Endpoint<
        z.ZodType,
        z.ZodType,
        z.ZodType
      >;
      if (roles === 'anyone' || evenLocked) continue;
      const { path, body } = calls[name as EndpointName]();
      expect([name, (await locked.call(method, path, body)).status]).toEqual([name, 423]);
    }
  });
});

describe('another shop', () => {
  it('finds no ticket of this one, and cannot write to it', async () => {
    const read = await clients.stranger.call('GET', `/api/tickets/${ticket}`);
    expect(read).toMatchObject({
      status: 404,
      body: { code: 'no-such-ticket', path: 'params.ticket' },
    });
    const { path, body } = calls.recordEvent();
    const written = await clients.stranger.call('POST', path, body);
    expect(written).toMatchObject({ status: 409, body: { code: 'not-taken-in' } });
    expect((await clients.stranger.call('GET', '/api/tickets')).body).toEqual([]);
    const proposal = calls.recordTableEvent();
    expect((await clients.lead.call('POST', proposal.path, proposal.body)).status).toBe(200);
    expect((await clients.stranger.call('GET', '/api/tables')).body).toEqual([]);
  });
});

describe('requests from elsewhere', () => {
  it.each([
    ['a foreign page', { origin: 'http://elsewhere.example' }],
    ['no page at all', { origin: '' }],
    ['the same host on another port', { origin: 'http://127.0.0.1:1' }],
  ])('that change something are refused: %s', async (_, headers) => {
    const { path, body } = calls.recordEvent();
    const answer = await clients.technician.call('POST', path, body, headers);
    expect(answer).toMatchObject({ status: 403, body: { code: 'foreign-origin' } });
  });
});

describe('bad input', () => {
  const events = () => `/api/tickets/${ticket}/events`;
  const good = () => commandOf('observation-noted', { words: 'fine' });

  it.each([
    ['no JSON', '{"id":', 400, ''],
    ['nothing', undefined, 400, ''],
    ['a list', [], 400, ''],
    ['an unknown type', { ...good(), type: 'burnt' }, 400, 'type'],
    ['a wrong field', { ...good(), command: { words: 7 } }, 400, 'command.words'],
    ['U+0000', { ...good(), command: { words: 'a\u0000b' } }, 400, 'command.words'],
    ['a body too large', { ...good(), command: { words: 'x'.repeat(70_000) } }, 413, ''],
    ['a second intake', intakeCommand(), 400, 'type'],
  ])('%s answers with code and path, and stores nothing', async (_, body, status, path) => {
    const before = await clients.technician.call('GET', `/api/tickets/${ticket}`);
    const answer = await clients.technician.call('POST', events(), body);
    expect(answer).toMatchObject({ status, body: { code: 'bad-input', path } });
    expect((await clients.technician.call('GET', `/api/tickets/${ticket}`)).body).toEqual(
      before.body,
    );
  });

  it('names a ticket id that is none', async () => {
    expect(await clients.technician.call('GET', '/api/tickets/27')).toMatchObject({
      status: 400,
      body: { code: 'bad-input', path: 'params.ticket' },
    });
  });

  it('names a route that is none', async () => {
    expect(await clients.technician.call('GET', '/api/everything')).toMatchObject({
      status: 404,
      body: { code: 'no-such-route' },
    });
  });

  it('refuses by the rules with the contract’s code', async () => {
    const early = commandOf('machine-opened', { state: 'plate-off' });
    expect(await clients.technician.call('POST', events(), early)).toMatchObject({
      status: 409,
      body: { code: 'gate-unmet' },
    });
  });

  it('takes a machine in only with the intake first and its own customer', async () => {
    const drafts = [commandOf('observation-noted', { words: 'x' })];
    expect(
      await clients.counter.call('POST', '/api/tickets', {
        ticket: randomUUID(),
        customer: null,
        drafts,
      }),
    ).toMatchObject({
      status: 400,
      body: { code: 'bad-input', path: 'drafts.0' },
    });
    const withIntake = (change: object, more: object = {}) =>
      clients.counter.call('POST', '/api/tickets', {
        ticket: randomUUID(),
        customer: null,
        drafts: [intakeCommand(change)],
        ...more,
      });
    const known = { id: randomUUID(), ...newCustomerProfile('Wenna Tolk', '') };
    expect(await withIntake({ customer: randomUUID() }, { customer: known })).toMatchObject({
      status: 400,
      body: { code: 'bad-input', path: 'drafts.0.command.customer' },
    });
    expect(await withIntake({ customer: randomUUID() })).toMatchObject({
      status: 404,
      body: { code: 'no-such-customer' },
    });
    const brought = { id: randomUUID(), card: newMachineProfile('drop-in', 'Teal') };
    const stranger = { customer: randomUUID(), machine: brought.id };
    expect(await withIntake(stranger, { machine: brought })).toMatchObject({
      status: 404,
      body: { code: 'no-such-customer' },
    });
    expect(await withIntake({ machine: randomUUID() })).toMatchObject({
      status: 404,
      body: { code: 'no-such-machine' },
    });
    expect(await withIntake({ comebackOf: randomUUID() })).toMatchObject({
      status: 404,
      body: { code: 'no-such-ticket' },
    });
  });

  it('never shows what the server looks like inside', async () => {
    const answer = await clients.technician.call('POST', events(), '{"id":');
    expect(JSON.stringify(answer.body)).not.toMatch(/node_modules|SyntaxError|at /);
  });
});

describe('headers', () => {
  it('keep scripts to our own and pages out of frames', async () => {
    const { headers } = await clients.nobody.call('GET', '/api/session');
    const policy = (headers.get('content-security-policy') ?? '').split(';');
    for (const rule of [
      "default-src 'self'",
      "script-src 'self'",
      "script-src-attr 'none'",
      "connect-src 'self'",
      "worker-src 'self'",
      "font-src 'self'",
      "object-src 'none'",
      "base-uri 'self'",
      "form-action 'self'",
      "frame-ancestors 'none'",
    ]) {
      expect(policy).toContain(rule);
    }
    const styles = policy.find((rule) => rule.startsWith('style-src '));
    expect(styles).toMatch(/^style-src 'self' 'nonce-[A-Za-z0-9+/=]{24}'$/);
    const again = await clients.nobody.call('GET', '/api/session');
    expect(again.headers.get('content-security-policy')).not.toContain(styles);
    expect(headers.get('x-frame-options')).toBe('SAMEORIGIN');
    expect(headers.get('referrer-policy')).toBe('no-referrer');
    expect(headers.get('cross-origin-opener-policy')).toBe('same-origin');
    expect(headers.get('x-content-type-options')).toBe('nosniff');
    expect(headers.get('cache-control')).toBe('no-store');
    expect(headers.get('x-powered-by')).toBeNull();
  });
});

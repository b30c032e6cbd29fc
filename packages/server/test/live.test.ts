import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { asSuper } from './database.ts';
import { Client, startTestServer, type TestServer } from './server.ts';
import { commandOf, intakeCommand, proposalCommand } from './shop.ts';

let server: TestServer;
let odren: Client;
let tavi: Client;
let stranger: Client;
beforeAll(async () => {
  server = await startTestServer();
  odren = await Client.signedIn(server.url, server.shop.people.technician);
  tavi = await Client.signedIn(server.url, server.shop.people.lead);
  stranger = await Client.signedIn(server.url, server.otherShop.people.lead);
});
afterAll(() => server.stop());

const newTicket = async (): Promise<string> => {
  const ticket = randomUUID();
  await odren.call('POST', '/api/tickets', { ticket, customer: null, drafts: [intakeCommand()] });
  return ticket;
};
const look = () =>
  commandOf('findings-recorded', { check: 'winder', answers: { 'winder-on': 'no' } });

/** What a stream begins with in a shop in which nobody looks at anything. */
const NOTHING_YET = [{ kind: 'presence', who: [] }];

describe('the live stream', () => {
  it('brings a finding to the other screens of the shop, and to no other shop', async () => {
    const ticket = await newTicket();
    const there = await tavi.follow();
    const elsewhere = await stranger.follow();
    const finding = look();
    await odren.call('POST', `/api/tickets/${ticket}/events`, finding);
    await expect.poll(() => there.frames.some(({ kind }) => kind === 'events')).toBe(true);
    const frame = there.frames.find(({ kind }) => kind === 'events');
    expect(frame).toMatchObject({
      ticket,
      events: [{ id: finding.id, seq: 2 }],
      rack: { ticket, seq: 2, seen: 1 },
    });
    expect(elsewhere.frames).toEqual(NOTHING_YET);
    there.stop();
    elsewhere.stop();
  });

  it('tells the screens of the shop that its tables changed, and those of no other', async () => {
    const there = await odren.follow();
    const elsewhere = await stranger.follow();
    const change = { kind: 'how-often', cause: 'needle-low', perMille: 61 } as const;
    const proposed = await tavi.call('POST', '/api/tables/events', proposalCommand(change));
    expect(proposed.status).toBe(200);
    await expect.poll(() => there.frames).toContainEqual({ kind: 'tables' });
    expect(elsewhere.frames).toEqual(NOTHING_YET);
    there.stop();
    elsewhere.stop();
  });

  it('brings many in their order and without a gap', async () => {
    const ticket = await newTicket();
    const there = await tavi.follow();
    for (let count = 0; count < 12; count += 1)
      await odren.call('POST', `/api/tickets/${ticket}/events`, look());
    const seqs = () =>
      there.frames.flatMap(({ kind, events }) =>
        kind === 'events' ? (events as { seq: number }[]).map(({ seq }) => seq) : [],
      );
    await expect.poll(() => new Set(seqs()).size).toBe(12);
    expect(seqs()).toEqual([...seqs()].sort((a, b) => a - b));
    there.stop();
  });

  it('tells everybody to read again when its ear at the database was cut off and is back', async () => {
    const there = await tavi.follow();
    await asSuper(
      'postgres',
      `select pg_terminate_backend(pid) from pg_stat_activity where usename = 'nodo_listener' and datname = '${server.database.name}'`,
    );
    await expect.poll(() => there.frames).toContainEqual({ kind: 'resync' });
    const ticket = await newTicket();
    await expect.poll(() => there.frames.some((frame) => frame.ticket === ticket)).toBe(true);
    there.stop();
  });

  it('goes on serving when every other connection to the database was cut off too', async () => {
    const ticket = await newTicket();
    const there = await tavi.follow();
    await asSuper(
      'postgres',
      `select pg_terminate_backend(pid) from pg_stat_activity where usename like 'nodo_%' and usename <> 'nodo_super' and datname = '${server.database.name}'`,
    );
    await expect
      .poll(async () => (await odren.call('GET', `/api/tickets/${ticket}`)).status)
      .toBe(200);
    await expect.poll(() => there.frames).toContainEqual({ kind: 'resync' });
    there.stop();
  });
});

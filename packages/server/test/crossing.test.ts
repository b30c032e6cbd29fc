import { randomUUID } from 'node:crypto';
import {
  ADDRESSES,
  ENDPOINTS,
  type EndpointName,
  type NoticeRecord,
  pathTo,
  type Session,
  type TicketFile,
} from '@nodo/api';
import { toDay } from '@nodo/kernel';
import { NEW_SHOP_PROFILE, newCustomerProfile, newMachineProfile } from '@nodo/shop';
import { QueryTypes, type Sequelize } from 'sequelize';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { SHARP_80 } from '../../ticket/test/needles.ts';
import { connect, Notices, withShop } from '../src/index.ts';
import { Bills } from '../src/profiles/bills.ts';
import { aBill } from './aBill.ts';
import { callsAbout, type Named, NOTHING } from './calls.ts';
import { asSuper } from './database.ts';
import { jpeg } from './jpeg.ts';
import { Client, startTestServer, type TestServer } from './server.ts';
import { commandOf, intakeCommand, needleEntry, proposalCommand } from './shop.ts';

/** Stands in every text of the one shop, so that it is found wherever it leaks to. */
const MARK = 'quillwort';
/** Not of a shop: the migrations' own list, cookies, and names guessed at the door. */
const OF_NO_SHOP = ['migration', 'session', 'sign_in_delay', 'periodic_work'];

let server: TestServer;
let app: Sequelize;
let tables: readonly string[];
let ids: Named;
let lead: Client;
let stranger: Client;

beforeAll(async () => {
  server = await startTestServer();
  app = connect(server.database, server.database.app, 3);
  const [found] = await asSuper(
    server.database.name,
    "select table_name from information_schema.tables where table_schema = 'public' and table_type = 'BASE TABLE'",
  );
  tables = ((found?.rows ?? []) as { table_name: string }[])
    .map(({ table_name }) => table_name)
    .filter((name) => !OF_NO_SHOP.includes(name));
  lead = await Client.signedIn(server.url, server.shop.people.lead);
  stranger = await Client.signedIn(server.url, server.otherShop.people.lead);
  ids = await filledShop();
});
afterAll(async () => {
  await app.close();
  await server.stop();
});

/** The shop with something in every table. @returns what of it can be named. */
async function filledShop(): Promise<Named> {
  const post = async <Answer>(path: string, body: unknown): Promise<Answer> => {
    const answer = await lead.call('POST', path, body);
    expect(answer, path).toMatchObject({ status: 200 });
    return answer.body as Answer;
  };
  const ticket = randomUUID();
  const customer = { id: randomUUID(), ...newCustomerProfile(`Wenna ${MARK}`, MARK) };
  const machine = { id: randomUUID(), card: newMachineProfile('drop-in', MARK) };
  const taken = await post<TicketFile>(ADDRESSES.takeIn.path, {
    ticket,
    customer,
    machine,
    drafts: [
      intakeCommand({ label: MARK, words: MARK, customer: customer.id, machine: machine.id }),
    ],
  });
  expect(taken.ticket).toBe(ticket);
  const { photo } = await post<{ photo: string }>(
    `/api/tickets/${ticket}/photos`,
    jpeg({ width: 8, height: 6 }),
  );
  const record = (entry: object) => post(`/api/tickets/${ticket}/events`, entry);
  await record(commandOf('photo-kept', { photo, words: MARK }));
  await record(commandOf('observation-noted', { words: MARK }));
  const { link, token } = await post<{ link: { id: string }; token: string }>(
    `/api/tickets/${ticket}/links`,
    { days: 7 },
  );
  const invited = { login: `${MARK}-${ticket.slice(0, 8)}`, name: MARK, initials: 'QW' };
  const { account } = await post<{ account: { id: string } }>(ADDRESSES.invitePerson.path, {
    ...invited,
    role: 'technician',
  });
  await post(
    ADDRESSES.recordTableEvent.path,
    proposalCommand({ kind: 'how-often', cause: 'needle-low', perMille: 61 }, `Counted: ${MARK}`),
  );
  const register = pathTo('registerNeedle', { machine: machine.id });
  await post(register, needleEntry({ needle: { ...SHARP_80, system: MARK } }));
  await post(ADDRESSES.changeShop.path, { revision: 0, card: NEW_SHOP_PROFILE });
  await new Notices(app).add(
    server.shop.id,
    { kind: 'entries-unproven', entries: 1, tickets: [ticket] },
    new Date(),
  );
  await new Bills(app).issue(server.shop.id, ticket, {
    id: randomUUID(),
    kind: 'bill',
    reason: MARK,
    by: account.id,
    at: new Date(),
    content: aBill(MARK),
  });
  const lines = [{ words: MARK, count: 1, each: 100 }];
  const sale = randomUUID();
  await post(ADDRESSES.makeSale.path, { id: sale, lines, how: 'cash' });
  await post(pathTo('countTill', { day: toDay('2026-03-02') }), {
    id: randomUUID(),
    counted: 100,
    note: MARK,
  });
  const { feed } = await post<{ feed: { id: string } }>(ADDRESSES.makeFeed.path, {
    what: 'promised',
  });
  const { token: access } = await post<{ token: { id: string } }>(ADDRESSES.makeToken.path, {
    password: server.shop.people.lead.password,
    name: MARK,
    scope: 'write',
    days: 30,
  });
  const [told] = (await lead.call('GET', ADDRESSES.listNotices.path)).body as NoticeRecord[];
  const { screen } = (await lead.call('GET', ADDRESSES.whoAmI.path)).body as Session;
  return {
    ...NOTHING,
    ticket,
    person: account.id,
    screen: screen.id,
    link: link.id,
    token,
    photo,
    customer: customer.id,
    machine: machine.id,
    find: MARK,
    notice: told?.id ?? '',
    sale,
    feed: feed.id,
    accessToken: access.id,
  };
}

/** Every row of a shop, as the superuser sees it. */
async function rowsOf(shop: string): Promise<Record<string, unknown>> {
  const results = await asSuper(
    server.database.name,
    ...tables.map(
      (table) =>
        `select * from ${table} where ${table === 'shop' ? 'id' : 'shop_id'} = '${shop}' order by ${table}::text`,
    ),
  );
  return Object.fromEntries(tables.map((table, index) => [table, results[index]?.rows]));
}

const ROUTES = (Object.keys(ENDPOINTS) as EndpointName[]).filter(
  // A link or an address is for whoever has it, of whatever shop.
  (name) => !['readShared', 'readFeed', 'live', 'signOut'].includes(name),
);

describe('a lead of another shop who knows every id of this one', () => {
  it('finds something in every table of a shop to reach for', async () => {
    const rows = await rowsOf(server.shop.id);
    const empty = tables.filter((table) => (rows[table] as unknown[]).length === 0);
    expect(empty).toEqual([]);
  });

  it.each(ROUTES)('sees and changes nothing of it by %s', async (name) => {
    const before = await rowsOf(server.shop.id);
    const { path, body } = callsAbout(ids)[name]();
    const visitor = await Client.signedIn(server.url, server.otherShop.people.lead);
    const answer = await visitor.call(ADDRESSES[name].method, path, body);
    expect(answer.status).toBeLessThan(500);
    const told = JSON.stringify(answer.body);
    expect(told).not.toContain(MARK);
    for (const id of [server.shop.id, ...Object.values(server.shop.people).map((p) => p.person)]) {
      expect(told).not.toContain(id);
    }
    expect(await rowsOf(server.shop.id)).toEqual(before);
  });

  it('hears nothing of it on the stream', async () => {
    const [there, here] = [await stranger.follow(), await lead.follow()];
    await lead.call('POST', ADDRESSES.lookAt.path, { ticket: ids.ticket, check: 'winder' });
    const noted = commandOf('observation-noted', { words: MARK });
    await lead.call('POST', `/api/tickets/${ids.ticket}/events`, noted);
    const proposal = proposalCommand({ kind: 'how-often', cause: 'needle-low', perMille: 62 });
    await lead.call('POST', ADDRESSES.recordTableEvent.path, proposal);
    // What one's own shop hears afterwards: everything before it has been told by then.
    const last = commandOf('observation-noted', { words: 'the last' });
    await lead.call('POST', `/api/tickets/${ids.ticket}/events`, last);
    await expect.poll(() => JSON.stringify(here.frames)).toContain('the last');
    const own = randomUUID();
    await stranger.call('POST', ADDRESSES.takeIn.path, {
      ticket: own,
      customer: null,
      drafts: [intakeCommand()],
    });
    await expect.poll(() => JSON.stringify(there.frames)).toContain(own);
    expect(JSON.stringify(there.frames)).not.toContain(ids.ticket);
    expect(there.frames.filter(({ kind }) => kind === 'tables')).toEqual([]);
    for (const stream of [there, here]) stream.stop();
  });
});

it('finds by search what is its own, and by the same letters nothing of another', async () => {
  const found = await lead.call('GET', `${ADDRESSES.search.path}?find=${MARK}`);
  const rows = found.body as { kind: string; machine: string | null }[];
  const kinds = rows.map(({ kind, machine }) => (machine === null ? kind : `${kind} of a machine`));
  expect([...new Set(kinds)].sort()).toEqual(['customer', 'ticket of a machine']);
  expect(await stranger.call('GET', `${ADDRESSES.search.path}?find=${MARK}`)).toMatchObject({
    status: 200,
    body: [],
  });
  const asked = await withShop(app, server.otherShop.id, (transaction) =>
    app.query('select * from search_hits($1, 50)', {
      bind: [[MARK]],
      transaction,
      type: QueryTypes.SELECT,
    }),
  );
  expect(asked).toEqual([]);
});

describe('SQL as the application', () => {
  const asOther = (statement: string) =>
    withShop(app, server.otherShop.id, (transaction) =>
      app.query(statement, { transaction, type: QueryTypes.SELECT }),
    );
  /** Nothing came of it, however it was refused. */
  const isRefused = async (statement: string): Promise<void> => {
    try {
      expect([statement, await asOther(statement)]).toEqual([statement, []]);
    } catch (fault) {
      expect(String(fault)).toMatch(/row-level security|permission denied|never changed/);
    }
  };

  it('reads, changes, removes and adds nothing of another shop in any table', async () => {
    const before = await rowsOf(server.shop.id);
    expect(tables.length).toBeGreaterThan(10);
    for (const table of tables) {
      const key = table === 'shop' ? 'id' : 'shop_id';
      const theirs = `${key} = '${server.shop.id}'`;
      await isRefused(`select * from ${table} where ${theirs}`);
      await isRefused(`update ${table} set ${key} = ${key} where ${theirs} returning 1`);
      await isRefused(`delete from ${table} where ${theirs} returning 1`);
      await isRefused(`update ${table} set ${key} = '${server.shop.id}' returning 1`);
      const columns = Object.keys((before[table] as object[])[0] ?? {});
      const values = columns.map((column) => literal((before[table] as object[])[0], column));
      await isRefused(`insert into ${table} (${columns.join()}) values (${values.join()})`);
    }
    expect(await rowsOf(server.shop.id)).toEqual(before);
  });

  it('finds the shop first in every primary key', async () => {
    const [found] = await asSuper(
      server.database.name,
      `select c.relname as table, a.attname as first
         from pg_index i
         join pg_class c on c.oid = i.indrelid
         join pg_namespace n on n.oid = c.relnamespace and n.nspname = 'public'
         join pg_attribute a on a.attrelid = c.oid and a.attnum = i.indkey[0]
        where i.indisprimary`,
    );
    const first = ((found?.rows ?? []) as { table: string; first: string }[]).filter(
      ({ table }) => tables.includes(table) && table !== 'shop',
    );
    expect(first).toHaveLength(tables.length - 1);
    expect(first.filter((one) => one.first !== 'shop_id')).toEqual([]);
  });
});

/** A value of a row as SQL; with a fresh id where it has one, so that only the shop is in its way. */
function literal(row: object | undefined, column: string): string {
  const value = (row as Record<string, unknown> | undefined)?.[column];
  if (column === 'id') return `'${randomUUID()}'`;
  if (value === null || value === undefined) return 'null';
  // The one column that is an array and no document.
  if (column === 'also') return "'{}'";
  const asText = typeof value === 'string' ? value : JSON.stringify(value);
  const text = value instanceof Date ? value.toISOString() : asText;
  return `'${text.replaceAll("'", "''")}'`;
}

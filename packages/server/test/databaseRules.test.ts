import { randomUUID } from 'node:crypto';
import { QueryTypes, type Sequelize } from 'sequelize';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Accounts } from '../src/auth/accounts.ts';
import { Audit } from '../src/auth/audit.ts';
import { Links } from '../src/auth/links.ts';
import { People } from '../src/auth/people.ts';
import { unsafeReasons } from '../src/db/safety.ts';
import {
  connect,
  type DatabaseSettings,
  migrate,
  PostgresEventStore,
  recordCommands,
  recordTables,
  withShop,
} from '../src/index.ts';
import { asSuper, freshDatabase } from './database.ts';
import { intakeCommand, makeShop, proposalCommand, type TestShop } from './shop.ts';

let database: DatabaseSettings;
let app: Sequelize;
let shop: TestShop;
let other: TestShop;
const ticket = randomUUID();

beforeAll(async () => {
  database = await freshDatabase();
  app = connect(database, database.app);
  shop = await makeShop(app);
  other = await makeShop(app);
  const { lead } = shop.people;
  const now = () => new Date();
  await new People(app, now).openScreen({ shop: shop.id, person: lead.person }, undefined, '', '');
  await new Links(app, now).make(shop.id, ticket, lead.person, 7);
  await new Audit(app).note({ shop: shop.id, person: lead.person, what: 'signed-in' });
  await new Accounts(app, now).reset(shop.id, shop.people.learner.person);
  const { technician } = shop.people;
  await recordCommands(
    new PostgresEventStore(app),
    {
      shop: shop.id,
      ticket,
      commands: [intakeCommand()],
      actor: { person: technician.person, role: 'technician' },
    },
    () => new Date(),
  );
  await recordTables(
    new PostgresEventStore(app),
    {
      shop: shop.id,
      command: proposalCommand({ kind: 'how-often', cause: 'needle-low', perMille: 61 }),
      actor: { person: shop.people.lead.person, role: 'lead' },
    },
    () => new Date(),
  );
});
afterAll(() => app.close());

const inShop = (statement: string, id = shop.id) =>
  withShop(app, id, (transaction) =>
    app.query(statement, { transaction, type: QueryTypes.SELECT }),
  );

describe('events and tables in the database', () => {
  const statements = [
    'update ticket_event set epoch = 9',
    'delete from ticket_event',
    'truncate ticket_event',
    "update knowledge_edition set hash = 'x'",
    'delete from knowledge_edition',
    'truncate knowledge_edition',
    'update table_event set seq = 9',
    'delete from table_event',
    'truncate table_event',
    "update audit set what = 'nothing'",
    'delete from audit',
    'truncate audit',
  ];

  it.each(statements)('the application may not: %s', async (statement) => {
    await expect(inShop(statement)).rejects.toThrow(/permission denied/);
  });

  it.each(statements)('the owner may not: %s', async (statement) => {
    const owner = connect(database, database.owner as NonNullable<typeof database.owner>, 1);
    try {
      await expect(
        withShop(owner, shop.id, (transaction) => owner.query(statement, { transaction })),
      ).rejects.toThrow(/append-only|kept as they are/);
    } finally {
      await owner.close();
    }
  });

  it.each(statements)('not even the superuser may: %s', async (statement) => {
    await expect(asSuper(database.name, statement)).rejects.toThrow(/append-only|kept as they are/);
  });
});

describe('row-level security', () => {
  it.each([
    'person',
    'customer',
    'ticket_event',
    'ticket_summary',
    'shop',
    'knowledge_edition',
    'table_event',
    'screen',
    'screen_person',
    'person_code',
    'audit',
    'customer_link',
  ])('shows the application nothing of %s outside a shop', async (table) => {
    expect(await app.query(`select * from ${table}`, { type: QueryTypes.SELECT })).toEqual([]);
  });

  it('shows nothing after a commit on the same connection either', async () => {
    const single = connect(database, database.app, 1);
    try {
      await withShop(single, shop.id, async () => undefined);
      expect(await single.query('select * from ticket_event', { type: QueryTypes.SELECT })).toEqual(
        [],
      );
    } finally {
      await single.close();
    }
  });

  it('lets no statement of one shop read or write another', async () => {
    expect(
      await inShop(`select * from ticket_event where ticket_id = '${ticket}'`, other.id),
    ).toEqual([]);
    expect(await inShop(`select * from person where shop_id = '${shop.id}'`, other.id)).toEqual([]);
    await expect(
      inShop(
        `insert into customer (shop_id, id, name, phone) values ('${shop.id}', '${randomUUID()}', 'x', '')`,
        other.id,
      ),
    ).rejects.toThrow(/row-level security/);
  });

  it('lets the listener read nothing at all', async () => {
    const listener = connect(database, database.listener, 1);
    try {
      await expect(listener.query('select * from ticket_event')).rejects.toThrow(
        /permission denied/,
      );
      for (const call of [
        "sign_in_card('x')",
        "code_card('x')",
        "customer_link_card('x')",
        'caller_card(null, null, null)',
      ]) {
        await expect(listener.query(`select * from ${call}`)).rejects.toThrow(/permission denied/);
      }
    } finally {
      await listener.close();
    }
  });
});

describe('the server’s own look at its account', () => {
  it('finds the application account safe', async () => {
    expect(await unsafeReasons(app)).toEqual([]);
  });

  it('would not run as the owner', async () => {
    const owner = connect(database, database.owner as NonNullable<typeof database.owner>, 1);
    expect((await unsafeReasons(owner)).join()).toMatch(/owns the table/);
    await owner.close();
  });

  it('would not run where row-level security is not forced, nor without tables', async () => {
    const loose = await freshDatabase();
    await asSuper(loose.name, 'alter table customer no force row level security');
    const db = connect(loose, loose.app, 1);
    expect(await unsafeReasons(db)).toEqual([
      'row-level security is not forced on the table customer',
    ]);
    await asSuper(loose.name, 'drop schema public cascade', 'create schema public');
    expect((await unsafeReasons(db)).join()).toMatch(/tables are missing/);
    await db.close();
  });
});

describe('a database from before calls were known', () => {
  it('has the lines of every shop filled in, and stays under the rule of one shop', async () => {
    await asSuper(
      database.name,
      "update ticket_summary set line = line - 'call'",
      "delete from migration where name = '0005-calls'",
    );
    const owner = connect(database, database.owner as NonNullable<typeof database.owner>, 2);
    expect(await migrate(owner)).toEqual(['0005-calls']);
    await owner.close();
    const [lines] = await asSuper(
      database.name,
      "select line ? 'call' as known from ticket_summary",
    );
    expect(lines?.rows.length).toBeGreaterThan(0);
    expect(lines?.rows.every(({ known }: { known: boolean }) => known)).toBe(true);
    expect(await unsafeReasons(app)).toEqual([]);
  });
});

import { randomUUID } from 'node:crypto';
import { describe, expect, inject, it } from 'vitest';
import { connect, defineModels, migrate, Notices, withShop } from '../src/index.ts';
import { MIGRATIONS } from '../src/migrations/index.ts';
import { lowSpace } from '../src/notices/space.ts';
import { asSuper } from './database.ts';

const BEFORE = MIGRATIONS.slice(
  0,
  MIGRATIONS.findIndex(({ name }) => name === '0012-mend'),
);
const AFTER = MIGRATIONS.slice(BEFORE.length).map(({ name }) => name);

/** A database as an earlier version left it. */
async function databaseOfBefore() {
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  const template = inject('database');
  await asSuper('postgres', `create database ${name} owner nodo_owner`);
  await asSuper(
    name,
    `alter schema public owner to nodo_owner;
     grant usage on schema public to nodo_app, nodo_listener;`,
  );
  const settings = { ...template, name };
  if (!template.owner) throw new Error('no owner');
  const owner = connect(settings, template.owner, 2);
  await owner.query('create table migration (name varchar(255) primary key)');
  for (const migration of BEFORE) {
    for (const statement of migration.statements) await owner.query(statement);
    await owner.query('insert into migration values ($1)', { bind: [migration.name] });
  }
  return { name, owner, app: connect(settings, settings.app, 1) };
}

describe('a disk with little room', () => {
  it('is told as long as it lasts, and cannot be put away', () => {
    const now = new Date('2026-03-02T10:00:00Z');
    expect(lowSpace(999e6, now)).toEqual([
      { id: null, at: now.toISOString(), notice: { kind: 'low-space', megabytes: 999 } },
    ]);
    expect(lowSpace(1e9, now)).toEqual([]);
  });
});

describe('what earlier versions left behind', () => {
  it('is found when the tables are brought up to date, mended, and told to the lead', async () => {
    const { name, owner, app } = await databaseOfBefore();
    const [shop, lead, other, screen, ticket, mine] = Array.from({ length: 6 }, () => randomUUID());
    const person = (id: string | undefined, login: string, role: string) =>
      `insert into person (shop_id, id, login, name, initials, role, thread)
       values ('${shop}', '${id}', '${login}', '${login}', 'XX', '${role}', 0)`;
    const event = (of: string | undefined, seq: number, device: string, received: string) =>
      `insert into ticket_event (shop_id, ticket_id, seq, id, type, version, actor_id, actor_role,
         device, observed_at, received_at, epoch, knowledge, body)
       values ('${shop}', '${of}', ${seq}, gen_random_uuid(), 'observation-noted', 1, '${lead}', 'lead',
         '${device}', '${received}', '${received}', 0, '${'0'.repeat(64)}', '{}')`;
    await asSuper(
      name,
      `insert into shop (id, name) values ('${shop}', 'Bench Nowhere')`,
      person(lead, 'Halle.Ost', 'lead'),
      person(other, 'tavi', 'technician'),
      `insert into knowledge_edition (shop_id, hash, content) values ('${shop}', '${'0'.repeat(64)}', '{}')`,
      `insert into screen (shop_id, id, device, agent, opened_at, seen_at)
       values ('${shop}', '${screen}', 'shared bench', '', now(), now())`,
      ...[lead, other].map(
        (one) => `insert into screen_person (shop_id, screen_id, person_id, since, seen_at)
         values ('${shop}', '${screen}', '${one}', '2026-03-01T10:00:00Z', now())`,
      ),
      event(ticket, 1, 'shared bench', '2026-03-02T10:00:00Z'),
      event(ticket, 2, 'shared bench', '2026-03-02T11:00:00Z'),
      // On a screen of the lead's own, and before anybody else came to the shared one.
      event(mine, 1, 'office', '2026-03-02T11:00:00Z'),
      event(mine, 2, 'shared bench', '2026-02-02T11:00:00Z'),
      `insert into customer (shop_id, id, name, phone, other, reach, notes, revision, erased_at)
       values ('${shop}', gen_random_uuid(), '', '', '', 'telephone', '', 1, now())`,
      `insert into search_word (shop_id, word) values ('${shop}', 'quorn'), ('${shop}', 'teal')`,
      `insert into search_place (shop_id, word, kind, id, at)
       values ('${shop}', 'teal', 'ticket', '${ticket}', now())`,
    );
    expect(await migrate(owner)).toEqual(AFTER);
    expect(await migrate(owner)).toEqual([]);

    const notices = new Notices(app);
    const told = await notices.list(shop ?? '');
    expect(told.map(({ notice }) => notice)).toEqual(
      expect.arrayContaining([
        { kind: 'erased-words-removed', words: 1 },
        { kind: 'entries-unproven', entries: 2, tickets: [ticket] },
      ]),
    );
    expect(told).toHaveLength(2);
    const [words, logins] = await asSuper(
      name,
      'select word from search_word',
      'select login from person order by login',
    );
    expect(words?.rows).toEqual([{ word: 'teal' }]);
    expect(logins?.rows).toEqual([{ login: 'halle.ost' }, { login: 'tavi' }]);

    await notices.putAway(shop ?? '', told[0]?.id ?? '', lead ?? '', new Date());
    expect(await notices.list(shop ?? '')).toHaveLength(1);
    expect(await notices.list(randomUUID())).toEqual([]);
    // Row-level security holds for everybody again.
    const [forced] = await asSuper(
      name,
      `select count(*)::int as open from pg_class where relkind = 'r' and relrowsecurity
        and not relforcerowsecurity`,
    );
    expect(forced?.rows).toEqual([{ open: 0 }]);
    const shops = await withShop(app, randomUUID(), (transaction) =>
      defineModels(app).shops.findAll({ transaction }),
    );
    expect(shops).toEqual([]);
    await owner.close();
    await app.close();
  });

  it('a step that fails leaves neither itself nor its note', async () => {
    const { name, owner, app } = await databaseOfBefore();
    // In the way of the last of its statements but a few.
    await asSuper(name, 'create table notice (id int)');
    await expect(migrate(owner)).rejects.toThrow(/notice/);
    const [noted, columns] = await asSuper(
      name,
      'select count(*)::int as steps from migration',
      "select 1 from information_schema.columns where table_name = 'shop' and column_name = 'filled_at'",
    );
    expect(noted?.rows).toEqual([{ steps: BEFORE.length }]);
    expect(columns?.rows).toEqual([]);
    await asSuper(name, 'drop table notice');
    expect(await migrate(owner)).toEqual(AFTER);
    await owner.close();
    await app.close();
  });

  it('data of a newer version is not touched', async () => {
    const { owner, app } = await databaseOfBefore();
    await owner.query("insert into migration values ('9999-of-the-future')");
    await expect(migrate(owner)).rejects.toThrow('newer-data 9999-of-the-future');
    await owner.close();
    await app.close();
  });
});

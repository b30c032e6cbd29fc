import { randomUUID } from 'node:crypto';
import type { Sequelize } from 'sequelize';
import { afterAll, beforeAll } from 'vitest';
import { connect, PostgresEventStore } from '../src/index.ts';
import { MemoryEventStore } from '../src/store/memory.ts';
import { freshDatabase } from './database.ts';
import { eventStoreSuite, type StoreUnderTest } from './eventStoreSuite.ts';
import { makeShop } from './shop.ts';
import { tablesSuite } from './tablesSuite.ts';

const inMemory = async (): Promise<StoreUnderTest> => ({
  store: new MemoryEventStore(),
  shop: randomUUID(),
  otherShop: randomUUID(),
  actor: { person: randomUUID(), role: 'technician' },
});

let db: Sequelize;
beforeAll(async () => {
  const database = await freshDatabase();
  db = connect(database, database.app);
});
afterAll(() => db.close());

const inPostgres = async (): Promise<StoreUnderTest> => {
  const shop = await makeShop(db);
  const otherShop = await makeShop(db);
  return {
    store: new PostgresEventStore(db),
    shop: shop.id,
    otherShop: otherShop.id,
    actor: { person: shop.people.technician.person, role: 'technician' },
  };
};

for (const [name, open] of [
  ['memory', inMemory],
  ['PostgreSQL', inPostgres],
] as const) {
  eventStoreSuite(name, open);
  tablesSuite(name, open);
}

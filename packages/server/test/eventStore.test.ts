import { randomUUID } from 'node:crypto';
import type { Sequelize } from 'sequelize';
import { afterAll, beforeAll } from 'vitest';
import { connect, PostgresEventStore } from '../src/index.ts';
import { MemoryEventStore } from '../src/store/memory.ts';
import { freshDatabase } from './database.ts';
import { eventStoreSuite } from './eventStoreSuite.ts';
import { makeShop } from './shop.ts';

eventStoreSuite('memory', async () => ({
  store: new MemoryEventStore(),
  shop: randomUUID(),
  otherShop: randomUUID(),
  actor: { person: randomUUID(), role: 'technician' },
}));

let db: Sequelize;
beforeAll(async () => {
  const database = await freshDatabase();
  db = connect(database, database.app);
});
afterAll(() => db.close());

eventStoreSuite('PostgreSQL', async () => {
  const shop = await makeShop(db);
  const otherShop = await makeShop(db);
  return {
    store: new PostgresEventStore(db),
    shop: shop.id,
    otherShop: otherShop.id,
    actor: { person: shop.people.technician.person, role: 'technician' },
  };
});

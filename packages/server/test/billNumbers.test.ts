import { randomUUID } from 'node:crypto';
import type { IssuedBill } from '@nodo/shop';
import type { Sequelize } from 'sequelize';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { connect, withShop } from '../src/index.ts';
import { Bills } from '../src/profiles/bills.ts';
import { aBill } from './aBill.ts';
import { startTestServer, type TestServer } from './server.ts';
import { makeShop, type TestShop } from './shop.ts';

let server: TestServer;
let db: Sequelize;
let bills: Bills;
let shop: TestShop;

beforeAll(async () => {
  server = await startTestServer();
  db = connect(server.database, server.database.app, 8);
  bills = new Bills(db);
  shop = await makeShop(db);
});
afterAll(async () => {
  await db.close();
  await server.stop();
});

type Issue = Parameters<Bills['issue']>[2];
const issue = (ticket: string, change: Partial<Issue> = {}) =>
  bills.issue(shop.id, ticket, {
    id: randomUUID(),
    kind: 'bill',
    reason: '',
    by: shop.people.counter.person,
    at: new Date('2026-03-02T10:00:00Z'),
    content: aBill('Teal zigzag'),
    ...change,
  });
const numbers = (list: readonly IssuedBill[]) => list.map(({ number }) => number);

describe('the numbers of a shop’s bills', () => {
  it('run without gaps, however many are written at once and whatever is refused between', async () => {
    const tickets = Array.from({ length: 12 }, () => randomUUID());
    const before = await latest();
    const answers = await Promise.all(
      tickets.flatMap((ticket) => [issue(ticket), issue(randomUUID(), { content: undefined })]),
    );
    expect(answers.filter((answer) => answer === 'issued')).toHaveLength(12);
    expect(answers.filter((answer) => answer === 'no-bill')).toHaveLength(12);
    const given = await Promise.all(tickets.map((ticket) => bills.of(shop.id, ticket)));
    expect(given.flatMap(numbers).sort((a, b) => a - b)).toEqual(
      tickets.map((_, index) => before + index + 1),
    );
  });

  it('begin with one in each shop', async () => {
    const other = await makeShop(db);
    const ticket = randomUUID();
    await bills.issue(other.id, ticket, {
      id: randomUUID(),
      kind: 'bill',
      reason: '',
      by: other.people.lead.person,
      at: new Date(),
      content: aBill('Mint'),
    });
    expect(numbers(await bills.of(other.id, ticket))).toEqual([1]);
    expect(await bills.of(shop.id, ticket)).toEqual([]);
  });

  it('belong to what was asked first under an id', async () => {
    const id = randomUUID();
    expect(await issue(randomUUID(), { id })).toBe('issued');
    expect(await issue(randomUUID(), { id })).toBe('id-used-otherwise');
  });
});

describe('a bill that was handed over', () => {
  it.each(["update bill set reason = 'x'", 'delete from bill'])(
    'is not changed by %s',
    async (statement) => {
      const ticket = randomUUID();
      await issue(ticket);
      const before = await bills.of(shop.id, ticket);
      await expect(
        withShop(db, shop.id, (transaction) => db.query(statement, { transaction })),
      ).rejects.toThrow();
      expect(await bills.of(shop.id, ticket)).toEqual(before);
    },
  );
});

/** The latest number that the shop gave. */
async function latest(): Promise<number> {
  const [rows] = await withShop(db, shop.id, (transaction) =>
    db.query('select coalesce(max(number), 0)::int as number from bill', { transaction }),
  );
  return (rows as { number: number }[])[0]?.number ?? 0;
}

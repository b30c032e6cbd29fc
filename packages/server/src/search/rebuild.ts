import { QueryTypes, type Sequelize } from 'sequelize';
import { withShop } from '../db/connect.ts';
import type { Log } from '../log.ts';
import { type Found, placeWords } from './places.ts';

/** So many are read and written together. */
const TOGETHER = 500;

const IDS: Readonly<Record<Found['kind'], string>> = {
  ticket: 'select ticket_id as id from ticket_summary where shop_id = $1 and ticket_id > $2',
  machine: 'select id from machine where shop_id = $1 and id > $2',
  customer: 'select id from customer where shop_id = $1 and id > $2',
};
const BEFORE_ALL = '00000000-0000-0000-0000-000000000000';

/** Rebuilds the search words of everything in a shop. @returns how many there are */
export async function rebuildWords(db: Sequelize, shop: string): Promise<number> {
  let count = 0;
  for (const kind of ['customer', 'machine', 'ticket'] as const) {
    let after = BEFORE_ALL;
    for (;;) {
      const ids = await withShop(db, shop, async (transaction) => {
        const rows = await db.query<{ id: string }>(`${IDS[kind]} order by 1 limit $3`, {
          bind: [shop, after, TOGETHER],
          transaction,
          type: QueryTypes.SELECT,
        });
        const found = rows.map(({ id }) => id);
        await placeWords(db, shop, kind, found, transaction);
        return found;
      });
      count += ids.length;
      const last = ids.at(-1);
      if (last === undefined) break;
      after = last;
    }
  }
  return count;
}

/** Shops whose tickets are older than search: nothing of theirs would be found. */
export async function rebuildMissingWords(db: Sequelize, log: Log): Promise<void> {
  const shops = await db.query<{ shop: string }>('select * from shops_without_words()', {
    type: QueryTypes.SELECT,
  });
  for (const { shop } of shops) {
    const count = await rebuildWords(db, shop);
    log({ level: 'info', event: 'search-words-made', count });
  }
}

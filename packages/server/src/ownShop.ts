import { Accounts } from './auth/accounts.ts';
import type { DatabaseSettings } from './config/settings.ts';
import { connect, withShop } from './db/connect.ts';
import { defineModels } from './db/models.ts';

/** How the first lead of a new shop signs in for the first time, where nothing else was said. */
export const FIRST_LOGIN = 'lead';

/** Whether a shop of one's own was there, and the code of its first lead as long as nobody has taken it. */
export interface OwnShop {
  readonly before: 'nothing' | 'untaken' | 'taken';
  readonly login: string;
  /** Undefined once somebody has a password. */
  readonly code: string | undefined;
}

/**
 * Makes an empty shop with one lead, who has no password but a code that is good once; while nobody has taken it,
 * each call hands out a new one, and the one before is worth nothing.
 * @param shop its id, kept beside the data
 * @param login of its first lead
 */
export async function openOwnShop(
  database: DatabaseSettings,
  shop: string,
  login: string,
  now: () => Date,
): Promise<OwnShop> {
  const db = connect(database, database.app, 2);
  try {
    const models = defineModels(db);
    const accounts = new Accounts(db, now);
    const isNew = await withShop(db, shop, async (transaction) => {
      if (await models.shops.findOne({ where: { id: shop }, transaction })) return false;
      await models.shops.create({ id: shop, name: 'My shop', filledAt: now() }, { transaction });
      return true;
    });
    const people = await withShop(db, shop, (transaction) =>
      models.people.findAll({ where: { shopId: shop }, transaction }),
    );
    if (people.some(({ passwordHash }) => passwordHash !== null)) {
      return { before: 'taken', login, code: undefined };
    }
    const [first] = people;
    const handed = first
      ? await accounts.reset(shop, first.id)
      : await accounts.invite(shop, {
          login,
          name: 'Lead',
          initials: 'L',
          role: 'lead',
        });
    if (!handed) throw new Error(`The sign-in name ${login} is taken in this database.`);
    return { before: isNew ? 'nothing' : 'untaken', login, code: handed.code };
  } finally {
    await db.close();
  }
}

import { QueryTypes, Sequelize, type Transaction } from 'sequelize';
import type { Account, DatabaseSettings } from '../config/settings.ts';

/** A pool of connections for one account. */
export function connect(database: DatabaseSettings, account: Account, most = 10): Sequelize {
  return new Sequelize({
    dialect: 'postgres',
    host: database.host,
    port: database.port,
    database: database.name,
    username: account.user,
    password: account.password,
    logging: false,
    pool: { max: most, min: 0, acquire: 8_000, idle: 30_000 },
    dialectOptions: { application_name: 'nodo' },
  });
}

/**
 * One transaction for one shop. Its first statement sets for the database whose rows these
 * are; without it row-level security shows nothing.
 */
export async function withShop<Result>(
  db: Sequelize,
  shop: string,
  work: (transaction: Transaction) => Promise<Result>,
): Promise<Result> {
  return db.transaction(async (transaction) => {
    await db.query("select set_config('app.shop_id', $1, true)", {
      bind: [shop],
      transaction,
      type: QueryTypes.SELECT,
    });
    return work(transaction);
  });
}

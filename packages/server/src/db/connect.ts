import { checkServerIdentity } from 'node:tls';
import pg, { type ClientConfig } from 'pg';
import { QueryTypes, Sequelize, type Transaction } from 'sequelize';
import type { Account, DatabaseSettings } from '../config/settings.ts';

/** How long a connection may take to come about. */
const CONNECTS_WITHIN_MS = 8_000;
const POOL = 10;

/** Where and as whom an account connects, as `pg` wants it. */
export function reachOf(database: DatabaseSettings, account: Account): ClientConfig {
  const { tls } = database;
  const host = account.host ?? database.host;
  return {
    host,
    port: account.port ?? database.port,
    database: database.name,
    user: account.user,
    password: account.password,
    application_name: 'nodo',
    connectionTimeoutMillis: CONNECTS_WITHIN_MS,
    ...(tls
      ? {
          ssl: {
            ...tls,
            // By the name or number that we called, whichever it is.
            checkServerIdentity: (_name, certificate) => checkServerIdentity(host, certificate),
          },
        }
      : {}),
  };
}

/**
 * Sequelize hears the errors of a connection from the turn after it came about. What the database says in the same packet,
 * such as that it is about to end, nobody would hear, and that ends the process.
 */
class HeardClient extends pg.Client {
  constructor(config?: string | ClientConfig) {
    super(config);
    // The next query on it is refused, which is how Sequelize learns of it.
    this.on('error', () => undefined);
  }
}
const heardPg = Object.create(pg, { Client: { value: HeardClient } }) as object;

/** A pool of connections for one account. */
export function connect(
  database: DatabaseSettings,
  account: Account,
  most = database.pool ?? POOL,
): Sequelize {
  const { ssl, ...at } = reachOf(database, account);
  return new Sequelize({
    dialect: 'postgres',
    dialectModule: heardPg,
    host: String(at.host),
    port: Number(at.port),
    database: database.name,
    username: account.user,
    password: account.password,
    logging: false,
    pool: { max: most, min: 0, acquire: CONNECTS_WITHIN_MS, idle: 30_000 },
    dialectOptions: { application_name: 'nodo', ssl },
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

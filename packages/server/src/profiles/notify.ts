import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';

/** Tells every screen of the shop, on commit, that a card moved. */
export async function notifyOfProfiles(
  db: Sequelize,
  shop: string,
  transaction: Transaction,
): Promise<void> {
  await db.query("select pg_notify('card', $1)", {
    bind: [shop],
    transaction,
    type: QueryTypes.SELECT,
  });
}

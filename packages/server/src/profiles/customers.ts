import type { Customer } from '@nodo/api';
import type { RefusalCode } from '@nodo/kernel';
import type { CustomerProfile } from '@nodo/shop';
import type { RackEntry } from '@nodo/ticket';
import { Op, QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import { withShop } from '../db/connect.ts';
import { type CustomerRow, defineModels, type Models } from '../db/models.ts';
import { lockWords, placeWords, removeUnusedWords } from '../search/places.ts';
import type { MachineRow, ProfileModels } from './models.ts';
import { defineProfileModels } from './models.ts';
import { newestFirst } from './newestFirst.ts';
import { notifyOfProfiles } from './notify.ts';

/** What is known of a person who brings machines. */
export interface KnownCustomer {
  readonly row: CustomerRow;
  /** Those that were merged into this one, directly or through each other. */
  readonly doubles: readonly CustomerRow[];
  readonly machines: readonly MachineRow[];
  /** Theirs and their doubles', the latest first. */
  readonly tickets: readonly RackEntry[];
}

type Changed =
  | 'changed'
  | Extract<RefusalCode, 'no-such-customer' | 'card-moved' | 'erased' | 'already-so'>;

/** The people who bring machines. */
export class Customers {
  private readonly models: Models & ProfileModels;

  constructor(
    private readonly db: Sequelize,
    private readonly now: () => Date,
  ) {
    this.models = { ...defineModels(db), ...defineProfileModels(db) };
  }

  find(shop: string, id: string): Promise<KnownCustomer | undefined> {
    return withShop(this.db, shop, async (transaction) => {
      const row = await this.models.customers.findOne({ where: { shopId: shop, id }, transaction });
      if (!row) return undefined;
      const doubles = await this.doublesOf(shop, [id], transaction);
      const ids = [id, ...doubles.map((double) => double.id)];
      const machines = await this.models.machines.findAll({
        where: { shopId: shop, customerId: ids },
        transaction,
      });
      const tickets = await this.models.summaries.findAll({
        where: { shopId: shop, customerId: ids },
        transaction,
      });
      const customerName = row.erasedAt ? null : row.name;
      const customerPhone = row.erasedAt ? null : row.phone;
      return {
        row,
        doubles,
        machines,
        tickets: newestFirst(tickets).map((line) => ({ ...line, customerName, customerPhone })),
      };
    });
  }

  change(shop: string, id: string, revision: number, card: CustomerProfile): Promise<Changed> {
    return this.changing(shop, id, async (row, transaction) => {
      if (row.erasedAt) return 'erased';
      if (row.revision !== revision) return 'card-moved';
      await row.update({ ...card, revision: revision + 1 }, { transaction });
      return 'changed';
    });
  }

  /** @param into null takes a merging back. */
  merge(shop: string, id: string, into: string | null): Promise<Changed> {
    return this.changing(shop, id, async (row, transaction) => {
      if (row.mergedInto === into) return 'already-so';
      if (into !== null) {
        const other = await this.models.customers.findOne({
          where: { shopId: shop, id: into },
          transaction,
        });
        if (!other) return 'no-such-customer';
        if (other.erasedAt || row.erasedAt) return 'erased';
        const behind = await this.doublesOf(shop, [id], transaction);
        // Each would be the other's double.
        if (into === id || behind.some((double) => double.id === into)) return 'already-so';
      }
      await row.update({ mergedInto: into }, { transaction });
      return 'changed';
    });
  }

  /**
   * Erases a person and their doubles: name, numbers, notes, links, and the words they are found
   * by. @returns the tickets whose signatures must go too.
   */
  erase(shop: string, id: string): Promise<readonly string[] | undefined> {
    return withShop(this.db, shop, async (transaction) => {
      const where = { shopId: shop, id };
      const row = await this.models.customers.findOne({ where, transaction });
      if (!row) return undefined;
      await lockWords(this.db, transaction);
      const doubles = await this.doublesOf(shop, [id], transaction);
      const ids = [row, ...doubles].map((one) => one.id);
      await this.models.customers.update(
        { name: '', phone: '', other: '', notes: '', erasedAt: this.now() },
        { where: { shopId: shop, id: ids }, transaction },
      );
      await this.db.query(
        `update customer_link set revoked_at = coalesce(revoked_at, $3)
          where shop_id = $1 and ticket_id in
            (select ticket_id from ticket_summary where shop_id = $1 and customer_id = any($2))`,
        { bind: [shop, ids, this.now()], transaction },
      );
      const tickets = await this.refresh(shop, ids, transaction);
      await removeUnusedWords(this.db, shop, transaction);
      await notifyOfProfiles(this.db, shop, transaction);
      return tickets;
    });
  }

  private changing(
    shop: string,
    id: string,
    change: (row: CustomerRow, transaction: Transaction) => Promise<Changed>,
  ): Promise<Changed> {
    return withShop(this.db, shop, async (transaction) => {
      const row = await this.models.customers.findOne({
        where: { shopId: shop, id },
        lock: transaction.LOCK.UPDATE,
        transaction,
      });
      if (!row) return 'no-such-customer';
      const changed = await change(row, transaction);
      if (changed === 'changed') {
        await this.refresh(shop, [id], transaction);
        await notifyOfProfiles(this.db, shop, transaction);
      }
      return changed;
    });
  }

  /** What is found by their names is found by what they are called now. */
  private async refresh(
    shop: string,
    ids: readonly string[],
    transaction: Transaction,
  ): Promise<readonly string[]> {
    const of = async (table: string, column: string): Promise<string[]> => {
      const rows = await this.db.query<{ id: string }>(
        `select ${column} as id from ${table} where shop_id = $1 and customer_id = any($2)`,
        { bind: [shop, [...ids]], transaction, type: QueryTypes.SELECT },
      );
      return rows.map(({ id }) => id);
    };
    const tickets = await of('ticket_summary', 'ticket_id');
    await placeWords(this.db, shop, 'customer', ids, transaction);
    await placeWords(this.db, shop, 'machine', await of('machine', 'id'), transaction);
    await placeWords(this.db, shop, 'ticket', tickets, transaction);
    return tickets;
  }

  private async doublesOf(
    shop: string,
    ids: readonly string[],
    transaction: Transaction,
  ): Promise<readonly CustomerRow[]> {
    const found = await this.models.customers.findAll({
      where: { shopId: shop, mergedInto: { [Op.in]: [...ids] } },
      order: [['id', 'ASC']],
      transaction,
    });
    if (found.length === 0) return [];
    const behind = await this.doublesOf(
      shop,
      found.map(({ id }) => id),
      transaction,
    );
    return [...found, ...behind];
  }
}

/** Each as the one they were merged into; those who were erased are left out. */
export async function knownAs(
  models: Pick<Models, 'customers'>,
  shop: string,
  ids: readonly string[],
  transaction: Transaction,
): Promise<ReadonlyMap<string, CustomerRow>> {
  if (ids.length === 0) return new Map();
  const where = { shopId: shop, id: [...new Set(ids)] };
  const rows = await models.customers.findAll({ where, transaction });
  const merged = rows.flatMap(({ mergedInto }) => mergedInto ?? []);
  const beyond = await knownAs(models, shop, merged, transaction);
  const known = rows.flatMap((row) => {
    const one = row.mergedInto === null ? row : beyond.get(row.mergedInto);
    return one && !one.erasedAt ? [[row.id, one] as const] : [];
  });
  return new Map(known);
}

export function toCustomerProfile({
  name,
  phone,
  other,
  reach,
  notes,
}: CustomerRow): CustomerProfile {
  return { name, phone, other, reach: reach as CustomerProfile['reach'], notes };
}

export function toCustomer(row: CustomerRow): Customer {
  return { id: row.id, ...toCustomerProfile(row) };
}

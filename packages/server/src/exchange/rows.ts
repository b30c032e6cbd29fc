import type { CustomerRow, MachineRow } from '@nodo/exchange';
import { type IssuedBill, machineProfile } from '@nodo/shop';
import type { Sequelize, Transaction } from 'sequelize';
import { withShop } from '../db/connect.ts';
import { defineModels, type Models, type CustomerRow as StoredCustomer } from '../db/models.ts';
import type { Bills } from '../profiles/bills.ts';
import { toCustomerProfile } from '../profiles/customers.ts';
import { defineProfileModels, type ProfileModels } from '../profiles/models.ts';
import type { ShopProfiles } from '../profiles/shopProfiles.ts';
import type { EventStore } from '../store/port.ts';

export interface CustomersThere {
  /** In the order of their ids; without those who were erased. */
  readonly there: readonly CustomerRow[];
  readonly erased: ReadonlySet<string>;
}

/** What is written out of a shop, and what its new rows are held against. */
export class ExchangeRows {
  private readonly models: Models & ProfileModels;

  constructor(
    private readonly db: Sequelize,
    readonly store: EventStore,
    private readonly issued: Bills,
    private readonly sheets: ShopProfiles,
  ) {
    this.models = { ...defineModels(db), ...defineProfileModels(db) };
  }

  customers(shop: string): Promise<CustomersThere> {
    return withShop(this.db, shop, (transaction) => this.customersIn(shop, transaction));
  }

  machines(shop: string): Promise<readonly MachineRow[]> {
    return withShop(this.db, shop, async (transaction) => {
      const { there } = await this.customersIn(shop, transaction);
      const names = new Map(there.map(({ id, card }) => [id, card.name]));
      return (await this.machinesIn(shop, transaction)).map((machine) => ({
        ...machine,
        customerName: names.get(machine.customer ?? '') ?? '',
      }));
    });
  }

  bills(shop: string): Promise<readonly IssuedBill[]> {
    return this.issued.all(shop);
  }

  async currency(shop: string): Promise<string> {
    return (await this.sheets.read(shop)).card.currency;
  }

  /** @param isToBeChanged nobody else changes them until the transaction is over */
  async customersIn(
    shop: string,
    transaction: Transaction,
    isToBeChanged = false,
  ): Promise<CustomersThere> {
    const rows = await this.models.customers.findAll({
      where: { shopId: shop },
      order: [['id', 'ASC']],
      transaction,
      ...(isToBeChanged && { lock: transaction.LOCK.UPDATE }),
    });
    const isErased = ({ erasedAt }: StoredCustomer) => erasedAt !== null;
    return {
      there: rows
        .filter((row) => !isErased(row))
        .map((row) => ({ id: row.id, card: toCustomerProfile(row), mergedInto: row.mergedInto })),
      erased: new Set(rows.filter(isErased).map(({ id }) => id)),
    };
  }

  /** @param isToBeChanged as in {@link customersIn} */
  async machinesIn(
    shop: string,
    transaction: Transaction,
    isToBeChanged = false,
  ): Promise<readonly Omit<MachineRow, 'customerName'>[]> {
    const rows = await this.models.machines.findAll({
      where: { shopId: shop },
      order: [['id', 'ASC']],
      transaction,
      ...(isToBeChanged && { lock: transaction.LOCK.UPDATE }),
    });
    // One from before a field was there has what stands for it.
    return rows.map(({ id, customerId, card }) => ({
      id,
      customer: customerId,
      card: machineProfile.parse(card),
    }));
  }
}

import type { NewMachine } from '@nodo/api';
import type { RefusalCode } from '@nodo/kernel';
import type { MachineProfile } from '@nodo/shop';
import type { RackEntry } from '@nodo/ticket';
import { Op, type Sequelize, type Transaction } from 'sequelize';
import { withShop } from '../db/connect.ts';
import { defineModels, type Models } from '../db/models.ts';
import { placeWords } from '../search/places.ts';
import { knownAs } from './customers.ts';
import type { MachineRevisionRow, MachineRow, ProfileModels } from './models.ts';
import { defineProfileModels } from './models.ts';
import { newestFirst } from './newestFirst.ts';
import { notifyOfProfiles } from './notify.ts';

export interface KnownMachine {
  readonly row: MachineRow;
  readonly customerName: string | null;
  /** Every card it ever had, the present one first. */
  readonly revisions: readonly MachineRevisionRow[];
  /** The latest first. */
  readonly tickets: readonly RackEntry[];
}

export interface MachineChange {
  readonly revision: number;
  readonly card: MachineProfile;
  readonly customer: string | null;
}

type Changed =
  | 'changed'
  | Extract<RefusalCode, 'no-such-machine' | 'no-such-customer' | 'card-moved'>;

/** The machines that came to a shop. */
export class Machines {
  private readonly models: Models & ProfileModels;

  constructor(
    private readonly db: Sequelize,
    private readonly now: () => Date,
  ) {
    this.models = { ...defineModels(db), ...defineProfileModels(db) };
  }

  find(shop: string, id: string): Promise<KnownMachine | undefined> {
    return withShop(this.db, shop, async (transaction) => {
      const row = await this.models.machines.findOne({ where: { shopId: shop, id }, transaction });
      if (!row) return undefined;
      const revisions = await this.models.machineRevisions.findAll({
        where: { shopId: shop, machineId: id },
        order: [['revision', 'DESC']],
        transaction,
      });
      const tickets = await this.models.summaries.findAll({
        where: { shopId: shop, machineId: id },
        transaction,
      });
      const owners = row.customerId === null ? [] : [row.customerId];
      const [owner] = (await knownAs(this.models, shop, owners, transaction)).values();
      return {
        row,
        customerName: owner?.name ?? null,
        revisions,
        // Who brought it then may be somebody else.
        tickets: newestFirst(tickets).map((line) => ({
          ...line,
          customerName: null,
          customerPhone: null,
        })),
      };
    });
  }

  change(shop: string, id: string, by: string, change: MachineChange): Promise<Changed> {
    return withShop(this.db, shop, async (transaction) => {
      const row = await this.models.machines.findOne({
        where: { shopId: shop, id },
        lock: transaction.LOCK.UPDATE,
        transaction,
      });
      if (!row) return 'no-such-machine';
      if (row.revision !== change.revision) return 'card-moved';
      const { card, customer } = change;
      if (customer !== null) {
        const where = { shopId: shop, id: customer };
        const owners = await this.models.customers.count({ where, transaction });
        if (owners === 0) return 'no-such-customer';
      }
      const revision = change.revision + 1;
      await row.update({ card, customerId: customer, revision }, { transaction });
      await this.models.machineRevisions.create(
        { shopId: shop, machineId: id, revision, at: this.now(), byPerson: by, card },
        { transaction },
      );
      const tickets = await this.models.summaries.findAll({
        where: { shopId: shop, machineId: id },
        attributes: ['ticketId'],
        transaction,
      });
      await placeWords(this.db, shop, 'machine', [id], transaction);
      await placeWords(
        this.db,
        shop,
        'ticket',
        tickets.map(({ ticketId }) => ticketId),
        transaction,
      );
      await notifyOfProfiles(this.db, shop, transaction);
      return 'changed';
    });
  }
}

/** Writes down a machine that the shop sees for the first time, within a taking in. */
export async function addMachine(
  db: Sequelize,
  models: ProfileModels,
  shop: string,
  given: NewMachine & { readonly customer: string | null; readonly by: string; readonly at: Date },
  transaction: Transaction,
): Promise<void> {
  const { id, card, customer, by, at } = given;
  await models.machines.bulkCreate(
    [{ shopId: shop, id, customerId: customer, revision: 1, card }],
    { ignoreDuplicates: true, transaction },
  );
  // One that was here before stays as it is.
  const before = { shopId: shop, machineId: id };
  if ((await models.machineRevisions.count({ where: before, transaction })) > 0) return;
  await models.machineRevisions.create(
    { ...before, revision: 1, at, byPerson: by, card },
    { transaction },
  );
  await placeWords(db, shop, 'machine', [id], transaction);
}

/** Whoever brings a machine and is written down with it owns it from then on. */
export async function belongsTo(
  db: Sequelize,
  models: ProfileModels,
  shop: string,
  machine: string,
  customer: string,
  transaction: Transaction,
): Promise<void> {
  const [changed] = await models.machines.update(
    { customerId: customer },
    {
      where: {
        shopId: shop,
        id: machine,
        customerId: { [Op.or]: [{ [Op.ne]: customer }, { [Op.is]: null }] },
      },
      transaction,
    },
  );
  if (changed > 0) await placeWords(db, shop, 'machine', [machine], transaction);
}

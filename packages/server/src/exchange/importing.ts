import type { ImportAnswer } from '@nodo/api';
import { MOST_FAULTS } from '@nodo/api';
import {
  type Column,
  CUSTOMER_COLUMNS,
  guessMatching,
  type ImportKind,
  type ImportPlan,
  MACHINE_COLUMNS,
  type Matching,
  planImport,
  readCsv,
  type Separator,
} from '@nodo/exchange';
import type { Sequelize, Transaction } from 'sequelize';
import { withShop } from '../db/connect.ts';
import { defineModels, type Models } from '../db/models.ts';
import { defineProfileModels, type ProfileModels } from '../profiles/models.ts';
import { notifyOfProfiles } from '../profiles/notify.ts';
import { lockWords, placeWords } from '../search/places.ts';
import { derivedId } from '../store/derivedId.ts';
import { versionIn } from '../store/record.ts';
import type { ExchangeRows } from './rows.ts';

const SAMPLE = 20;
/** Rows that are written by one statement. */
const AT_A_TIME = 1_000;

export interface Given {
  readonly kind: ImportKind;
  readonly text: string;
  readonly separator?: Separator | undefined;
  readonly matching?: Matching | undefined;
  readonly usual?: string | undefined;
  readonly apply: boolean;
}

type Change = ImportPlan['customers'][number] | ImportPlan['machines'][number];

/** Rows from files: looked at, or taken over, all of them or none. */
export class Importing {
  private readonly models: Models & ProfileModels;

  constructor(
    private readonly db: Sequelize,
    private readonly rows: ExchangeRows,
    private readonly now: () => Date,
  ) {
    this.models = { ...defineModels(db), ...defineProfileModels(db) };
  }

  async run(shop: string, by: string, given: Given): Promise<ImportAnswer> {
    const file = readCsv(given.text, given.separator);
    const matching = given.matching ?? guessMatching(given.kind, file.header);
    const { source } = await versionIn(this.rows.store, shop);
    const traits = [...new Set(source.families.flatMap((family) => family.traits))];
    const kinds = source.families.map(({ id, title }) => ({ id, name: title, traits }));
    return withShop(this.db, shop, async (transaction) => {
      // Nobody takes the same file over at the same time, or changes a row between looking and writing.
      if (given.apply) await lockWords(this.db, transaction);
      const { there, erased } = await this.rows.customersIn(shop, transaction, given.apply);
      const plan = planImport(
        given.kind,
        file,
        matching,
        {
          customers: there,
          erased,
          machines: await this.rows.machinesIn(shop, transaction, given.apply),
          kinds,
          idFor: (name) => derivedId(`${shop} ${name}`),
        },
        given.usual,
      );
      const applied = given.apply && plan.faults.length === 0;
      if (applied) await this.write(shop, by, plan, transaction);
      return {
        ...answerOf(plan),
        separator: file.separator,
        header: [...file.header],
        matching,
        applied,
      };
    });
  }

  private async write(
    shop: string,
    by: string,
    plan: ImportPlan,
    transaction: Transaction,
  ): Promise<void> {
    const at = this.now();
    const customers = plan.customers.filter(isWritten);
    const machines = plan.machines.filter(isWritten);
    for (const page of pages(customers.filter(({ status }) => status === 'new'))) {
      // One that names another as its double may come before it.
      const rows = page.map(({ id, card }) => ({ shopId: shop, id, ...card }));
      await this.models.customers.bulkCreate(rows, { transaction });
    }
    const doubles = customers.filter(({ status, mergedInto }) => status === 'new' && mergedInto);
    for (const { id, mergedInto } of doubles) {
      await this.models.customers.update(
        { mergedInto },
        { where: { shopId: shop, id }, transaction },
      );
    }
    for (const { id, card, mergedInto } of customers.filter(({ status }) => status === 'changed')) {
      const row = await this.models.customers.findOne({ where: { shopId: shop, id }, transaction });
      await row?.update({ ...card, mergedInto, revision: row.revision + 1 }, { transaction });
    }
    for (const page of pages(machines.filter(({ status }) => status === 'new'))) {
      await this.models.machines.bulkCreate(
        page.map(({ id, card, customer }) => ({
          shopId: shop,
          id,
          customerId: customer,
          revision: 1,
          card,
        })),
        { transaction },
      );
      await this.models.machineRevisions.bulkCreate(
        page.map(({ id, card }) => ({
          shopId: shop,
          machineId: id,
          revision: 1,
          at,
          byPerson: by,
          card,
        })),
        { transaction },
      );
    }
    for (const { id, card, customer } of machines.filter(({ status }) => status === 'changed')) {
      const row = await this.models.machines.findOne({ where: { shopId: shop, id }, transaction });
      if (!row) continue;
      const revision = row.revision + 1;
      await row.update({ card, customerId: customer, revision }, { transaction });
      await this.models.machineRevisions.create(
        { shopId: shop, machineId: id, revision, at, byPerson: by, card },
        { transaction },
      );
    }
    for (const page of pages(customers)) {
      await placeWords(
        this.db,
        shop,
        'customer',
        page.map(({ id }) => id),
        transaction,
      );
    }
    for (const page of pages(machines)) {
      await placeWords(
        this.db,
        shop,
        'machine',
        page.map(({ id }) => id),
        transaction,
      );
    }
    await this.placeTouched(shop, customers, machines, transaction);
    await notifyOfProfiles(this.db, shop, transaction);
  }

  /** What is found by the names of people and machines that changed. */
  private async placeTouched(
    shop: string,
    customers: readonly { readonly id: string; readonly status: string }[],
    machines: readonly { readonly id: string; readonly status: string }[],
    transaction: Transaction,
  ): Promise<void> {
    const changed = (all: typeof customers) =>
      all.filter(({ status }) => status === 'changed').map(({ id }) => id);
    const [people, things] = [changed(customers), changed(machines)];
    if (people.length + things.length === 0) return;
    const tickets = await this.models.summaries.findAll({
      where: { shopId: shop },
      attributes: ['ticketId', 'customerId', 'machineId'],
      transaction,
    });
    const [whose, which] = [new Set(people), new Set(things)];
    const touched = tickets.filter(
      ({ customerId, machineId }) => whose.has(customerId ?? '') || which.has(machineId ?? ''),
    );
    await placeWords(
      this.db,
      shop,
      'ticket',
      touched.map(({ ticketId }) => ticketId),
      transaction,
    );
    if (people.length === 0) return;
    const theirs = await this.models.machines.findAll({
      where: { shopId: shop, customerId: people },
      attributes: ['id'],
      transaction,
    });
    await placeWords(
      this.db,
      shop,
      'machine',
      theirs.map(({ id }) => id),
      transaction,
    );
  }
}

function isWritten({ status }: Change): boolean {
  return status !== 'same';
}

function* pages<Item>(items: readonly Item[]): Generator<readonly Item[]> {
  for (let from = 0; from < items.length; from += AT_A_TIME) {
    yield items.slice(from, from + AT_A_TIME);
  }
}

function answerOf({ customers, machines, faults }: ImportPlan) {
  const all: readonly Change[] = [...customers, ...machines];
  const count = (status: Change['status']) => all.filter((one) => one.status === status).length;
  return {
    counts: {
      new: count('new'),
      changed: count('changed'),
      same: count('same'),
      faulty: new Set(faults.map(({ row }) => row)).size,
    },
    sample: [
      ...customers.slice(0, SAMPLE).map((one) => sampleOf(one, CUSTOMER_COLUMNS)),
      ...machines
        .slice(0, SAMPLE)
        .map((one) => sampleOf({ ...one, customerName: '' }, MACHINE_COLUMNS)),
    ],
    faults: faults.toSorted((a, b) => a.row - b.row).slice(0, MOST_FAULTS),
  };
}

/** As it would be kept; what is empty is left out. */
function sampleOf<Row extends { readonly row: number; readonly status: Change['status'] }>(
  planned: Row,
  columns: readonly Column<Row>[],
) {
  return {
    row: planned.row,
    status: planned.status,
    cells: columns.flatMap(({ name, of }) => {
      const value = of(planned);
      return name === 'id' || value === null || value === ''
        ? []
        : [{ column: name, text: String(value) }];
    }),
  };
}

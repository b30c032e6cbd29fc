import type { Candidate, Customer } from '@nodo/api';
import type { KnowledgeSource } from '@nodo/knowledge';
import type { TableEvent } from '@nodo/tables';
import { beginsTicket, type RackEntry, type TicketEvent, type TicketSummary } from '@nodo/ticket';
import { cast, json, Op, QueryTypes, type Sequelize, type Transaction, where } from 'sequelize';
import { withShop } from '../db/connect.ts';
import {
  defineModels,
  fromEvent,
  fromStreamed,
  type Models,
  type SummaryRow,
  toEvent,
  toTableEvent,
} from '../db/models.ts';
import { knownAs, toCustomer } from '../profiles/customers.ts';
import { addMachine, belongsTo } from '../profiles/machines.ts';
import { defineProfileModels, type ProfileModels } from '../profiles/models.ts';
import { placeWords } from '../search/places.ts';
import { CANDIDATE_TYPES, candidatesIn } from './candidates.ts';
import { CONFLICTS, orConflict, TABLE_CONFLICTS } from './conflicts.ts';
import {
  type Appended,
  type Batch,
  byPlace,
  type Cursor,
  type EventStore,
  type StoredVersion,
} from './port.ts';

/** Tickets in PostgreSQL, through Sequelize. */
export class PostgresEventStore implements EventStore {
  private readonly models: Models & ProfileModels;

  constructor(private readonly db: Sequelize) {
    this.models = { ...defineModels(db), ...defineProfileModels(db) };
  }

  load(shop: string, ticket: string, after = 0): Promise<readonly TicketEvent[]> {
    return withShop(this.db, shop, (transaction) =>
      this.eventsAfter(shop, ticket, after, transaction),
    );
  }

  loadWithTables(
    shop: string,
    ticket: string,
    after = 0,
  ): Promise<{ readonly events: readonly TicketEvent[]; readonly tables: readonly TableEvent[] }> {
    return withShop(this.db, shop, async (transaction) => ({
      events: await this.eventsAfter(shop, ticket, after, transaction),
      tables: await this.tableEventsIn(shop, transaction),
    }));
  }

  loadAll(shop: string, tickets: readonly string[]): Promise<readonly TicketEvent[]> {
    return withShop(this.db, shop, async (transaction) => {
      const rows = await this.models.events.findAll({
        where: { shopId: shop, ticketId: [...tickets] },
        order: [
          ['ticketId', 'ASC'],
          ['seq', 'ASC'],
        ],
        transaction,
      });
      return rows.map(toEvent);
    });
  }

  async append(shop: string, batch: Batch): Promise<Appended> {
    return orConflict(
      CONFLICTS,
      withShop(this.db, shop, (transaction) => this.write(shop, batch, transaction)),
    );
  }

  rack(shop: string): Promise<readonly RackEntry[]> {
    return withShop(this.db, shop, async (transaction) => {
      const rows = await this.models.summaries.findAll({
        where: { shopId: shop, status: { [Op.ne]: 'collected' } },
        transaction,
      });
      return (await this.withNames(shop, rows, transaction)).sort(byPlace);
    });
  }

  newsOf(
    shop: string,
    ticket: string,
    after: number,
  ): Promise<{ readonly events: readonly TicketEvent[]; readonly rack: RackEntry | undefined }> {
    return withShop(this.db, shop, async (transaction) => {
      const events = await this.eventsAfter(shop, ticket, after, transaction);
      const where = { shopId: shop, ticketId: ticket };
      const rows = await this.models.summaries.findAll({ where, transaction });
      const [rack] = await this.withNames(shop, rows, transaction);
      return { events, rack };
    });
  }

  customers(shop: string, ids: readonly string[]): Promise<ReadonlyMap<string, Customer>> {
    return withShop(this.db, shop, async (transaction) => {
      const rows = await knownAs(this.models, shop, ids, transaction);
      return new Map([...rows].map(([id, row]) => [id, toCustomer(row)]));
    });
  }

  collected(shop: string, before: Cursor | undefined, most: number): Promise<readonly RackEntry[]> {
    return withShop(this.db, shop, async (transaction) => {
      const earlier = before && {
        [Op.or]: [
          { collectedAt: { [Op.lt]: new Date(before.at) } },
          { collectedAt: new Date(before.at), ticketId: { [Op.lt]: before.id } },
        ],
      };
      const rows = await this.models.summaries.findAll({
        where: { shopId: shop, status: 'collected', ...earlier },
        order: [
          ['collectedAt', 'DESC'],
          ['ticketId', 'DESC'],
        ],
        limit: most,
        transaction,
      });
      return this.withNames(shop, rows, transaction);
    });
  }

  linesOf(shop: string, tickets: readonly string[]): Promise<readonly RackEntry[]> {
    return withShop(this.db, shop, async (transaction) => {
      const rows = await this.models.summaries.findAll({
        where: { shopId: shop, ticketId: [...tickets] },
        transaction,
      });
      return this.withNames(shop, rows, transaction);
    });
  }

  openAfter(shop: string, after: string | undefined, most: number): Promise<readonly string[]> {
    return withShop(this.db, shop, async (transaction) => {
      const rows = await this.models.summaries.findAll({
        where: {
          shopId: shop,
          status: 'open',
          ...(after === undefined ? {} : { ticketId: { [Op.gt]: after } }),
        },
        attributes: ['ticketId'],
        order: [['ticketId', 'ASC']],
        limit: most,
        transaction,
      });
      return rows.map(({ ticketId }) => ticketId);
    });
  }

  async replaceSummary(shop: string, summary: TicketSummary): Promise<void> {
    await withShop(this.db, shop, (transaction) =>
      this.models.summaries.update(columnsOf(summary), {
        where: {
          [Op.and]: [
            { shopId: shop, ticketId: summary.ticket },
            // Somebody may have made an entry meanwhile: what is newer stays.
            where(cast(json('line.seq'), 'integer'), Op.lte, summary.seq),
          ],
        },
        transaction,
      }),
    );
  }

  ticketIds(shop: string, status?: TicketSummary['status']): Promise<readonly string[]> {
    return withShop(this.db, shop, async (transaction) => {
      const rows = await this.models.summaries.findAll({
        where: { shopId: shop, ...(status === undefined ? {} : { status }) },
        attributes: ['ticketId'],
        transaction,
      });
      return rows.map(({ ticketId }) => ticketId);
    });
  }

  version(shop: string, hash: string): Promise<KnowledgeSource | undefined> {
    return withShop(this.db, shop, async (transaction) => {
      const row = await this.models.versions.findOne({
        where: { shopId: shop, hash },
        transaction,
      });
      return row?.content;
    });
  }

  tableEvents(shop: string): Promise<readonly TableEvent[]> {
    return withShop(this.db, shop, (transaction) => this.tableEventsIn(shop, transaction));
  }

  appendTableEvent(
    shop: string,
    event: TableEvent,
  ): Promise<'appended' | 'seq-taken' | 'id-taken'> {
    return orConflict(
      TABLE_CONFLICTS,
      withShop(this.db, shop, async (transaction) => {
        await this.models.tableEvents.create(fromStreamed(shop, event), { transaction });
        await this.notify('table_event', shop, transaction);
        return 'appended' as const;
      }),
    );
  }

  candidates(shop: string): Promise<readonly Candidate[]> {
    return withShop(this.db, shop, async (transaction) => {
      const rows = await this.models.events.findAll({
        where: { shopId: shop, type: { [Op.in]: [...CANDIDATE_TYPES] } },
        transaction,
      });
      return candidatesIn(rows.map(toEvent));
    });
  }

  announceTables(shop: string): Promise<void> {
    return withShop(this.db, shop, (transaction) => this.notify('table_event', shop, transaction));
  }

  private async tableEventsIn(
    shop: string,
    transaction: Transaction,
  ): Promise<readonly TableEvent[]> {
    const rows = await this.models.tableEvents.findAll({
      where: { shopId: shop },
      order: [['seq', 'ASC']],
      raw: true,
      transaction,
    });
    return rows.map(toTableEvent);
  }

  private async eventsAfter(
    shop: string,
    ticket: string,
    after: number,
    transaction: Transaction,
  ): Promise<readonly TicketEvent[]> {
    const rows = await this.models.events.findAll({
      where: { shopId: shop, ticketId: ticket, seq: { [Op.gt]: after } },
      order: [['seq', 'ASC']],
      raw: true,
      transaction,
    });
    return rows.map(toEvent);
  }

  private async write(shop: string, batch: Batch, transaction: Transaction): Promise<Appended> {
    const first = batch.events[0];
    const last = batch.events.at(-1);
    if (!first || !last || first.seq !== batch.after + 1) return 'seq-taken';
    const begins = beginsTicket(first) ? first : undefined;
    if (batch.customer) {
      await this.models.customers.bulkCreate([{ shopId: shop, ...batch.customer }], {
        ignoreDuplicates: true,
        transaction,
      });
      await placeWords(this.db, shop, 'customer', [batch.customer.id], transaction);
    }
    const owner = begins?.body.customer ?? null;
    if (batch.machine) {
      const by = first.actor.person;
      const at = new Date(first.receivedAt);
      const given = { ...batch.machine, customer: owner, by, at };
      await addMachine(this.db, this.models, shop, given, transaction);
    } else if (begins?.body.machine && owner !== null) {
      await belongsTo(this.db, this.models, shop, begins.body.machine, owner, transaction);
    }
    await this.models.events.bulkCreate(
      batch.events.map((event) => fromEvent(shop, event)),
      { transaction },
    );
    const { summary } = batch;
    if (batch.after === 0) {
      await this.models.summaries.create(
        {
          shopId: shop,
          ticketId: batch.ticket,
          customerId: owner,
          ...columnsOf(summary),
        },
        { transaction },
      );
    } else {
      await this.models.summaries.update(columnsOf(summary), {
        where: { shopId: shop, ticketId: batch.ticket },
        transaction,
      });
    }
    if (batch.events.some(({ type }) => NAMES_THE_MACHINE.has(type))) {
      await placeWords(this.db, shop, 'ticket', [batch.ticket], transaction);
    }
    if (batch.version) await this.keepVersion(shop, batch.version, transaction);
    await this.notify(
      'ticket_event',
      `${shop} ${batch.ticket} ${first.seq} ${last.seq}`,
      transaction,
    );
    return 'appended';
  }

  /** Told on commit only, so that whoever hears it can read it. */
  private async notify(channel: string, what: string, transaction: Transaction): Promise<void> {
    await this.db.query('select pg_notify($1, $2)', {
      bind: [channel, what],
      transaction,
      type: QueryTypes.SELECT,
    });
  }

  private async keepVersion(
    shop: string,
    { hash, content }: StoredVersion,
    transaction: Transaction,
  ): Promise<void> {
    const where = { shopId: shop, hash };
    if ((await this.models.versions.count({ where, transaction })) > 0) return;
    await this.models.versions.bulkCreate([{ ...where, content }], {
      ignoreDuplicates: true,
      transaction,
    });
  }

  private async withNames(
    shop: string,
    rows: readonly SummaryRow[],
    transaction: Transaction,
  ): Promise<RackEntry[]> {
    const ids = rows.flatMap(({ customerId }) => customerId ?? []);
    const customers = await knownAs(this.models, shop, ids, transaction);
    return rows.map(({ line, customerId }) => {
      const customer = customerId === null ? undefined : customers.get(customerId);
      return {
        ...line,
        customerName: customer?.name ?? null,
        customerPhone: customer?.phone ?? null,
      };
    });
  }
}

/** After these a ticket is found by other words. */
const NAMES_THE_MACHINE: ReadonlySet<string> = new Set([
  'intake-taken',
  'call-taken',
  'machine-known',
]);

/** A line on the Rack, and what of it is asked for by the database. */
function columnsOf(line: TicketSummary) {
  const { tag, status, machine, changedAt, collectedAt } = line;
  return {
    tag,
    status,
    machineId: machine,
    changedAt: new Date(changedAt),
    collectedAt: collectedAt === null ? null : new Date(collectedAt),
    line,
  };
}

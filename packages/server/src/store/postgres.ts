import type {
  Candidate,
  Customer,
  RackEntry,
  TableEvent,
  TicketEvent,
  TicketSummary,
} from '@nodo/contract';
import type { KnowledgeSource } from '@nodo/knowledge';
import {
  cast,
  json,
  Op,
  QueryTypes,
  type Sequelize,
  type Transaction,
  UniqueConstraintError,
  where,
} from 'sequelize';
import { candidatesIn, TELLS_OF_CANDIDATES } from './candidates.ts';
import { withShop } from './connect.ts';
import {
  defineModels,
  fromEvent,
  fromStreamed,
  type Models,
  type SummaryRow,
  toEvent,
  toTableEvent,
} from './models.ts';
import { type Appended, type Batch, byPlace, type EventStore, type KeptEdition } from './port.ts';

/** Which constraint of the migrations means what. */
const CONFLICTS = {
  ticket_event_pkey: 'seq-taken',
  ticket_event_id: 'id-taken',
  ticket_summary_pkey: 'seq-taken',
  customer_pkey: 'id-taken',
  ticket_summary_tag: 'tag-taken',
} as const;
const TABLE_CONFLICTS = { table_event_pkey: 'seq-taken', table_event_id: 'id-taken' } as const;

/** Tickets in PostgreSQL, through Sequelize. */
export class PostgresEventStore implements EventStore {
  private readonly models: Models;

  constructor(private readonly db: Sequelize) {
    this.models = defineModels(db);
  }

  load(shop: string, ticket: string, after = 0): Promise<readonly TicketEvent[]> {
    return withShop(this.db, shop, (transaction) =>
      this.eventsAfter(shop, ticket, after, transaction),
    );
  }

  loadWithTables(
    shop: string,
    ticket: string,
  ): Promise<{ readonly events: readonly TicketEvent[]; readonly tables: readonly TableEvent[] }> {
    return withShop(this.db, shop, async (transaction) => ({
      events: await this.eventsAfter(shop, ticket, 0, transaction),
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

  customers(shop: string, ids: readonly string[]): Promise<readonly Customer[]> {
    return withShop(this.db, shop, async (transaction) => {
      const where = { shopId: shop, id: [...ids] };
      const rows = await this.models.customers.findAll({ where, transaction });
      return rows.map(({ id, name, phone }) => ({ id, name, phone }));
    });
  }

  async replaceSummary(shop: string, summary: TicketSummary): Promise<void> {
    await withShop(this.db, shop, (transaction) =>
      this.models.summaries.update(
        { tag: summary.tag, status: summary.status, line: summary },
        {
          where: {
            [Op.and]: [
              { shopId: shop, ticketId: summary.ticket },
              // Somebody may have made an entry meanwhile: what is newer stays.
              where(cast(json('line.seq'), 'integer'), Op.lte, summary.seq),
            ],
          },
          transaction,
        },
      ),
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

  edition(shop: string, hash: string): Promise<KnowledgeSource | undefined> {
    return withShop(this.db, shop, async (transaction) => {
      const row = await this.models.editions.findOne({
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
        where: { shopId: shop, type: { [Op.in]: [...TELLS_OF_CANDIDATES] } },
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
    if (batch.customer) {
      await this.models.customers.create({ shopId: shop, ...batch.customer }, { transaction });
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
          tag: summary.tag,
          status: summary.status,
          customerId: batch.customer?.id ?? null,
          line: summary,
        },
        { transaction },
      );
    } else {
      await this.models.summaries.update(
        { tag: summary.tag, status: summary.status, line: summary },
        { where: { shopId: shop, ticketId: batch.ticket }, transaction },
      );
    }
    if (batch.edition) await this.keepEdition(shop, batch.edition, transaction);
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

  private async keepEdition(
    shop: string,
    { hash, content }: KeptEdition,
    transaction: Transaction,
  ): Promise<void> {
    const where = { shopId: shop, hash };
    if ((await this.models.editions.count({ where, transaction })) > 0) return;
    await this.models.editions.bulkCreate([{ ...where, content }], {
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
    const where = { shopId: shop, id: ids };
    const customers =
      ids.length === 0 ? [] : await this.models.customers.findAll({ where, transaction });
    const names = new Map(customers.map(({ id, name }) => [id, name]));
    return rows.map(({ line, customerId }) => ({
      ...line,
      customerName: (customerId !== null && names.get(customerId)) || null,
    }));
  }
}

/** What was appended, or which constraint it ran into. */
async function orConflict<Done extends string, Conflict extends string>(
  conflicts: Readonly<Record<string, Conflict>>,
  writing: Promise<Done>,
): Promise<Done | Conflict> {
  try {
    return await writing;
  } catch (fault) {
    if (!(fault instanceof UniqueConstraintError)) throw fault;
    const { constraint = '' } = fault.parent as { constraint?: string };
    const conflict = conflicts[constraint];
    if (conflict === undefined) throw fault;
    return conflict;
  }
}

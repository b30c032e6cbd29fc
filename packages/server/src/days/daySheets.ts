import type { DaySheet, Sale, TillCount } from '@nodo/api';
import { type Day, dayAfter, instantAt } from '@nodo/kernel';
import { type TicketEvent, takingsOf } from '@nodo/ticket';
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import { withShop } from '../db/connect.ts';
import {
  defineProfileModels,
  type ProfileModels,
  type TillCountRow,
  type TillSaleRow,
} from '../profiles/models.ts';
import type { EventStore } from '../store/port.ts';

interface Row {
  readonly ticket_id: string;
  readonly type: Counted['type'];
  readonly actor_id: string;
  readonly observed_at: Date;
  readonly body: object;
}

/** What a day is made of. */
type Counted = Extract<
  TicketEvent,
  {
    readonly type:
      | 'intake-taken'
      | 'machine-arrived'
      | 'machine-collected'
      | 'payment-taken'
      | 'payment-returned';
  }
>;
const COUNTED: readonly Counted['type'][] = [
  'intake-taken',
  'machine-arrived',
  'machine-collected',
  'payment-taken',
  'payment-returned',
];

/** What came, went and was paid on the days of a shop, read from the entries of its tickets. */
export class DaySheets {
  private readonly models: ProfileModels;

  constructor(
    private readonly db: Sequelize,
    private readonly store: EventStore,
  ) {
    this.models = defineProfileModels(db);
  }

  /** An entry belongs to the day on which it was made, however late it arrived; what was undone counts nowhere. */
  async of(shop: string, day: Day, zone: string): Promise<DaySheet> {
    const { rows, sales, counts } = await withShop(this.db, shop, async (transaction) => ({
      rows: await this.entriesOf(shop, { day, zone }, transaction),
      sales: await this.salesOf(shop, day, transaction),
      counts: await this.countsOf(shop, day, transaction),
    }));
    const lines = await this.store.linesOf(shop, [...new Set(rows.map((row) => row.ticket_id))]);
    const byTicket = new Map(lines.map((line) => [line.ticket, line]));
    const ofType = <Type extends Counted['type']>(...types: readonly Type[]) =>
      rows.flatMap((row) => {
        const line = byTicket.get(row.ticket_id);
        if (!line || !(types as readonly string[]).includes(row.type)) return [];
        const body = row.body as Extract<Counted, { readonly type: Type }>['body'];
        return [
          { at: row.observed_at.toISOString(), by: row.actor_id, type: row.type, body, line },
        ];
      });
    const payments = ofType('payment-taken', 'payment-returned').map(
      ({ at, by, type, line, body: { how, amount } }) => ({
        at,
        by,
        line,
        how,
        amount: type === 'payment-returned' ? -amount : amount,
      }),
    );
    const sold = sales.map(({ how, total }) => ({ how, amount: total }));
    return {
      day,
      takenIn: ofType('intake-taken', 'machine-arrived').map(({ at, line }) => ({ at, line })),
      handedOut: ofType('machine-collected').map(({ at, line, body }) => ({
        at,
        line,
        withoutBill: body.withoutBill ?? null,
      })),
      payments,
      sales: [...sales],
      takings: takingsOf([...payments, ...sold]),
      counts: [...counts],
    };
  }

  /** @returns the day with the count; undefined where the id names something else */
  async count(
    shop: string,
    { day, zone }: { readonly day: Day; readonly zone: string },
    { id, counted, note }: { readonly id: string; readonly counted: number; readonly note: string },
    { by, at }: { readonly by: string; readonly at: Date },
  ): Promise<DaySheet | undefined> {
    const sheet = await this.of(shop, day, zone);
    const taken = sheet.takings.cash;
    const row = await withShop(this.db, shop, async (transaction) =>
      keptOnce(
        await this.models.tillCounts.findOne({ where: { shopId: shop, id }, transaction }),
        (known) => known.day === day && known.counted === counted,
        () =>
          this.models.tillCounts.create(
            { shopId: shop, id, day, counted, taken, note, at, byPerson: by },
            { transaction },
          ),
      ),
    );
    if (!row) return undefined;
    const others = sheet.counts.filter((other) => other.id !== id);
    return { ...sheet, counts: [...others, toCount(row)] };
  }

  /** @returns what is kept; undefined where the id names another sale */
  async sell(
    shop: string,
    { id, lines, how }: Pick<Sale, 'id' | 'lines' | 'how'>,
    sold: Pick<Sale, 'total'> & { readonly taxed: NonNullable<Sale['taxed']> },
    { by, at, day }: { readonly by: string; readonly at: Date; readonly day: Day },
  ): Promise<Sale | undefined> {
    const row = await withShop(this.db, shop, async (transaction) =>
      keptOnce(
        await this.models.tillSales.findOne({ where: { shopId: shop, id }, transaction }),
        (known) => known.how === how && said(known.lines) === said(lines),
        () =>
          this.models.tillSales.create(
            { shopId: shop, id, day, lines, how, ...sold, at, byPerson: by },
            { transaction },
          ),
      ),
    );
    return row && toSale(row);
  }

  sale(shop: string, id: string): Promise<Sale | undefined> {
    return withShop(this.db, shop, async (transaction) => {
      const row = await this.models.tillSales.findOne({ where: { shopId: shop, id }, transaction });
      return row ? toSale(row) : undefined;
    });
  }

  private async salesOf(
    shop: string,
    day: Day,
    transaction: Transaction,
  ): Promise<readonly Sale[]> {
    const rows = await this.models.tillSales.findAll({
      where: { shopId: shop, day },
      order: [['at', 'ASC']],
      transaction,
    });
    return rows.map(toSale);
  }

  private async countsOf(
    shop: string,
    day: Day,
    transaction: Transaction,
  ): Promise<readonly TillCount[]> {
    const rows = await this.models.tillCounts.findAll({
      where: { shopId: shop, day },
      order: [['at', 'ASC']],
      transaction,
    });
    return rows.map(toCount);
  }

  private entriesOf(
    shop: string,
    { day, zone }: { readonly day: Day; readonly zone: string },
    transaction: Transaction,
  ): Promise<readonly Row[]> {
    const from = instantAt({ day, minute: 0 }, zone);
    const until = instantAt({ day: dayAfter(day, 1), minute: 0 }, zone);
    return this.db.query<Row>(
      `select e.ticket_id, e.type, e.actor_id, e.observed_at, e.body from ticket_event e
        where e.shop_id = $1 and e.type = any($2) and e.observed_at >= $3 and e.observed_at < $4
          and not exists (select 1 from ticket_event c
            where c.shop_id = e.shop_id and c.ticket_id = e.ticket_id
              and c.type = 'entry-corrected' and c.body ->> 'corrects' = e.id::text)
        order by e.observed_at, e.ticket_id, e.seq`,
      { bind: [shop, [...COUNTED], from, until], transaction, type: QueryTypes.SELECT },
    );
  }
}

/** Keeps a row once, however often it is sent. @returns undefined where its id names another one */
async function keptOnce<Found>(
  known: Found | null,
  isSame: (known: Found) => boolean,
  create: () => Promise<Found>,
): Promise<Found | undefined> {
  if (known) return isSame(known) ? known : undefined;
  return create();
}

/** Lines as one text, whatever the order of their fields. */
function said(lines: Sale['lines']): string {
  return lines.map(({ count, words, each }) => `${count} ${each} ${words}`).join('\n');
}

function toSale({ id, at, byPerson, lines, how, total, taxed }: TillSaleRow): Sale {
  const way = how as Sale['how'];
  return { id, at: at.toISOString(), by: byPerson, lines, how: way, total, taxed: taxed ?? null };
}

function toCount({ id, at, byPerson, counted, taken, note }: TillCountRow): TillCount {
  return { id, at: at.toISOString(), by: byPerson, counted, taken, note };
}

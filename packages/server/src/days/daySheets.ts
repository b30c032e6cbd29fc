import type { DaySheet, Sale, TillCount } from '@nodo/api';
import { type Day, dayAfter, instantAt } from '@nodo/kernel';
import { type TicketEvent, takingsOf } from '@nodo/ticket';
import { QueryTypes, type Sequelize } from 'sequelize';
import { withShop } from '../db/connect.ts';
import { defineProfileModels, type ProfileModels } from '../profiles/models.ts';
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
    readonly type: 'intake-taken' | 'machine-arrived' | 'machine-collected' | 'payment-taken';
  }
>;
const COUNTED: readonly Counted['type'][] = [
  'intake-taken',
  'machine-arrived',
  'machine-collected',
  'payment-taken',
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
    const rows = await this.entriesOf(shop, day, zone);
    const lines = await this.store.linesOf(shop, [...new Set(rows.map((row) => row.ticket_id))]);
    const byTicket = new Map(lines.map((line) => [line.ticket, line]));
    const ofType = <Type extends Counted['type']>(...types: readonly Type[]) =>
      rows.flatMap((row) => {
        const line = byTicket.get(row.ticket_id);
        if (!line || !(types as readonly string[]).includes(row.type)) return [];
        const body = row.body as Extract<Counted, { readonly type: Type }>['body'];
        return [{ at: row.observed_at.toISOString(), by: row.actor_id, body, line }];
      });
    const payments = ofType('payment-taken').map(({ body: { how, amount }, ...paid }) => ({
      at: paid.at,
      by: paid.by,
      line: paid.line,
      how,
      amount,
    }));
    const sales = await this.salesOf(shop, day);
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
      counts: [...(await this.countsOf(shop, day))],
    };
  }

  /** @returns whether it is kept; not where the id names something else */
  count(
    shop: string,
    day: Day,
    { id, counted, note }: { readonly id: string; readonly counted: number; readonly note: string },
    { by, at, taken }: { readonly by: string; readonly at: Date; readonly taken: number },
  ): Promise<boolean> {
    return withShop(this.db, shop, async (transaction) => {
      const known = await this.models.tillCounts.findOne({
        where: { shopId: shop, id },
        transaction,
      });
      if (known) return known.day === day && known.counted === counted;
      await this.models.tillCounts.create(
        { shopId: shop, id, day, counted, taken, note, at, byPerson: by },
        { transaction },
      );
      return true;
    });
  }

  /** @returns what is kept; undefined where the id names another sale */
  sell(
    shop: string,
    { id, lines, how }: Pick<Sale, 'id' | 'lines' | 'how'>,
    { by, at, day }: { readonly by: string; readonly at: Date; readonly day: Day },
  ): Promise<Sale | undefined> {
    const total = lines.reduce((sum, { count, each }) => sum + count * each, 0);
    return withShop(this.db, shop, async (transaction) => {
      const known = await this.models.tillSales.findOne({
        where: { shopId: shop, id },
        transaction,
      });
      if (known) return known.total === total && known.how === how ? toSale(known) : undefined;
      const row = await this.models.tillSales.create(
        { shopId: shop, id, day, lines, how, total, at, byPerson: by },
        { transaction },
      );
      return toSale(row);
    });
  }

  private salesOf(shop: string, day: Day): Promise<readonly Sale[]> {
    return withShop(this.db, shop, async (transaction) => {
      const rows = await this.models.tillSales.findAll({
        where: { shopId: shop, day },
        order: [['at', 'ASC']],
        transaction,
      });
      return rows.map(toSale);
    });
  }

  private countsOf(shop: string, day: Day): Promise<readonly TillCount[]> {
    return withShop(this.db, shop, async (transaction) => {
      const rows = await this.models.tillCounts.findAll({
        where: { shopId: shop, day },
        order: [['at', 'ASC']],
        transaction,
      });
      return rows.map(({ id, at, byPerson, counted, taken, note }) => ({
        id,
        at: at.toISOString(),
        by: byPerson,
        counted,
        taken,
        note,
      }));
    });
  }

  private entriesOf(shop: string, day: Day, zone: string): Promise<readonly Row[]> {
    const from = instantAt({ day, minute: 0 }, zone);
    const until = instantAt({ day: dayAfter(day, 1), minute: 0 }, zone);
    return withShop(this.db, shop, (transaction) =>
      this.db.query<Row>(
        `select e.ticket_id, e.type, e.actor_id, e.observed_at, e.body from ticket_event e
          where e.shop_id = $1 and e.type = any($2) and e.observed_at >= $3 and e.observed_at < $4
            and not exists (select 1 from ticket_event c
              where c.shop_id = e.shop_id and c.ticket_id = e.ticket_id
                and c.type = 'entry-corrected' and c.body ->> 'corrects' = e.id::text)
          order by e.observed_at, e.ticket_id, e.seq`,
        { bind: [shop, [...COUNTED], from, until], transaction, type: QueryTypes.SELECT },
      ),
    );
  }
}

function toSale({
  id,
  at,
  byPerson,
  lines,
  how,
  total,
}: {
  readonly id: string;
  readonly at: Date;
  readonly byPerson: string;
  readonly lines: Sale['lines'];
  readonly how: string;
  readonly total: number;
}): Sale {
  return { id, at: at.toISOString(), by: byPerson, lines, how: how as Sale['how'], total };
}

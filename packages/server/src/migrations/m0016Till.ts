import type { Migration } from './migration.ts';
import { THIS_SHOP } from './thisShop.ts';

/**
 * The till's own entries, never changed: what was in it each time somebody counted it, beside what had been taken,
 * and what was sold without a ticket.
 */
export const m0016Till: Migration = {
  name: '0016-till',
  statements: [
    `create table till_count (
      shop_id uuid not null references shop,
      id uuid not null,
      day date not null,
      counted integer not null check (counted >= 0),
      taken integer not null check (taken >= 0),
      note text not null,
      at timestamptz not null,
      by_person uuid not null,
      primary key (shop_id, id),
      foreign key (shop_id, by_person) references person
    )`,
    'create index till_count_day on till_count (shop_id, day, at)',
    `create table till_sale (
      shop_id uuid not null references shop,
      id uuid not null,
      day date not null,
      lines jsonb not null,
      how text not null,
      total integer not null check (total >= 0),
      at timestamptz not null,
      by_person uuid not null,
      primary key (shop_id, id),
      foreign key (shop_id, by_person) references person
    )`,
    'create index till_sale_day on till_sale (shop_id, day, at)',
    `create index ticket_event_day on ticket_event (shop_id, observed_at)
      where type in ('intake-taken', 'machine-arrived', 'machine-collected', 'payment-taken')`,
    ...['till_count', 'till_sale'].flatMap((table) => [
      `alter table ${table} enable row level security`,
      `alter table ${table} force row level security`,
      `create policy one_shop on ${table} using (shop_id = ${THIS_SHOP}) with check (shop_id = ${THIS_SHOP})`,
      `grant select, insert on ${table} to nodo_app`,
      `create trigger ${table}_rows_stay before update or delete on ${table}
        for each row execute function refuse_event_change()`,
      `create trigger ${table}_table_stays before truncate on ${table}
        for each statement execute function refuse_event_change()`,
    ]),
  ],
};

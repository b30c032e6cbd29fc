import type { Migration } from './migration.ts';
import { THIS_SHOP } from './thisShop.ts';

/** What was in the till each time somebody counted it, beside what had been taken; never changed. */
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
    `create index ticket_event_day on ticket_event (shop_id, observed_at)
      where type in ('intake-taken', 'machine-arrived', 'machine-collected', 'payment-taken')`,
    'alter table till_count enable row level security',
    'alter table till_count force row level security',
    `create policy one_shop on till_count using (shop_id = ${THIS_SHOP}) with check (shop_id = ${THIS_SHOP})`,
    'grant select, insert on till_count to nodo_app',
    `create trigger till_count_rows_stay before update or delete on till_count
      for each row execute function refuse_event_change()`,
    `create trigger till_count_table_stays before truncate on till_count
      for each statement execute function refuse_event_change()`,
  ],
};

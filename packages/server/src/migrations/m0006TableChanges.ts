import type { Migration } from './migration.ts';
import { THIS_SHOP } from './thisShop.ts';

/** What a shop changes in the tables: a stream of its own, append-only as a ticket's. */
export const m0006TableChanges: Migration = {
  name: '0006-table-changes',
  statements: [
    `create table table_event (
      shop_id uuid not null references shop,
      seq integer not null check (seq > 0),
      id uuid not null,
      type text not null,
      version integer not null,
      actor_id uuid not null,
      actor_role text not null,
      device text not null,
      observed_at timestamptz not null,
      received_at timestamptz not null,
      body jsonb not null,
      primary key (shop_id, seq),
      constraint table_event_id unique (shop_id, id),
      foreign key (shop_id, actor_id) references person (shop_id, id)
    )`,
    'alter table table_event enable row level security',
    'alter table table_event force row level security',
    `create policy one_shop on table_event using (shop_id = ${THIS_SHOP}) with check (shop_id = ${THIS_SHOP})`,
    'grant select, insert on table_event to nodo_app',
    // Few among the many events: those about causes that no table has.
    `create index ticket_event_candidates on ticket_event (shop_id)
      where type in ('own-cause-found', 'entry-corrected')`,
    `create trigger table_event_rows_stay before update or delete on table_event
      for each row execute function refuse_event_change()`,
    `create trigger table_event_table_stays before truncate on table_event
      for each statement execute function refuse_event_change()`,
  ],
};

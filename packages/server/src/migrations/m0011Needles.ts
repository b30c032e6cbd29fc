import type { Migration } from './migration.ts';
import { THIS_SHOP } from './thisShop.ts';

/** Needles that were put in without a ticket; those of tickets stand in their events. */
export const m0011Needles: Migration = {
  name: '0011-needles',
  statements: [
    `create table needle_entry (
      shop_id uuid not null references shop,
      id uuid not null,
      machine_id uuid not null,
      at timestamptz not null,
      by_person uuid not null,
      body jsonb not null,
      primary key (shop_id, id),
      foreign key (shop_id, machine_id) references machine,
      foreign key (shop_id, by_person) references person
    )`,
    'create index needle_entry_machine on needle_entry (shop_id, machine_id)',
    'alter table needle_entry enable row level security',
    'alter table needle_entry force row level security',
    `create policy one_shop on needle_entry using (shop_id = ${THIS_SHOP}) with check (shop_id = ${THIS_SHOP})`,
    'grant select, insert on needle_entry to nodo_app',
    `create trigger needle_entry_rows_stay before update or delete on needle_entry
      for each row execute function refuse_event_change()`,
    `create trigger needle_entry_table_stays before truncate on needle_entry
      for each statement execute function refuse_event_change()`,
    `create index ticket_event_needles on ticket_event (shop_id, ticket_id)
      where type = 'needle-fitted'`,
  ],
};

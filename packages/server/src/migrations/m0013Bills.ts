import type { Migration } from './migration.ts';
import { THIS_SHOP } from './thisShop.ts';

/** Bills as they were handed over, and credits; numbered in each shop without gaps, never changed. */
export const m0013Bills: Migration = {
  name: '0013-bills',
  statements: [
    `create table bill (
      shop_id uuid not null references shop,
      number integer not null check (number > 0),
      id uuid not null,
      ticket_id uuid not null,
      kind text not null check (kind in ('bill', 'credit')),
      of_number integer,
      reason text not null,
      at timestamptz not null,
      by_person uuid not null,
      content jsonb not null,
      primary key (shop_id, number),
      unique (shop_id, id),
      unique (shop_id, of_number),
      check ((kind = 'credit') = (of_number is not null)),
      foreign key (shop_id, of_number) references bill (shop_id, number),
      foreign key (shop_id, by_person) references person
    )`,
    'create index bill_ticket on bill (shop_id, ticket_id)',
    'alter table bill enable row level security',
    'alter table bill force row level security',
    `create policy one_shop on bill using (shop_id = ${THIS_SHOP}) with check (shop_id = ${THIS_SHOP})`,
    'grant select, insert on bill to nodo_app',
    `create trigger bill_rows_stay before update or delete on bill
      for each row execute function refuse_event_change()`,
    `create trigger bill_table_stays before truncate on bill
      for each statement execute function refuse_event_change()`,
  ],
};

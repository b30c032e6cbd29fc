import type { Migration } from './migration.ts';
import { THIS_SHOP } from './thisShop.ts';

const SHOP_TABLES = ['machine', 'machine_revision', 'shop_sheet'] as const;

/** Customers in full, machines as rows of their own, and what holds for the whole shop. */
export const m0009Cards: Migration = {
  name: '0009-cards',
  statements: [
    `alter table customer
      add column other text not null default '',
      add column reach text not null default 'telephone',
      add column notes text not null default '',
      add column revision int not null default 0,
      add column merged_into uuid,
      add column erased_at timestamptz,
      add foreign key (shop_id, merged_into) references customer`,
    'create index customer_merged on customer (shop_id, merged_into) where merged_into is not null',
    `create table machine (
      shop_id uuid not null references shop,
      id uuid not null,
      customer_id uuid,
      revision int not null,
      card jsonb not null,
      primary key (shop_id, id),
      foreign key (shop_id, customer_id) references customer
    )`,
    'create index machine_customer on machine (shop_id, customer_id)',
    // Every card that was ever written: nothing of a machine is lost by a change.
    `create table machine_revision (
      shop_id uuid not null references shop,
      machine_id uuid not null,
      revision int not null,
      at timestamptz not null,
      by_person uuid not null,
      card jsonb not null,
      primary key (shop_id, machine_id, revision),
      foreign key (shop_id, machine_id) references machine,
      foreign key (shop_id, by_person) references person
    )`,
    `create table shop_sheet (
      shop_id uuid not null references shop,
      revision int not null,
      card jsonb not null,
      primary key (shop_id)
    )`,
    ...SHOP_TABLES.flatMap((table) => [
      `alter table ${table} enable row level security`,
      `alter table ${table} force row level security`,
      `create policy one_shop on ${table} using (shop_id = ${THIS_SHOP}) with check (shop_id = ${THIS_SHOP})`,
    ]),
    'grant select, insert, update on machine, shop_sheet to nodo_app',
    'grant select, insert on machine_revision to nodo_app',
    `create trigger machine_revision_rows_stay before update or delete on machine_revision
      for each row execute function refuse_event_change()`,
    `create trigger machine_revision_table_stays before truncate on machine_revision
      for each statement execute function refuse_event_change()`,
    `alter table ticket_summary
      add column machine_id uuid,
      add column changed_at timestamptz,
      add foreign key (shop_id, machine_id) references machine`,
    // Lines of every shop: for these statements the owner is not held to a single one.
    'alter table ticket_summary no force row level security',
    `update ticket_summary set
      changed_at = (line ->> 'changedAt')::timestamptz,
      line = line || jsonb_build_object(
        'standing', case
          when status = 'collected' then 'collected'
          when status = 'closed' then 'ready'
          when tag is null then 'away'
          when line ->> 'lastBy' is null then 'taken-in'
          else 'on-the-bench' end,
        'machine', null, 'comebackOf', null, 'comebacks', 0, 'left', null, 'promised', null,
        'awaited', null, 'atTheClock', '[]'::jsonb, 'toldAt', null, 'unrepaired', false,
        'total', null,
        'readyAt', case when status = 'open' then null else line -> 'changedAt' end)`,
    'alter table ticket_summary force row level security',
    'alter table ticket_summary alter column changed_at set not null',
    'create index ticket_summary_machine on ticket_summary (shop_id, machine_id)',
    'create index ticket_summary_customer on ticket_summary (shop_id, customer_id)',
    `create index ticket_summary_collected on ticket_summary (shop_id, changed_at desc, ticket_id desc)
      where status = 'collected'`,
    `create index ticket_summary_rack on ticket_summary (shop_id) where status <> 'collected'`,
    // Which pictures are named by an entry: what is not can be swept away.
    `create index ticket_event_pictures on ticket_event (shop_id)
      where type in ('photo-kept', 'signed')`,
    `create index ticket_summary_open on ticket_summary (shop_id, ticket_id) where status = 'open'`,
  ],
};

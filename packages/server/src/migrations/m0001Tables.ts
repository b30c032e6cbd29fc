import type { Migration } from './migration.ts';

/** Every key begins with the shop, so that the rows can be spread by shop. */
export const m0001Tables: Migration = {
  name: '0001-tables',
  statements: [
    `create table shop (
      id uuid primary key,
      name text not null
    )`,
    `create table person (
      shop_id uuid not null references shop,
      id uuid not null,
      login text not null,
      name text not null,
      initials text not null,
      role text not null check (role in ('counter', 'technician', 'lead', 'learner')),
      thread int not null,
      password_hash text not null,
      primary key (shop_id, id)
    )`,
    'create unique index person_login on person (lower(login))',
    `create table customer (
      shop_id uuid not null references shop,
      id uuid not null,
      name text not null,
      phone text not null,
      primary key (shop_id, id)
    )`,
    `create table ticket_event (
      shop_id uuid not null references shop,
      ticket_id uuid not null,
      seq int not null check (seq > 0),
      id uuid not null,
      type text not null,
      version int not null,
      actor_id uuid not null,
      actor_role text not null,
      device text not null,
      observed_at timestamptz not null,
      received_at timestamptz not null,
      epoch int not null,
      knowledge text not null,
      body jsonb not null,
      primary key (shop_id, ticket_id, seq),
      foreign key (shop_id, actor_id) references person
    )`,
    'create unique index ticket_event_id on ticket_event (shop_id, id)',
    `create table ticket_summary (
      shop_id uuid not null references shop,
      ticket_id uuid not null,
      tag int not null,
      status text not null,
      customer_id uuid,
      line jsonb not null,
      primary key (shop_id, ticket_id),
      foreign key (shop_id, customer_id) references customer
    )`,
    // A tag hangs on one machine at a time; when that is collected the tag is free.
    `create unique index ticket_summary_tag on ticket_summary (shop_id, tag)
      where status <> 'collected'`,
    // As connect-pg-simple wants it. Holds no shop's rows, only signed-in browsers.
    `create table session (
      sid varchar primary key,
      sess json not null,
      expire timestamp(6) not null
    )`,
    'create index session_expire on session (expire)',
  ],
};

import type { Migration } from './migration.ts';
import { THIS_SHOP } from './thisShop.ts';

const SHOP_TABLES = ['screen', 'screen_person', 'person_code', 'audit', 'customer_link'] as const;

/**
 * Screens and who signed in on them, codes for a first password, who saw and did what, links
 * for customers.
 */
export const m0007People: Migration = {
  name: '0007-people',
  statements: [
    'alter table person alter column password_hash drop not null',
    'alter table person add column pin_hash text, add column locked_at timestamptz',
    `create table screen (
      shop_id uuid not null references shop,
      id uuid not null,
      device text not null,
      agent text not null,
      opened_at timestamptz not null,
      seen_at timestamptz not null,
      locked_at timestamptz,
      ended_at timestamptz,
      primary key (shop_id, id)
    )`,
    // Whoever signed in on a screen in full; entries that wait there are taken as theirs.
    `create table screen_person (
      shop_id uuid not null references shop,
      screen_id uuid not null,
      person_id uuid not null,
      since timestamptz not null,
      seen_at timestamptz not null,
      wrong_pins int not null default 0,
      primary key (shop_id, screen_id, person_id),
      foreign key (shop_id, screen_id) references screen,
      foreign key (shop_id, person_id) references person
    )`,
    `create table person_code (
      shop_id uuid not null references shop,
      person_id uuid not null,
      code_hash text not null,
      until timestamptz not null,
      primary key (shop_id, person_id),
      foreign key (shop_id, person_id) references person
    )`,
    `create table audit (
      shop_id uuid not null references shop,
      id uuid not null,
      at timestamptz not null,
      person_id uuid,
      what text not null,
      ticket_id uuid,
      to_person uuid,
      primary key (shop_id, id)
    )`,
    'create index audit_at on audit (shop_id, at desc, id desc)',
    'create index ticket_event_at on ticket_event (shop_id, received_at desc, id desc)',
    `create table customer_link (
      shop_id uuid not null references shop,
      id uuid not null,
      ticket_id uuid not null,
      token_hash text not null unique,
      made_by uuid not null,
      made_at timestamptz not null,
      until timestamptz not null,
      revoked_at timestamptz,
      primary key (shop_id, id),
      foreign key (shop_id, made_by) references person
    )`,
    ...SHOP_TABLES.flatMap((table) => [
      `alter table ${table} enable row level security`,
      `alter table ${table} force row level security`,
      `create policy one_shop on ${table} using (shop_id = ${THIS_SHOP}) with check (shop_id = ${THIS_SHOP})`,
    ]),
    'grant select, insert, update on screen, customer_link to nodo_app',
    'grant select, insert, update, delete on screen_person to nodo_app',
    'grant select, insert, update, delete on person_code to nodo_app',
    'grant select, insert on audit to nodo_app',
    `create function refuse_audit_change() returns trigger language plpgsql as $$
      begin
        raise exception 'the audit is append-only: % refused', tg_op
          using errcode = 'restrict_violation';
      end $$`,
    `create trigger audit_rows_stay before update or delete on audit
      for each row execute function refuse_audit_change()`,
    `create trigger audit_table_stays before truncate on audit
      for each statement execute function refuse_audit_change()`,
    // What must be answered before the shop is known: one login, one code, one link each.
    'drop function sign_in_card(text)',
    `create function sign_in_card(wanted text)
      returns table (shop_id uuid, person_id uuid, password_hash text)
      language sql stable security definer set search_path = public, pg_temp
      as $$ select shop_id, id, password_hash from person
        where lower(login) = lower(wanted) and locked_at is null $$`,
    'create policy code on person_code for select to nodo_owner using (true)',
    `create function code_card(wanted text)
      returns table (shop_id uuid, person_id uuid, code_hash text)
      language sql stable security definer set search_path = public, pg_temp
      as $$ select c.shop_id, c.person_id, c.code_hash from person p
        join person_code c on c.shop_id = p.shop_id and c.person_id = p.id
        where lower(p.login) = lower(wanted) and p.locked_at is null and c.until > now() $$`,
    'create policy link on customer_link for select to nodo_owner using (true)',
    `create function customer_link_card(wanted text)
      returns table (shop_id uuid, ticket_id uuid, until timestamptz)
      language sql stable security definer set search_path = public, pg_temp
      as $$ select shop_id, ticket_id, until from customer_link
        where token_hash = wanted and revoked_at is null and until > now() $$`,
    // Asked at every call, so it is one question instead of a transaction of four. It answers
    // for the one sign-in that a cookie's session names.
    'create policy caller on shop for select to nodo_owner using (true)',
    'create policy caller on screen for select to nodo_owner using (true)',
    'create policy caller on screen_person for select to nodo_owner using (true)',
    `create function caller_card(of_shop uuid, of_person uuid, of_screen uuid)
      returns table (id uuid, name text, initials text, role text, thread int, shop_name text,
                     locked boolean)
      language sql stable security definer set search_path = public, pg_temp
      as $$ select p.id, p.name, p.initials, p.role, p.thread, s.name, c.locked_at is not null
        from person p
        join shop s on s.id = p.shop_id
        join screen c on c.shop_id = p.shop_id and c.id = of_screen and c.ended_at is null
        join screen_person m
          on m.shop_id = p.shop_id and m.screen_id = c.id and m.person_id = p.id
        where p.shop_id = of_shop and p.id = of_person and p.locked_at is null $$`,
    `revoke all on function sign_in_card(text), code_card(text), customer_link_card(text),
      caller_card(uuid, uuid, uuid) from public`,
    `grant execute on function sign_in_card(text), code_card(text), customer_link_card(text),
      caller_card(uuid, uuid, uuid) to nodo_app`,
    // Holds no shop's rows: what failed is known by the hash of name and address only.
    `create table sign_in_delay (
      key text primary key,
      failures int not null,
      last_at timestamptz not null,
      until timestamptz not null
    )`,
    'grant select, insert, update, delete on sign_in_delay to nodo_app',
  ],
};

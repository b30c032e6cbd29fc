import type { Migration } from './migration.ts';
import { THIS_SHOP } from './thisShop.ts';

const TABLES = ['calendar_feed', 'access_token'] as const;

/** What is read from outside of the pages: calendars by an address nobody guesses, and programs by a person's token. */
export const m0020Outside: Migration = {
  name: '0020-outside',
  statements: [
    `create table calendar_feed (
      shop_id uuid not null references shop,
      id uuid not null,
      what text not null,
      token_hash text not null unique,
      made_by uuid not null,
      made_at timestamptz not null,
      revoked_at timestamptz,
      primary key (shop_id, id),
      foreign key (shop_id, made_by) references person
    )`,
    // Each stands at a screen of its own: whoever ends that, locks the person or sets a new password ends the token.
    `create table access_token (
      shop_id uuid not null references shop,
      id uuid not null,
      person_id uuid not null,
      screen_id uuid not null,
      name text not null,
      scope text not null check (scope in ('read', 'write')),
      token_hash text not null unique,
      made_at timestamptz not null,
      until timestamptz not null,
      used_at timestamptz,
      revoked_at timestamptz,
      primary key (shop_id, id),
      foreign key (shop_id, person_id) references person,
      foreign key (shop_id, screen_id) references screen
    )`,
    ...TABLES.flatMap((table) => [
      `alter table ${table} enable row level security`,
      `alter table ${table} force row level security`,
      `create policy one_shop on ${table} using (shop_id = ${THIS_SHOP}) with check (shop_id = ${THIS_SHOP})`,
      `grant select, insert, update on ${table} to nodo_app`,
      // What must be answered before the shop is known: one address, one token each.
      `create policy outside on ${table} for select to nodo_owner using (true)`,
    ]),
    `create function calendar_feed_card(wanted text)
      returns table (shop_id uuid, what text)
      language sql stable security definer set search_path = public, pg_temp
      as $$ select shop_id, what from calendar_feed
        where token_hash = wanted and revoked_at is null $$`,
    `create function access_token_card(wanted text)
      returns table (shop_id uuid, id uuid, person_id uuid, screen_id uuid, scope text, used_at timestamptz)
      language sql stable security definer set search_path = public, pg_temp
      as $$ select shop_id, id, person_id, screen_id, scope, used_at from access_token
        where token_hash = wanted and revoked_at is null and until > now() $$`,
    'revoke all on function calendar_feed_card(text), access_token_card(text) from public',
    'grant execute on function calendar_feed_card(text), access_token_card(text) to nodo_app',
  ],
};

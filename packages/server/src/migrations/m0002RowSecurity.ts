import type { Migration } from './migration.ts';
import { THIS_SHOP } from './thisShop.ts';

const SHOP_TABLES = ['person', 'customer', 'ticket_event', 'ticket_summary'] as const;

/** Shops never meet: the database itself shows each transaction one shop's rows. */
export const m0002RowSecurity: Migration = {
  name: '0002-row-security',
  statements: [
    ...SHOP_TABLES.flatMap((table) => [
      `alter table ${table} enable row level security`,
      `alter table ${table} force row level security`,
      `create policy one_shop on ${table} using (shop_id = ${THIS_SHOP}) with check (shop_id = ${THIS_SHOP})`,
    ]),
    'alter table shop enable row level security',
    'alter table shop force row level security',
    `create policy own_shop on shop using (id = ${THIS_SHOP}) with check (id = ${THIS_SHOP})`,
    // Signing in happens before the shop is known: one function, which answers for one login.
    'create policy sign_in on person for select to nodo_owner using (true)',
    `create function sign_in_card(wanted text)
      returns table (shop_id uuid, person_id uuid, password_hash text)
      language sql stable security definer set search_path = public, pg_temp
      as $$ select shop_id, id, password_hash from person where lower(login) = lower(wanted) $$`,
    'revoke all on function sign_in_card(text) from public',
    'grant execute on function sign_in_card(text) to nodo_app',
    'grant select, insert, update on person, customer, ticket_summary to nodo_app',
    'grant select, insert on shop, ticket_event to nodo_app',
    'grant select, insert, update, delete on session to nodo_app',
  ],
};

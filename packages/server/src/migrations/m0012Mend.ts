import type { Migration } from './migration.ts';
import { THIS_SHOP } from './thisShop.ts';

/** As the owner sees all shops for the moment: row-level security holds for it too. */
const acrossShops = (tables: readonly string[], statement: string): readonly string[] => [
  ...tables.map((table) => `alter table ${table} no force row level security`),
  statement,
  ...tables.map((table) => `alter table ${table} force row level security`),
];

/**
 * Notices to the lead, who sent an entry beside who made it, a key for each person at a screen,
 * sign-in names compared byte by byte; and what earlier versions left behind.
 */
export const m0012Mend: Migration = {
  name: '0012-mend',
  statements: [
    // Set once the demo shop is whole.
    'alter table shop add column filled_at timestamptz',
    'grant update (filled_at) on shop to nodo_app',
    `create table notice (
      shop_id uuid not null references shop,
      id uuid not null,
      at timestamptz not null,
      body jsonb not null,
      put_away_at timestamptz,
      put_away_by uuid,
      primary key (shop_id, id)
    )`,
    'alter table notice enable row level security',
    'alter table notice force row level security',
    `create policy one_shop on notice using (shop_id = ${THIS_SHOP}) with check (shop_id = ${THIS_SHOP})`,
    'grant select, insert, update on notice to nodo_app',

    // Null where it is the maker, and on entries of before it was noted.
    'alter table ticket_event add column sent_by uuid',
    'alter table screen_person add column entry_key text',

    // Our side and the database differ in which capitals are one letter; both know A to Z.
    ...acrossShops(['person'], 'update person set login = lower(login collate "C")'),
    'drop index person_login',
    'create unique index person_login on person (login)',
    'drop function sign_in_card(text)',
    `create function sign_in_card(wanted text)
      returns table (shop_id uuid, person_id uuid, password_hash text)
      language sql stable security definer set search_path = public, pg_temp
      as $$ select shop_id, id, password_hash from person
        where login = wanted and locked_at is null $$`,
    'drop function code_card(text)',
    `create function code_card(wanted text)
      returns table (shop_id uuid, person_id uuid, code_hash text)
      language sql stable security definer set search_path = public, pg_temp
      as $$ select c.shop_id, c.person_id, c.code_hash from person p
        join person_code c on c.shop_id = p.shop_id and c.person_id = p.id
        where p.login = wanted and p.locked_at is null and c.until > now() $$`,
    'revoke all on function sign_in_card(text), code_card(text) from public',
    'grant execute on function sign_in_card(text), code_card(text) to nodo_app',

    // Whose audit it is when somebody tries a name that no shop has.
    `create function sole_shop() returns uuid
      language sql stable security definer set search_path = public, pg_temp
      as $$ select (array_agg(id))[1] from shop having count(*) = 1 $$`,
    'revoke all on function sole_shop() from public',
    'grant execute on function sole_shop() to nodo_app',

    // Erasing left the words of a name: nothing was found by them any more, but they stood there.
    'grant delete on search_word to nodo_app',
    ...acrossShops(
      ['search_word', 'search_place', 'customer', 'notice'],
      `with gone as (
         delete from search_word w where not exists (
           select 1 from search_place p where p.shop_id = w.shop_id and p.word = w.word)
         returning w.shop_id)
       insert into notice (shop_id, id, at, body)
       select shop_id, gen_random_uuid(), now(),
              jsonb_build_object('kind', 'erased-words-removed', 'words', count(*))
         from gone
        where exists (select 1 from customer c
          where c.shop_id = gone.shop_id and c.erased_at is not null)
        group by shop_id`,
    ),
    // Anybody at a shared screen could write in the name of a lead who had signed in there.
    ...acrossShops(
      ['ticket_event', 'screen', 'screen_person', 'notice'],
      `insert into notice (shop_id, id, at, body)
       select e.shop_id, gen_random_uuid(), now(),
              jsonb_build_object('kind', 'entries-unproven', 'entries', count(*),
                'tickets', (array_agg(distinct e.ticket_id))[1:20])
         from ticket_event e
        where e.actor_role = 'lead' and exists (
          select 1 from screen s
            join screen_person lead on lead.shop_id = s.shop_id and lead.screen_id = s.id
             and lead.person_id = e.actor_id
            join screen_person other on other.shop_id = s.shop_id and other.screen_id = s.id
             and other.person_id <> e.actor_id and other.since <= e.received_at
           where s.shop_id = e.shop_id and s.device = e.device)
        group by e.shop_id`,
    ),
  ],
};

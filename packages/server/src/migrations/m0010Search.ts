import type { Migration } from './migration.ts';
import { THIS_SHOP } from './thisShop.ts';

/**
 * Search by words. The words that a shop uses are few, whatever it has of tickets: they are
 * looked through for what resembles the letters that were typed, and only then for what they
 * stand in. Row-level security would keep the trigram index from being used, so both are asked
 * by one function, which sees every shop and takes the one of the setting.
 */
export const m0010Search: Migration = {
  name: '0010-search',
  statements: [
    'create extension if not exists pg_trgm',
    'create extension if not exists btree_gin',
    `create table search_word (
      shop_id uuid not null references shop,
      word text not null,
      primary key (shop_id, word)
    )`,
    // Written at once: words waiting on a list would be gone through by every search.
    `create index search_word_letters on search_word using gin (shop_id, word gin_trgm_ops)
      with (fastupdate = off)`,
    'create index search_word_start on search_word (shop_id, word text_pattern_ops)',
    `create table search_place (
      shop_id uuid not null references shop,
      word text not null,
      kind text not null check (kind in ('ticket', 'machine', 'customer')),
      id uuid not null,
      at timestamptz not null,
      primary key (shop_id, word, kind, id)
    )`,
    'create index search_place_latest on search_place (shop_id, word, at desc)',
    'create index search_place_of on search_place (shop_id, kind, id)',
    ...['search_word', 'search_place'].flatMap((table) => [
      `alter table ${table} enable row level security`,
      `alter table ${table} force row level security`,
      `create policy one_shop on ${table} using (shop_id = ${THIS_SHOP}) with check (shop_id = ${THIS_SHOP})`,
      `create policy search on ${table} for select to nodo_owner using (true)`,
    ]),
    'grant select, insert on search_word to nodo_app',
    'grant select, insert, delete on search_place to nodo_app',
    // Which words of the shop were meant, the best first: it itself, those that begin so, those
    // in which the digits stand, those that resemble it. Planned for the very word (execute):
    // for a word that is not known yet the database would go through all of them.
    `create function words_like(shop uuid, wanted text) returns table (word text, fit real)
      language plpgsql stable set search_path = public, pg_temp
      set pg_trgm.similarity_threshold = 0.25
      as $$
        declare
          parts text[] := array[
            $q$(select w.word, case when w.word = $2 then 3 else 2 end::real as fit
                 from search_word w where w.shop_id = $1 and w.word like $2 || '%'
                order by w.word limit 24)$q$];
        begin
          if wanted ~ '^[0-9]{3,}$' then
            parts := array_append(parts, $q$(select w.word, 1.5::real from search_word w
                where w.shop_id = $1 and w.word like '%' || $2 || '%' limit 24)$q$);
          elsif wanted !~ '[0-9]' and length(wanted) >= 4 then
            parts := array_append(parts, $q$(select w.word, similarity(w.word, $2) from search_word w
                where w.shop_id = $1 and w.word % $2
                order by similarity(w.word, $2) desc limit 12)$q$);
          end if;
          return query execute format(
            'select word, max(fit) from (%s) every group by word order by max(fit) desc, word limit 24',
            array_to_string(parts, ' union all ')) using shop, wanted;
        end $$`,
    // What has all of the words, the best fit and then the latest first. It goes along the rarest
    // of them, so a common word costs as little as a name.
    `create function search_hits(wanted text[], most int)
      returns table (kind text, id uuid, fit real, at timestamptz)
      language plpgsql stable security definer set search_path = public, pg_temp
      as $$
        begin
          return query execute $q$
            with meant as materialized (
              select w.place, l.word, l.fit
                from unnest($2) with ordinality w(one, place), words_like($1, w.one) l
            ),
            counted as (
              select m.place, (
                select count(*) from (
                  select 1 from meant o join search_place p on p.shop_id = $1 and p.word = o.word
                   where o.place = m.place limit 500) few) as found
                from (select distinct place from meant) m
            ),
            rarest as (select place from counted order by found, place limit 1),
            candidates as materialized (
              select p.kind, p.id, max(m.fit) as fit, max(p.at) as at
                from rarest r
                join meant m on m.place = r.place
                cross join lateral (
                  select q.kind, q.id, q.at from search_place q
                   where q.shop_id = $1 and q.word = m.word
                   order by q.at desc limit 200) p
               group by p.kind, p.id
               order by max(m.fit) desc, max(p.at) desc limit 400
            )
            select c.kind, c.id, (c.fit + coalesce(others.fit, 0))::real, c.at
              from candidates c
              cross join lateral (
                select count(*) as places, sum(best) as fit from (
                  select m.place, max(m.fit) as best
                    from meant m
                    join search_place q on q.shop_id = $1 and q.word = m.word
                     and q.kind = c.kind and q.id = c.id
                   where m.place <> (select place from rarest)
                   group by m.place) each
              ) others
             where others.places = cardinality($2) - 1
             order by 3 desc, c.at desc limit $3
          $q$ using ${THIS_SHOP}, wanted, most;
        end $$`,
    // Which shops have tickets of before there was a search; asked once when the server starts.
    'create policy indexing on ticket_summary for select to nodo_owner using (true)',
    `create function shops_without_words() returns table (shop uuid)
      language sql stable security definer set search_path = public, pg_temp
      as $$ select s.id from shop s
        where exists (select 1 from ticket_summary t where t.shop_id = s.id)
          and not exists (select 1 from search_place p where p.shop_id = s.id) $$`,
    `revoke all on function words_like(uuid, text), search_hits(text[], int), shops_without_words()
      from public`,
    'grant execute on function search_hits(text[], int), shops_without_words() to nodo_app',
  ],
};

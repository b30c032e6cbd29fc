import type { Migration } from './migration.ts';
import { THIS_SHOP } from './thisShop.ts';

/** Events name the tables they were judged with by hash; the tables stay with them for ever. */
export const m0004KnowledgeEditions: Migration = {
  name: '0004-knowledge-editions',
  statements: [
    `create table knowledge_edition (
      shop_id uuid not null references shop,
      hash text not null check (hash ~ '^[0-9a-f]{64}$'),
      content jsonb not null,
      kept_at timestamptz not null default now(),
      primary key (shop_id, hash)
    )`,
    'alter table knowledge_edition enable row level security',
    'alter table knowledge_edition force row level security',
    `create policy one_shop on knowledge_edition using (shop_id = ${THIS_SHOP}) with check (shop_id = ${THIS_SHOP})`,
    'grant select, insert on knowledge_edition to nodo_app',
    `create function refuse_edition_change() returns trigger language plpgsql as $$
      begin
        raise exception 'editions of the tables are kept as they are: % refused', tg_op
          using errcode = 'restrict_violation';
      end $$`,
    `create trigger edition_rows_stay before update or delete on knowledge_edition
      for each row execute function refuse_edition_change()`,
    `create trigger edition_table_stays before truncate on knowledge_edition
      for each statement execute function refuse_edition_change()`,
  ],
};

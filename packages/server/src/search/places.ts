import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import { allWords } from './words.ts';

/** Of what kind it is that words stand in, and which. */
export interface Found {
  readonly kind: 'ticket' | 'machine' | 'customer';
  readonly id: string;
}

/** What somebody might look for one thing by, as the rows say it now. */
interface Texts {
  readonly id: string;
  readonly at: Date;
  /** Taken apart into words. */
  readonly texts: readonly (string | null)[];
  /** Found by as a whole: numbers, serials. */
  readonly whole: readonly (string | null)[];
}

const TEXTS: Readonly<Record<Found['kind'], string>> = {
  // A ticket is found by its machine and its customer too.
  ticket: `select t.ticket_id as id, t.changed_at as at,
      array[t.line ->> 'label', t.line ->> 'words', c.name, c.other, m.card ->> 'model'] as texts,
      array[c.phone, m.card ->> 'serial'] as whole
    from ticket_summary t
    left join customer c on c.shop_id = t.shop_id and c.id = t.customer_id
    left join machine m on m.shop_id = t.shop_id and m.id = t.machine_id
    where t.shop_id = $1 and t.ticket_id = any($2)`,
  machine: `select m.id, now() as at,
      array[m.card ->> 'label', m.card ->> 'model', m.card ->> 'notes', c.name] as texts,
      array[m.card ->> 'serial', c.phone] as whole
    from machine m
    left join customer c on c.shop_id = m.shop_id and c.id = m.customer_id
    where m.shop_id = $1 and m.id = any($2)`,
  customer: `select c.id, now() as at, array[c.name, c.other, c.notes] as texts, array[c.phone] as whole
    from customer c where c.shop_id = $1 and c.id = any($2) and c.erased_at is null`,
};

/**
 * Writes the search words of something again, within the transaction that changed it.
 * What is gone is found by nothing.
 */
export async function placeWords(
  db: Sequelize,
  shop: string,
  kind: Found['kind'],
  ids: readonly string[],
  transaction: Transaction,
): Promise<void> {
  if (ids.length === 0) return;
  const found = await db.query<Texts>(TEXTS[kind], {
    bind: [shop, [...ids]],
    transaction,
    type: QueryTypes.SELECT,
  });
  const said = (texts: readonly (string | null)[]): string[] =>
    texts.filter((text) => text !== null);
  const rows = found.flatMap(({ id, at, texts, whole }) =>
    allWords(said([...texts, ...whole]), said(whole)).map((word) => ({ id, at, word })),
  );
  await db.query('delete from search_place where shop_id = $1 and kind = $2 and id = any($3)', {
    bind: [shop, kind, [...ids]],
    transaction,
  });
  if (rows.length === 0) return;
  // In one order, so that two who bring the same new words do not wait for each other.
  const words = [...new Set(rows.map(({ word }) => word))].sort();
  await db.query('insert into search_word select $1, unnest($2::text[]) on conflict do nothing', {
    bind: [shop, words],
    transaction,
  });
  await db.query(
    `insert into search_place select $1, word, $2, id, at
       from unnest($3::text[], $4::uuid[], $5::timestamptz[]) as row(word, id, at)`,
    {
      bind: [
        shop,
        kind,
        rows.map(({ word }) => word),
        rows.map(({ id }) => id),
        rows.map(({ at }) => at.toISOString()),
      ],
      transaction,
    },
  );
}

/**
 * Until the transaction ends nobody else writes words: one that is removed here could be the word
 * that they found and build on. Taken before anything else is written.
 */
export async function lockWords(db: Sequelize, transaction: Transaction): Promise<void> {
  await db.query('lock table search_word in share row exclusive mode', { transaction });
}

/** Removes the words of a shop that nothing is found by any more: a name that was erased. */
export async function removeUnusedWords(
  db: Sequelize,
  shop: string,
  transaction: Transaction,
): Promise<void> {
  await db.query(
    `delete from search_word w where shop_id = $1 and not exists (
       select 1 from search_place p where p.shop_id = w.shop_id and p.word = w.word)`,
    { bind: [shop], transaction },
  );
}

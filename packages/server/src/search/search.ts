import type { Hit } from '@nodo/api';
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import { withShop } from '../db/connect.ts';
import type { Found } from './places.ts';
import { wanted } from './words.ts';

/** So many are shown; who finds nothing among them types another letter. */
const MOST = 20;

/** Something that was found, and how well it fits. */
type Fitting = Found & { readonly fit: number };

const SHOWN: Readonly<Record<Found['kind'], string>> = {
  ticket: `select t.ticket_id as id, t.line ->> 'label' as title, coalesce(c.name, '') as more,
      case when t.status = 'collected' then null else t.tag end as tag,
      t.line ->> 'standing' as state, t.line ->> 'unrepaired' as unrepaired,
      t.line ->> 'takenInAt' as at
    from ticket_summary t
    left join customer c on c.shop_id = t.shop_id and c.id = t.customer_id
    where t.shop_id = $1 and t.ticket_id = any($2)`,
  machine: `select m.id, m.card ->> 'label' as title,
      concat_ws(', ', nullif(m.card ->> 'model', ''), nullif(m.card ->> 'serial', ''), c.name) as more,
      null::int as tag, null as state, null as unrepaired, null as at
    from machine m left join customer c on c.shop_id = m.shop_id and c.id = m.customer_id
    where m.shop_id = $1 and m.id = any($2)`,
  customer: `select c.id, c.name as title, c.phone as more, null::int as tag, null as state, null as unrepaired, null as at
    from customer c where c.shop_id = $1 and c.id = any($2)`,
};

/**
 * Everything of a shop that the letters fit: the tag that hangs first, then the best; what stands in the shop before
 * what fits as well, for that is what a call is about.
 */
export function search(db: Sequelize, shop: string, typed: string): Promise<Hit[]> {
  const words = wanted(typed);
  if (words.length === 0) return Promise.resolve([]);
  return withShop(db, shop, async (transaction) => {
    const hanging = await hangingOn(db, shop, words, transaction);
    const hits = await db.query<Fitting>('select kind, id, fit from search_hits($1, $2)', {
      bind: [[...words], MOST],
      transaction,
      type: QueryTypes.SELECT,
    });
    const ordered = [...hanging, ...hits.filter(({ id }) => !hanging.some((one) => one.id === id))];
    return shown(db, shop, ordered.slice(0, MOST), transaction);
  });
}

/** A number alone may be a shelf tag. */
async function hangingOn(
  db: Sequelize,
  shop: string,
  words: readonly string[],
  transaction: Transaction,
): Promise<readonly Fitting[]> {
  const [tag = ''] = words;
  if (words.length !== 1 || !/^[0-9]{1,4}$/.test(tag)) return [];
  return db.query<Fitting>(
    `select 'ticket' as kind, ticket_id as id, 'infinity'::real as fit from ticket_summary
      where shop_id = $1 and tag = $2 and status <> 'collected'`,
    { bind: [shop, Number(tag)], transaction, type: QueryTypes.SELECT },
  );
}

async function shown(
  db: Sequelize,
  shop: string,
  found: readonly Fitting[],
  transaction: Transaction,
): Promise<Hit[]> {
  const byId = new Map<string, Hit>();
  for (const kind of ['ticket', 'machine', 'customer'] as const) {
    const ids = found.filter((one) => one.kind === kind).map(({ id }) => id);
    if (ids.length === 0) continue;
    const rows = await db.query<Omit<Hit, 'kind'>>(SHOWN[kind], {
      bind: [shop, ids],
      transaction,
      type: QueryTypes.SELECT,
    });
    for (const row of rows) byId.set(row.id, { kind, ...row });
  }
  return found
    .flatMap(({ id, fit }) => {
      const hit = byId.get(id);
      return hit ? [{ hit, fit }] : [];
    })
    .toSorted((a, b) => b.fit - a.fit || Number(stands(b.hit)) - Number(stands(a.hit)))
    .map(({ hit }) => hit);
}

/** Whether it is a machine that stands in the shop now. */
function stands({ kind, tag }: Hit): boolean {
  return kind === 'ticket' && tag !== null;
}

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
  // A call, or a ticket of before machines had records.
  ticket: `select t.ticket_id as key, 'ticket' as kind, t.ticket_id as id, null::uuid as machine,
      t.line ->> 'family' as family, t.line ->> 'label' as title, coalesce(c.name, '') as more,
      case when t.status = 'collected' then null else t.tag end as tag,
      t.line ->> 'standing' as state, t.line ->> 'unrepaired' as unrepaired,
      t.line ->> 'takenInAt' as at
    from ticket_summary t
    left join customer c on c.shop_id = t.shop_id and c.id = t.customer_id
    where t.shop_id = $1 and t.ticket_id = any($2)`,
  machine: `select m.id as key, case when t.status <> 'collected' then 'ticket' else 'machine' end as kind,
      case when t.status <> 'collected' then t.ticket_id else m.id end as id, m.id as machine,
      m.card ->> 'family' as family, m.card ->> 'label' as title,
      concat_ws(', ', c.name, nullif(m.card ->> 'model', ''), nullif(m.card ->> 'serial', '')) as more,
      t.tag, t.state, t.unrepaired, t.at
    from machine m
    left join customer c on c.shop_id = m.shop_id and c.id = m.customer_id
    left join lateral (
      select ticket_id, status, case when status = 'collected' then null else tag end as tag,
        line ->> 'standing' as state, line ->> 'unrepaired' as unrepaired,
        coalesce(line ->> 'collectedAt', line ->> 'takenInAt') as at
      from ticket_summary where shop_id = m.shop_id and machine_id = m.id
      order by (status = 'collected'), line ->> 'takenInAt' desc limit 1
    ) t on true
    where m.shop_id = $1 and m.id = any($2)`,
  customer: `select c.id as key, 'customer' as kind, c.id, null::uuid as machine, null as family, c.name as title,
      c.phone as more, null::int as tag, null as state, null as unrepaired, null as at
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
  const rows = await byMachine(db, shop, found, transaction);
  const byKey = new Map<string, Hit>();
  for (const kind of ['ticket', 'machine', 'customer'] as const) {
    const ids = rows.filter((one) => one.kind === kind).map(({ id }) => id);
    if (ids.length === 0) continue;
    const hits = await db.query<Hit & { readonly key: string }>(SHOWN[kind], {
      bind: [shop, ids],
      transaction,
      type: QueryTypes.SELECT,
    });
    for (const { key, ...hit } of hits) byKey.set(key, hit);
  }
  return rows
    .flatMap(({ id, fit }) => {
      const hit = byKey.get(id);
      return hit ? [{ hit, fit }] : [];
    })
    .toSorted((a, b) => b.fit - a.fit || Number(stands(b.hit)) - Number(stands(a.hit)))
    .map(({ hit }) => hit);
}

/** The same with tickets told by their machine, each machine once, as well as the best of it fits. */
async function byMachine(
  db: Sequelize,
  shop: string,
  found: readonly Fitting[],
  transaction: Transaction,
): Promise<readonly Fitting[]> {
  const tickets = found.filter(({ kind }) => kind === 'ticket').map(({ id }) => id);
  const owned = await db.query<{ readonly ticket: string; readonly machine: string }>(
    `select ticket_id as ticket, machine_id as machine from ticket_summary
      where shop_id = $1 and ticket_id = any($2) and machine_id is not null`,
    { bind: [shop, tickets], transaction, type: QueryTypes.SELECT },
  );
  const machineOf = new Map(owned.map(({ ticket, machine }) => [ticket, machine]));
  const rows = new Map<string, Fitting>();
  for (const { kind, id, fit } of found) {
    const machine = machineOf.get(id);
    const row: Fitting =
      machine === undefined ? { kind, id, fit } : { kind: 'machine', id: machine, fit };
    const before = rows.get(row.id);
    if (!before || before.fit < fit) rows.set(row.id, row);
  }
  return [...rows.values()];
}

/** Whether it is a machine that stands in the shop now. */
function stands({ kind, tag }: Hit): boolean {
  return kind === 'ticket' && tag !== null;
}

import { randomUUID } from 'node:crypto';
import type { Audited, AuditLine, AuditPage } from '@nodo/api';
import { QueryTypes, type Sequelize } from 'sequelize';
import { withShop } from '../db/connect.ts';

export interface Noted {
  readonly shop: string;
  /** Null for a customer who followed a link. */
  readonly person: string | null;
  readonly what: Audited;
  readonly ticket?: string;
  readonly toPerson?: string;
}

const PAGE = 60;
const READINGS: ReadonlySet<Audited> = new Set([
  'ticket-read',
  'tickets-kept',
  'photo-read',
  'link-read',
  'customer-read',
  'machine-read',
  'needles-read',
  'links-read',
  'searched',
]);
/** Reading the same again so soon is one reading. */
const SAME_READING_S = 600;

/** Who saw and did what. Entries on tickets are read from the tickets themselves. */
export class Audit {
  constructor(private readonly db: Sequelize) {}

  async note({ shop, person, what, ticket, toPerson }: Noted): Promise<void> {
    const isReading = READINGS.has(what);
    await withShop(this.db, shop, (transaction) =>
      this.db.query(
        `insert into audit (shop_id, id, at, person_id, what, ticket_id, to_person)
         select $1, $2, now(), $3, $4, $5, $6
          where not ($7 and exists (
            select 1 from audit where shop_id = $1 and person_id is not distinct from $3::uuid
              and what = $4 and ticket_id is not distinct from $5::uuid
              and at > now() - make_interval(secs => $8)))`,
        {
          bind: [
            shop,
            randomUUID(),
            person,
            what,
            ticket ?? null,
            toPerson ?? null,
            isReading,
            SAME_READING_S,
          ],
          transaction,
        },
      ),
    );
  }

  /** A name that nobody has was tried. It may be a shop's where there is only one. */
  async noteUnknown(): Promise<void> {
    const [row] = await this.db.query<{ shop: string | null }>('select sole_shop() as shop', {
      type: QueryTypes.SELECT,
    });
    if (row?.shop) await this.note({ shop: row.shop, person: null, what: 'unknown-sign-in' });
  }

  /** A page of both streams together, the latest first. */
  read(shop: string, before?: string, person?: string): Promise<AuditPage> {
    const [at = null, id = null] = before?.split(' ') ?? [];
    return withShop(this.db, shop, async (transaction) => {
      // Each stream by its own index; only the pages of the two are put together.
      const rows = await this.db.query<Omit<AuditLine, 'at'> & { readonly at: string }>(
        `with both_streams as (
           (select id, at, person_id, what, ticket_id, to_person from audit
             where shop_id = $1 and ($2::timestamptz is null or (at, id) < ($2, $3::uuid))
               and ($4::uuid is null or person_id = $4)
             order by at desc, id desc limit $5)
           union all
           (select id, received_at, actor_id, type, ticket_id, null from ticket_event
             where shop_id = $1 and ($2::timestamptz is null or (received_at, id) < ($2, $3::uuid))
               and ($4::uuid is null or actor_id = $4)
             order by received_at desc, id desc limit $5))
         select b.id, to_char(b.at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') as at,
                b.person_id as person, b.what, b.ticket_id as ticket,
                s.line ->> 'label' as label, b.to_person as "toPerson"
           from both_streams b
           left join ticket_summary s on s.shop_id = $1 and s.ticket_id = b.ticket_id
          order by b.at desc, b.id desc limit $5`,
        {
          bind: [shop, at, id, person ?? null, PAGE],
          transaction,
          type: QueryTypes.SELECT,
        },
      );
      const last = rows.at(-1);
      return { lines: rows, next: last && rows.length === PAGE ? `${last.at} ${last.id}` : null };
    });
  }
}

import type { Migration } from './migration.ts';

/**
 * A bill over several tickets; the tax in what was sold without a ticket, unknown for what was sold before it was
 * kept; money given back, which the cash of a day can come below nothing by.
 */
export const m0017JointBills: Migration = {
  name: '0017-joint-bills',
  statements: [
    `alter table bill add column also uuid[] not null default '{}'`,
    'create index bill_also on bill using gin (also)',
    'alter table till_sale add column taxed jsonb',
    'alter table till_count drop constraint till_count_taken_check',
    'drop index ticket_event_day',
    `create index ticket_event_day on ticket_event (shop_id, observed_at)
      where type in ('intake-taken', 'machine-arrived', 'machine-collected', 'payment-taken', 'payment-returned')`,
  ],
};

import type { Migration } from './migration.ts';

/**
 * What was fetched goes by the day on which it was: an entry that came afterwards moves it no more. Lines of the
 * Rack say at whose bench a job is done (who got it handed over and has not begun keeps it), what was
 * answered to a price (known again with the next entry), and why a machine goes back unrepaired.
 */
export const m0015Desk: Migration = {
  name: '0015-desk',
  statements: [
    'alter table ticket_summary add column collected_at timestamptz',
    // Lines of every shop: for this statement the owner is not held to a single one.
    'alter table ticket_summary no force row level security',
    'alter table ticket_event no force row level security',
    `update ticket_summary s set collected_at = coalesce(
        (select max(e.received_at) from ticket_event e
          where e.shop_id = s.shop_id and e.ticket_id = s.ticket_id and e.type = 'machine-collected'),
        s.changed_at)
      where s.status = 'collected'`,
    'alter table ticket_event force row level security',
    `update ticket_summary set
      line = line || jsonb_build_object(
        'answer', null,
        'instead', null,
        -- What was paid stood in words only; it is known again with the next entry.
        'due', null,
        'collectedAt', to_char(collected_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'),
        'unrepaired', case when line->>'unrepaired' = 'true' then 'refused' end,
        'pin',
        case when line->'handOver'->>'to' is null then null
          else jsonb_build_object('person', line->'handOver'->>'to', 'at', line->>'changedAt') end)`,
    'alter table ticket_summary force row level security',
    'drop index ticket_summary_collected',
    `create index ticket_summary_collected on ticket_summary (shop_id, collected_at desc, ticket_id desc)
      where status = 'collected'`,
  ],
};

import type { Migration } from './migration.ts';

/**
 * Lines of the Rack say at whose bench a job is done (who got it handed over and has not begun keeps it), what was
 * answered to a price (known again with the next entry), and why a machine goes back unrepaired.
 */
export const m0015Desk: Migration = {
  name: '0015-desk',
  statements: [
    // Lines of every shop: for this statement the owner is not held to a single one.
    'alter table ticket_summary no force row level security',
    `update ticket_summary set
      line = line || jsonb_build_object(
        'answer', null,
        'unrepaired', case when line->>'unrepaired' = 'true' then 'refused' end,
        'pin',
        case when line->'handOver'->>'to' is null then null
          else jsonb_build_object('person', line->'handOver'->>'to', 'at', line->>'changedAt') end)`,
    'alter table ticket_summary force row level security',
  ],
};

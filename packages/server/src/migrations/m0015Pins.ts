import type { Migration } from './migration.ts';

/** Lines of the Rack say at whose bench a job is done; who got it handed over and has not begun keeps it. */
export const m0015Pins: Migration = {
  name: '0015-pins',
  statements: [
    // Lines of every shop: for this statement the owner is not held to a single one.
    'alter table ticket_summary no force row level security',
    `update ticket_summary set
      line = line || jsonb_build_object('pin',
        case when line->'handOver'->>'to' is null then null
          else jsonb_build_object('person', line->'handOver'->>'to', 'at', line->>'changedAt') end)`,
    'alter table ticket_summary force row level security',
  ],
};

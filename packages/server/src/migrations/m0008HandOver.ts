import type { Migration } from './migration.ts';

/** Ticket summaries carry hand-overs and what arrived after closing. */
export const m0008HandOver: Migration = {
  name: '0008-hand-over',
  statements: [
    // Lines of every shop: for this one statement the owner is not held to a single one.
    'alter table ticket_summary no force row level security',
    `update ticket_summary set line = '{"handOver": null, "late": 0}'::jsonb || line`,
    'alter table ticket_summary force row level security',
  ],
};

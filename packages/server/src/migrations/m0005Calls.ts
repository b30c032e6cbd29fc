import type { Migration } from './migration.ts';

/** A machine that is only talked about on the telephone hangs on no tag. */
export const m0005Calls: Migration = {
  name: '0005-calls',
  statements: [
    'alter table ticket_summary alter column tag drop not null',
    // Lines of every shop: for this one statement the owner is not held to a single one.
    'alter table ticket_summary no force row level security',
    `update ticket_summary set line = line || '{"call": null}'::jsonb`,
    'alter table ticket_summary force row level security',
  ],
};

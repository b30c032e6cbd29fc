import type { Migration } from './migration.ts';

/** A machine that is only talked about on the telephone hangs on no tag. */
export const m0005Calls: Migration = {
  name: '0005-calls',
  statements: [
    'alter table ticket_summary alter column tag drop not null',
    `update ticket_summary set line = line || '{"call": null}'::jsonb`,
  ],
};

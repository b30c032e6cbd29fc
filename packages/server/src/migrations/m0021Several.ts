import type { Migration } from './migration.ts';

/** For several processes on one database: who did what is done now and then, and what they may serve from. */
export const m0021Several: Migration = {
  name: '0021-several',
  statements: [
    // No shop's rows: work that is done once for all of them.
    `create table periodic_work (
      name text primary key,
      begun_at timestamptz not null
    )`,
    'grant select, insert, update on periodic_work to nodo_app',
    'grant select on migration to nodo_app',
  ],
};

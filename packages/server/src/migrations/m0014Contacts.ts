import type { Migration } from './migration.ts';

/** Lines of the Rack say what the customer is called about; what was before is known again with the next entry. */
export const m0014Contacts: Migration = {
  name: '0014-contacts',
  statements: [
    // Lines of every shop: for this statement the owner is not held to a single one.
    'alter table ticket_summary no force row level security',
    `update ticket_summary set
      line = line || jsonb_build_object('contact', null, 'asked', null, 'freedBy', null)`,
    'alter table ticket_summary force row level security',
  ],
};

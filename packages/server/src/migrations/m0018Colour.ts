import type { Migration } from './migration.ts';

/** Ticket summaries carry the colour of the machine's body; nobody was asked for it before. */
export const m0018Colour: Migration = {
  name: '0018-colour',
  statements: [
    // Lines of every shop: for this one statement the owner is not held to a single one.
    'alter table ticket_summary no force row level security',
    `update ticket_summary set line = '{"colour": null}'::jsonb || line`,
    'alter table ticket_summary force row level security',
  ],
};

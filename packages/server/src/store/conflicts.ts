import { ForeignKeyConstraintError, UniqueConstraintError } from 'sequelize';

/** Which constraint of the migrations means what, for the entries of a ticket. */
export const CONFLICTS = {
  ticket_event_pkey: 'seq-taken',
  ticket_event_id: 'id-taken',
  ticket_summary_pkey: 'seq-taken',
  ticket_summary_tag: 'tag-taken',
  ticket_summary_shop_id_customer_id_fkey: 'unknown-customer',
  machine_shop_id_customer_id_fkey: 'unknown-customer',
  ticket_summary_shop_id_machine_id_fkey: 'unknown-machine',
} as const;
/** The same for the shop's tables. */
export const TABLE_CONFLICTS = {
  table_event_pkey: 'seq-taken',
  table_event_id: 'id-taken',
} as const;

/** What was appended, or which constraint it ran into. */
export async function orConflict<Done extends string, Conflict extends string>(
  conflicts: Readonly<Record<string, Conflict>>,
  writing: Promise<Done>,
): Promise<Done | Conflict> {
  try {
    return await writing;
  } catch (fault) {
    if (!(fault instanceof UniqueConstraintError || fault instanceof ForeignKeyConstraintError)) {
      throw fault;
    }
    const { constraint = '' } = fault.parent as { constraint?: string };
    const conflict = conflicts[constraint];
    if (conflict === undefined) throw fault;
    return conflict;
  }
}

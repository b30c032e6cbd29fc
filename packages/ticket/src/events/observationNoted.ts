import { humanText, tableId } from '@nodo/kernel';
import { z } from 'zod';
import { accept, defineEvent } from './define.ts';
import { evenLate } from './guards.ts';

const body = z.object({
  words: humanText(500),
  /** The check at which it was noted. */
  check: tableId.optional(),
});

/** Something that the tables have no word for, kept in the technician's own. */
export const observationNoted = defineEvent({
  version: 1,
  command: body,
  body,
  decide: evenLate((_ticket, command) => accept(command)),
  apply: (ticket) => ticket,
});

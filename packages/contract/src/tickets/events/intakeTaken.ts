import { z } from 'zod';
import { refuse } from '../../refusal.ts';
import { humanText, tableId, uuid } from '../../text.ts';
import { accept, defineEvent, reject } from './define.ts';

const body = z.object({
  family: tableId,
  /** How the shop calls this machine: "Teal zigzag". */
  label: humanText(80),
  /** Number on the shelf tag. */
  tag: z.number().int().min(1).max(9999),
  shelf: humanText(12),
  /** The complaint in the customer's own words. */
  words: humanText(2000, 0),
  /** The customer's row; names and numbers stay out of the events. */
  customer: uuid.nullable(),
});

/** The machine came in. Always the first entry. */
export const intakeTaken = defineEvent({
  type: 'intake-taken',
  version: 1,
  command: body,
  body,
  decide(ticket, command, { modelOf }) {
    if (ticket.status !== 'new') return reject(refuse('already-taken-in'));
    if (!modelOf(command.family)) {
      return reject(refuse('unknown-family', 'command.family', { family: command.family }));
    }
    return accept(command);
  },
  apply(ticket, { customer, ...intake }, { knowledge }) {
    return {
      ...ticket,
      status: 'open',
      intake: { ...intake, customer: customer ?? undefined },
      knowledge,
    };
  },
});

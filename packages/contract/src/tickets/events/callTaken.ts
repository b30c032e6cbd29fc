import { z } from 'zod';
import { refuse } from '../../refusal.ts';
import { humanText, tableId, uuid } from '../../text.ts';
import { accept, defineEvent, reject } from './define.ts';

const body = z.object({
  family: tableId,
  /** How the customer calls the machine. */
  label: humanText(80),
  words: humanText(2000, 0),
  /** The customer's row; names and numbers stay out of the events. */
  customer: uuid.nullable(),
});

/** Somebody rings up about a machine that is not in the shop. Then it is the first entry. */
export const callTaken = defineEvent({
  type: 'call-taken',
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
      intake: { ...intake, tag: undefined, shelf: '', customer: customer ?? undefined },
      knowledge,
    };
  },
});

import { z } from 'zod';
import { refuse } from '../../refusal.ts';
import { humanText } from '../../text.ts';
import { accept, defineEvent, reject } from './define.ts';
import { atWork } from './guards.ts';

const body = z.object({
  tag: z.number().int().min(1).max(9999),
  shelf: humanText(12),
});

/** A machine that was talked about on the telephone comes in; all that was said stays. */
export const machineArrived = defineEvent({
  type: 'machine-arrived',
  version: 1,
  command: body,
  body,
  decide: atWork((ticket, command) =>
    ticket.intake?.tag === undefined ? accept(command) : reject(refuse('in-the-shop')),
  ),
  apply(ticket, { tag, shelf }) {
    return ticket.intake ? { ...ticket, intake: { ...ticket.intake, tag, shelf } } : ticket;
  },
});

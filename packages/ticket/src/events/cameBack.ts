import { refuse, uuid } from '@nodo/kernel';
import { z } from 'zod';
import { accept, defineEvent, reject } from './define.ts';

/** The ticket by which it came. */
const body = z.object({ ticket: uuid });

/** The machine came back: counted on the ticket that was to have put it right. */
export const cameBack = defineEvent({
  version: 1,
  command: body,
  body,
  decide(ticket, command) {
    if (ticket.status === 'new') return reject(refuse('not-taken-in'));
    if (ticket.status === 'open') return reject(refuse('ticket-open'));
    return ticket.life.comebacks.includes(command.ticket)
      ? reject(refuse('already-so'))
      : accept(command);
  },
  apply: (ticket, body) => ({
    ...ticket,
    life: { ...ticket.life, comebacks: [...ticket.life.comebacks, body.ticket] },
  }),
});

import { humanText, LEAST_REASON, refuse } from '@nodo/kernel';
import { z } from 'zod';
import { accept, defineEvent, reject } from './define.ts';

const body = z.object({ reason: humanText(500, LEAST_REASON) });

/** A closed ticket goes back to the bench. */
export const ticketReopened = defineEvent({
  version: 1,
  command: body,
  body,
  decide(ticket, command) {
    if (ticket.status === 'new') return reject(refuse('not-taken-in'));
    return ticket.status === 'closed' ? accept(command) : reject(refuse('ticket-open'));
  },
  apply: (ticket) => ({ ...ticket, status: 'open', closing: undefined, call: undefined }),
});

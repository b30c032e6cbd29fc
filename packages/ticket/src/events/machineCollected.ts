import { refuse } from '@nodo/kernel';
import { accept, defineEvent, nothing, reject } from './define.ts';

/** The customer has the machine again; its tag is free. */
export const machineCollected = defineEvent({
  version: 1,
  command: nothing,
  body: nothing,
  decide(ticket, command) {
    if (ticket.status === 'new') return reject(refuse('not-taken-in'));
    if (ticket.status === 'open') return reject(refuse('ticket-open'));
    return ticket.status === 'closed' ? accept(command) : reject(refuse('already-so'));
  },
  apply: (ticket) => ({ ...ticket, status: 'collected' }),
});

import { humanText, refuse } from '@nodo/kernel';
import { z } from 'zod';
import { accept, defineEvent, reject } from './define.ts';

const body = z.object({
  /** Of what came with the machine, what was given back; left out by pages that did not ask. */
  givenBack: z.array(humanText(60)).max(30).optional(),
  /** Why no bill went with it. */
  withoutBill: humanText(300, 3).optional(),
});

/** The customer has the machine again; its tag is free. */
export const machineCollected = defineEvent({
  version: 1,
  command: body,
  body,
  decide(ticket, command) {
    if (ticket.status === 'new') return reject(refuse('not-taken-in'));
    if (ticket.status === 'open') return reject(refuse('ticket-open'));
    return ticket.status === 'closed' ? accept(command) : reject(refuse('already-so'));
  },
  apply: (ticket, { givenBack, withoutBill }) => ({
    ...ticket,
    status: 'collected',
    life: { ...ticket.life, givenBack, withoutBill },
  }),
});

import { humanText, LEAST_REASON, refuse } from '@nodo/kernel';
import { z } from 'zod';
import { NEVER_COLLECTED } from '../state/values.ts';
import { accept, defineEvent, reject } from './define.ts';

const body = z.object({
  /** Of what came with the machine, what was given back; left out by pages that did not ask. */
  givenBack: z.array(humanText(60)).max(30).optional(),
  /** Why no bill went with it. */
  withoutBill: humanText(300, LEAST_REASON).optional(),
  /** What became of it instead, and by which right: its customer knew and never came. */
  instead: z
    .object({ way: z.enum(NEVER_COLLECTED), reason: humanText(500, LEAST_REASON) })
    .optional(),
});

/** The customer has the machine again, or it left the shop otherwise; its tag is free. */
export const machineCollected = defineEvent({
  version: 1,
  command: body,
  body,
  decide(ticket, command) {
    if (ticket.status === 'new') return reject(refuse('not-taken-in'));
    if (ticket.status === 'open') return reject(refuse('ticket-open'));
    if (command.instead && ticket.life.toldAt === undefined) {
      return reject(refuse('not-informed', 'command.instead'));
    }
    return ticket.status === 'closed' ? accept(command) : reject(refuse('already-so'));
  },
  apply: (ticket, { givenBack, withoutBill, instead }) => ({
    ...ticket,
    status: 'collected',
    life: { ...ticket.life, givenBack, withoutBill, instead },
  }),
});

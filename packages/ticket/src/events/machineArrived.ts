import { humanText } from '@nodo/kernel';
import { z } from 'zod';
import { received, withReceived } from './beginning.ts';
import { accept, defineEvent } from './define.ts';
import { whileAway } from './guards.ts';

const body = z.object({
  tag: z.number().int().min(1).max(9999),
  shelf: humanText(12),
  ...received.shape,
});

/** A machine that was talked about on the telephone comes in; all that was said stays. */
export const machineArrived = defineEvent({
  version: 1,
  command: body,
  body,
  decide: whileAway((_ticket, command) => accept(command)),
  apply(ticket, body) {
    const { tag, shelf } = body;
    if (!ticket.intake) return ticket;
    return {
      ...ticket,
      intake: { ...ticket.intake, tag, shelf },
      life: withReceived(ticket.life, body),
    };
  },
});

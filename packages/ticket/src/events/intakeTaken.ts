import { humanText, uuid } from '@nodo/kernel';
import { z } from 'zod';
import { beginning, decideBeginning, intakeOf, received, withReceived } from './beginning.ts';
import { defineEvent } from './define.ts';

const body = beginning.extend({
  /** Number on the shelf tag. */
  tag: z.number().int().min(1).max(9999),
  shelf: humanText(12),
  ...received.shape,
  /** The ticket that it comes back from. */
  comebackOf: uuid.nullish(),
});

/** The machine came in, and nobody had rung up about it. Then it is the first entry. */
export const intakeTaken = defineEvent({
  version: 1,
  command: body,
  body,
  decide: decideBeginning,
  apply(ticket, body, { knowledge }) {
    const { tag, shelf, machine, comebackOf } = body;
    return {
      ...ticket,
      status: 'open',
      intake: { ...intakeOf(body), tag, shelf },
      life: {
        ...withReceived(ticket.life, body),
        machine: machine ?? undefined,
        comebackOf: comebackOf ?? undefined,
      },
      knowledge,
    };
  },
});

import { needleIn } from '../state/needleEntry.ts';
import { accept, defineEvent } from './define.ts';
import { atWork } from './guards.ts';

/** Which needle is in the machine from now on, found there or put in, and where the last one went. */
export const needleFitted = defineEvent({
  version: 1,
  command: needleIn,
  body: needleIn,
  decide: atWork((_ticket, command) => accept(command)),
  apply: (ticket, fitted, { id, seq, actor, observedAt }) => ({
    ...ticket,
    life: {
      ...ticket.life,
      needles: [
        ...ticket.life.needles,
        {
          ...fitted,
          id,
          machine: ticket.life.machine ?? null,
          ticket: ticket.id,
          by: actor.person,
          when: observedAt,
          seq,
        },
      ],
    },
  }),
});

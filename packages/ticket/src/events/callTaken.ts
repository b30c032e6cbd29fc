import { beginning, decideBeginning, intakeOf } from './beginning.ts';
import { defineEvent } from './define.ts';

/** Somebody rings up about a machine that is not in the shop. Then it is the first entry. */
export const callTaken = defineEvent({
  version: 1,
  command: beginning,
  body: beginning,
  decide: decideBeginning,
  apply(ticket, body, { knowledge }) {
    return {
      ...ticket,
      status: 'open',
      intake: { ...intakeOf(body), tag: undefined, shelf: '' },
      life: { ...ticket.life, machine: body.machine ?? undefined },
      knowledge,
    };
  },
});

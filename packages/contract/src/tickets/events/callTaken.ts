import { decideBeginning, told } from './beginning.ts';
import { defineEvent } from './define.ts';

/** Somebody rings up about a machine that is not in the shop. Then it is the first entry. */
export const callTaken = defineEvent({
  type: 'call-taken',
  version: 1,
  command: told,
  body: told,
  decide: decideBeginning,
  apply(ticket, { customer, ...intake }, { knowledge }) {
    return {
      ...ticket,
      status: 'open',
      intake: { ...intake, tag: undefined, shelf: '', customer: customer ?? undefined },
      knowledge,
    };
  },
});

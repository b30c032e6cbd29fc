import { refuse } from '@nodo/kernel';
import { accept, defineEvent, nothing, reject } from './define.ts';
import { atTheBench } from './guards.ts';

/** Everything is back on the machine. */
export const machineClosed = defineEvent({
  version: 1,
  command: nothing,
  body: nothing,
  decide: atTheBench((ticket, command) => {
    return ticket.open.size > 0 ? accept(command) : reject(refuse('already-so'));
  }),
  apply: (ticket, _body, { seq, epoch }) => ({
    ...ticket,
    open: new Set<string>(),
    closedUp: [...ticket.closedUp, ...[...ticket.open].map((state) => ({ state, epoch, seq }))],
  }),
});

import { openingChain } from '@nodo/core';
import { refuse, tableId } from '@nodo/kernel';
import { z } from 'zod';
import { gatesUnmet } from '../assessment/gates.ts';
import { accept, defineEvent, reject } from './define.ts';
import { atTheBench } from './guards.ts';

const command = z.object({ state: tableId });

const body = command.extend({
  /** Everything that came off on the way, outermost first. */
  states: z.array(tableId),
});

/** Parts came off or a door was opened, with what lies before them. Only unplugged. */
export const machineOpened = defineEvent({
  version: 1,
  command,
  body,
  decide: atTheBench((ticket, { state }, { model }) => {
    if (!model.access.some(({ id }) => id === state)) {
      return reject(refuse('not-on-this-machine', 'command.state', { id: state }));
    }
    const states = openingChain(model.access, ticket.open, state).map(({ id }) => id);
    if (states.length === 0) return reject(refuse('already-so', 'command.state'));
    const unmet = [...new Set(states.flatMap((id) => gatesUnmet(ticket, model, `access:${id}`)))];
    if (unmet.length > 0) return reject(refuse('gate-unmet', 'command.state', { unmet }));
    return accept({ state, states });
  }),
  apply(ticket, { states }, { seq, epoch }) {
    return {
      ...ticket,
      open: new Set([...ticket.open, ...states]),
      opened: [...ticket.opened, ...states.map((state) => ({ state, epoch, seq }))],
    };
  },
});

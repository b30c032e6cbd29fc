import { CoreFault, clockMinutes, screwStand } from '@nodo/core';
import { refuse } from '@nodo/kernel';
import { screwTurn } from '../state/values.ts';
import { accept, defineEvent, reject } from './define.ts';
import { atTheBench } from './guards.ts';

/** The screw of a bobbin case was turned: by how much, and where its slot pointed before. */
export const screwTurned = defineEvent({
  type: 'screw-turned',
  version: 1,
  command: screwTurn,
  body: screwTurn,
  decide: atTheBench((_ticket, command) => {
    try {
      screwStand(command.start, [clockMinutes(command.turn)]);
      return accept(command);
    } catch (fault) {
      if (!(fault instanceof CoreFault)) throw fault;
      return reject(refuse('no-such-turn', 'command.turn', { ...fault.data }));
    }
  }),
  apply(ticket, { which, start, turn }) {
    const { screws } = ticket.life;
    const before = screws[which];
    const now = { start: before?.start ?? start, turns: [...(before?.turns ?? []), turn] };
    return { ...ticket, life: { ...ticket.life, screws: { ...screws, [which]: now } } };
  },
});

import { clockMinutes, screwStand } from '@nodo/core';
import { screwTurn } from '../state/values.ts';
import { defineEvent } from './define.ts';
import { acceptValid, atTheBench } from './guards.ts';

/** The screw of a bobbin case was turned: by how much, and where its slot pointed before. */
export const screwTurned = defineEvent({
  version: 1,
  command: screwTurn,
  body: screwTurn,
  decide: atTheBench((_ticket, command) =>
    acceptValid(
      () => {
        screwStand(command.start, [clockMinutes(command.turn)]);
        return command;
      },
      'no-such-turn',
      'command.turn',
    ),
  ),
  apply(ticket, { which, start, turn }) {
    const { screws } = ticket.life;
    const before = screws[which];
    const now = { start: before?.start ?? start, turns: [...(before?.turns ?? []), turn] };
    return { ...ticket, life: { ...ticket.life, screws: { ...screws, [which]: now } } };
  },
});

import { humanText, LEAST_REASON, refuse, tableId } from '@nodo/kernel';
import { z } from 'zod';
import { dutiesOf } from '../assessment/duties.ts';
import { accept, defineEvent, reject } from './define.ts';
import { atWork } from './guards.ts';

const body = z.object({ duty: tableId, reason: humanText(500, LEAST_REASON) });

/** A named person takes it upon himself that a duty stays undone, and says why. */
export const dutyWaived = defineEvent({
  version: 1,
  command: body,
  body,
  decide: atWork((ticket, command, { model }) => {
    const owed = dutiesOf(ticket, model).some(
      ({ duty, state }) => duty === command.duty && state === 'owed',
    );
    if (!owed) return reject(refuse('duty-not-owed', 'command.duty', { id: command.duty }));
    return accept(command);
  }),
  apply(ticket, { duty, reason }, { seq, epoch, actor }) {
    return { ...ticket, waivers: [...ticket.waivers, { duty, reason, by: actor, epoch, seq }] };
  },
});

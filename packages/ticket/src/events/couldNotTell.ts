import { refuse, tableId } from '@nodo/kernel';
import { z } from 'zod';
import { WHY_NOT_TOLD } from '../state/ticket.ts';
import { accept, defineEvent, reject } from './define.ts';
import { evenLate } from './guards.ts';

const body = z.object({ check: tableId, why: z.enum(WHY_NOT_TOLD).optional() });

/** The check was tried and gave no answer; it is not proposed again in this epoch. */
export const couldNotTell = defineEvent({
  version: 1,
  command: body,
  body,
  decide: evenLate((_ticket, command, { model }) => {
    if (!model.checks.has(command.check)) {
      return reject(refuse('not-on-this-machine', 'command.check', { id: command.check }));
    }
    return accept(command);
  }),
  apply(ticket, { check, why }, { epoch, seq }) {
    return { ...ticket, unanswerable: [...ticket.unanswerable, { check, why, epoch, seq }] };
  },
});

import { refuse, tableId } from '@nodo/kernel';
import { z } from 'zod';
import { accept, defineEvent, reject } from './define.ts';
import { evenLate } from './guards.ts';

const body = z.object({ check: tableId });

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
  apply(ticket, { check }, { epoch }) {
    return { ...ticket, unanswerable: [...ticket.unanswerable, { check, epoch }] };
  },
});

import { refuse, tableId } from '@nodo/kernel';
import { z } from 'zod';
import { HOW_OFTEN } from '../state/values.ts';
import { accept, defineEvent, reject } from './define.ts';
import { atWork } from './guards.ts';

const body = z.object({ symptom: tableId, often: z.enum(HOW_OFTEN) });

/** The customer says how often a symptom shows: it decides how long the machine must sew in silence. */
export const howOftenTold = defineEvent({
  version: 1,
  command: body,
  body,
  decide: atWork((_ticket, command, { model }) => {
    if (!model.findings.get(command.symptom)?.symptom) {
      return reject(refuse('not-on-this-machine', 'command.symptom', { id: command.symptom }));
    }
    return accept(command);
  }),
  apply: (ticket, { symptom, often }) => ({
    ...ticket,
    often: { ...ticket.often, [symptom]: often },
  }),
});

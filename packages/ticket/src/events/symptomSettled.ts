import { humanText, LEAST_REASON, refuse, tableId } from '@nodo/kernel';
import { z } from 'zod';
import { assess } from '../assessment/assess.ts';
import { SETTLED_BY_HAND } from '../state/ticket.ts';
import { accept, defineEvent, reject } from './define.ts';
import { atWork } from './guards.ts';

const body = z.object({
  /** Id of the symptom; `words` for a complaint that was given in words alone. */
  symptom: tableId,
  how: z.enum(SETTLED_BY_HAND),
  reason: humanText(500, LEAST_REASON),
});

/**
 * A symptom that was not sewn away is settled by a person, with what was said or why: its way of sewing
 * or material was explained and shown, the customer leaves it so, or it is put aside.
 */
export const symptomSettled = defineEvent({
  version: 1,
  command: body,
  body,
  decide: atWork((ticket, command, { model }) => {
    const owed = assess(ticket, model).debts.some(
      ({ symptom, settled }) => symptom === command.symptom && settled === undefined,
    );
    if (!owed)
      return reject(refuse('symptom-not-owed', 'command.symptom', { id: command.symptom }));
    return accept(command);
  }),
  apply: (ticket, command, { seq, epoch, actor }) => ({
    ...ticket,
    settledSymptoms: [...ticket.settledSymptoms, { ...command, by: actor, epoch, seq }],
  }),
});

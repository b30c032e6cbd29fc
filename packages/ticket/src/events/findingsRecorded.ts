import { refuse, tableId } from '@nodo/kernel';
import { SEWN_AS_FOUND } from '@nodo/knowledge';
import { z } from 'zod';
import { gatesUnmet } from '../assessment/gates.ts';
import { HOW_OFTEN } from '../state/values.ts';
import { accept, defineEvent, reject } from './define.ts';
import { evenLate } from './guards.ts';

const command = z.object({
  check: tableId,
  /** Only what was asked: what is left out stays unasked. */
  answers: z.record(tableId, z.enum(['yes', 'no'])),
  /** Minutes sewn, of a check that sews; as long as the check takes when left out. */
  sewnMinutes: z.number().positive().max(1440).optional(),
  /** Sewn on the customer's own work, as it failed. */
  onTheWork: z.boolean().optional(),
  /** How often what was reported shows, as far as the customer said. */
  often: z.record(tableId, z.enum(HOW_OFTEN)).optional(),
});

const body = command.extend({
  /** Every finding of the check was answered. */
  complete: z.boolean(),
});

/** One look at one check, with all its answers in one go. */
export const findingsRecorded = defineEvent({
  version: 1,
  command,
  body,
  decide: evenLate((ticket, given, { model }) => {
    const check = model.checks.get(given.check);
    if (!check) return reject(refuse('not-on-this-machine', 'command.check', { id: given.check }));

    const own = new Set(check.findings.map(({ id }) => id));
    // Sewn as it came in, any symptom may show.
    const isSymptom = (id: string): boolean =>
      check.id === SEWN_AS_FOUND && model.findings.get(id)?.symptom !== undefined;
    const stranger = Object.keys(given.answers).find((id) => !own.has(id) && !isSymptom(id));
    if (stranger !== undefined) {
      return reject(
        refuse('finding-of-another-check', `command.answers.${stranger}`, { id: stranger }),
      );
    }
    const answers = Object.values(given.answers);
    if (answers.length === 0) return reject(refuse('nothing-answered', 'command.answers'));
    if (check.oneOf && answers.filter((answer) => answer === 'yes').length > 1) {
      return reject(refuse('findings-exclude-each-other', 'command.answers'));
    }
    const unmet = gatesUnmet(ticket, model, `check:${check.id}`);
    if (unmet.length > 0) return reject(refuse('gate-unmet', 'command.check', { unmet }));
    const isComplete = [...own].every((id) => given.answers[id] !== undefined);
    return accept({ ...given, complete: isComplete });
  }),
  apply(ticket, body, { seq, epoch, actor }) {
    const { check, answers, complete, sewnMinutes, onTheWork, often } = body;
    const given = Object.entries(answers);
    return {
      ...ticket,
      often: { ...ticket.often, ...often },
      answers: [
        ...ticket.answers,
        ...given.map(([finding, answer]) => ({
          finding,
          check,
          present: answer === 'yes',
          epoch,
          by: actor,
          seq,
          ...(sewnMinutes === undefined ? {} : { sewnMinutes }),
          ...(onTheWork === undefined ? {} : { onTheWork }),
        })),
      ],
      looks: [
        ...ticket.looks,
        {
          check,
          complete,
          normal: complete && given.every(([, answer]) => answer === 'no'),
          epoch,
          seq,
        },
      ],
    };
  },
});

import { refuse, tableId } from '@nodo/kernel';
import { z } from 'zod';
import { gatesUnmet } from '../assessment/gates.ts';
import { accept, defineEvent, reject } from './define.ts';
import { evenLate } from './guards.ts';

const command = z.object({
  check: tableId,
  /** Only what was asked: what is left out stays unasked. */
  answers: z.record(tableId, z.enum(['yes', 'no'])),
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
    const stranger = Object.keys(given.answers).find((id) => !own.has(id));
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
    return accept({ ...given, complete: answers.length === own.size });
  }),
  apply(ticket, { check, answers, complete }, { seq, epoch, actor }) {
    const given = Object.entries(answers);
    return {
      ...ticket,
      answers: [
        ...ticket.answers,
        ...given.map(([finding, answer]) => ({
          finding,
          check,
          present: answer === 'yes',
          epoch,
          by: actor,
          seq,
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

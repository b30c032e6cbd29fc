import type { DutyStatus } from '@nodo/core';
import { refuse } from '@nodo/kernel';
import { z } from 'zod';
import { assess } from '../assessment/assess.ts';
import { closingSnapshot, snapshotOf } from '../state/closingSnapshot.ts';
import { clockStopped, wasDeclined } from '../state/life.ts';
import { UNREPAIRED } from '../state/values.ts';
import { accept, defineEvent, reject } from './define.ts';
import { atTheBench } from './guards.ts';

const command = z.object({
  /** It goes back as it is. */
  unrepaired: z.literal(true).optional(),
  /** Why it does: the customer said no to the price, unless something else is said. */
  why: z.enum(UNREPAIRED).optional(),
});

const body = command.extend({ snapshot: closingSnapshot });

/** Owed even by a machine that goes back unrepaired: what could hurt whoever has it next. */
const OWED_EVEN_UNREPAIRED: ReadonlySet<string> = new Set(['fragments', 'electrical']);

/**
 * Closes the ticket. Every duty must be cleared or waived first, and every reported symptom sewn away,
 * not brought out, or settled by a person.
 */
export const ticketClosed = defineEvent({
  version: 1,
  command,
  body,
  decide: atTheBench((ticket, { unrepaired, why = 'refused' }, { model }) => {
    if (ticket.open.size > 0) {
      return reject(refuse('gate-unmet', '', { unmet: ['machine-closed'] }));
    }
    const assessment = assess(ticket, model);
    const inState = (wanted: DutyStatus['state']): readonly string[] =>
      assessment.duties.filter(({ state }) => state === wanted).map(({ duty }) => duty);
    const owed = inState('owed');
    if (unrepaired) {
      if (why === 'refused' && !wasDeclined(ticket.life))
        return reject(refuse('not-declined', 'command.unrepaired'));
      const left = owed.filter((duty) => OWED_EVEN_UNREPAIRED.has(duty));
      if (left.length > 0) return reject(refuse('duties-owed', '', { owed: left }));
      return accept({
        unrepaired,
        why,
        snapshot: snapshotOf(assessment, [...inState('waived'), ...owed]),
      });
    }
    if (owed.length > 0) return reject(refuse('duties-owed', '', { owed }));
    const unsettled = assessment.debts.filter(({ settled }) => settled === undefined);
    if (unsettled.length > 0) {
      return reject(refuse('symptoms-owed', '', { owed: unsettled.map(({ symptom }) => symptom) }));
    }
    return accept({ snapshot: snapshotOf(assessment, inState('waived')) });
  }),
  apply(ticket, { snapshot, unrepaired, why = 'refused' }, { seq, observedAt }) {
    return {
      ...ticket,
      status: 'closed',
      closing: { snapshot, seq, unrepaired: unrepaired && why },
      life: clockStopped(ticket.life, observedAt),
    };
  },
});

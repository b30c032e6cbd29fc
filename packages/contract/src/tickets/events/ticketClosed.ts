import type { DutyStatus } from '@nodo/core';
import { z } from 'zod';
import { refuse } from '../../refusal.ts';
import { assess } from '../assess.ts';
import { closingSnapshot, snapshotOf } from '../snapshot.ts';
import { accept, defineEvent, nothing, reject } from './define.ts';
import { atTheBench } from './guards.ts';

const body = z.object({ snapshot: closingSnapshot });

/** The knot is tied. Every duty must be cleared or waived first. */
export const ticketClosed = defineEvent({
  type: 'ticket-closed',
  version: 1,
  command: nothing,
  body,
  decide: atTheBench((ticket, _command, { model }) => {
    if (ticket.open.size > 0) {
      return reject(refuse('gate-unmet', '', { unmet: ['machine-closed'] }));
    }
    const assessment = assess(ticket, model);
    const inState = (wanted: DutyStatus['state']): readonly string[] =>
      assessment.duties.filter(({ state }) => state === wanted).map(({ duty }) => duty);
    const owed = inState('owed');
    if (owed.length > 0) return reject(refuse('duties-owed', '', { owed }));
    return accept({ snapshot: snapshotOf(assessment, inState('waived')) });
  }),
  apply(ticket, { snapshot }, { seq }) {
    return { ...ticket, status: 'closed', closing: { snapshot, seq } };
  },
});

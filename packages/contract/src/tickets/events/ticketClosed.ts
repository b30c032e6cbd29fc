import { z } from 'zod';
import { refuse } from '../../refusal.ts';
import { assess, ENGINE } from '../assess.ts';
import { closingSnapshot, LEAST_KEPT } from '../snapshot.ts';
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
    const { beliefs, risk, duties } = assess(ticket, model);
    const owed = duties.filter(({ state }) => state === 'owed').map(({ duty }) => duty);
    if (owed.length > 0) return reject(refuse('duties-owed', '', { owed }));
    return accept({
      snapshot: {
        engine: ENGINE,
        risk,
        causes: beliefs.filter(({ was, is }) => was >= LEAST_KEPT || is >= LEAST_KEPT),
        waived: duties.filter(({ state }) => state === 'waived').map(({ duty }) => duty),
      },
    });
  }),
  apply(ticket, { snapshot }, { seq }) {
    return { ...ticket, status: 'closed', closing: { snapshot, seq } };
  },
});

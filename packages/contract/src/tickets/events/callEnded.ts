import { type FamilyModel, LEFT_BY_PHONE } from '@nodo/knowledge';
import { z } from 'zod';
import { refuse } from '../../refusal.ts';
import { tableId } from '../../text.ts';
import { assess, ENGINE } from '../assess.ts';
import { closingSnapshot, LEAST_KEPT } from '../snapshot.ts';
import { stateEpoch, type Ticket } from '../ticket.ts';
import { withTold } from './customerDid.ts';
import { accept, type Decision, defineEvent, reject } from './define.ts';
import { atWork } from './guards.ts';

const command = z.object({ outcome: z.enum(['solved', 'bring-in', 'stop']) });

const body = command.extend({
  /** What a trial took away and stays taken away, when it was solved by that. */
  kept: z.array(tableId),
  /** What was known then, when it was solved. */
  snapshot: closingSnapshot.nullable(),
});

/** The call is over: solved, the machine is to be brought in, or it is to be left unplugged. */
export const callEnded = defineEvent({
  type: 'call-ended',
  version: 1,
  command,
  body,
  decide: atWork((ticket, { outcome }, { model }): Decision<z.infer<typeof body>> => {
    if (ticket.intake?.tag !== undefined) return reject(refuse('in-the-shop'));
    if (outcome !== 'solved') return accept({ outcome, kept: [], snapshot: null });
    const kept = takenAwayByTrial(ticket, model);
    const after = kept.length > 0 ? withTold(ticket, kept, ticket) : ticket;
    const { beliefs, risk, duties } = assess(after, model);
    const owed = duties.filter(({ state }) => state === 'owed').map(({ duty }) => duty);
    const barring = owed.filter((duty) => !LEFT_BY_PHONE.has(duty));
    if (barring.length > 0) return reject(refuse('duties-owed', '', { owed: barring }));
    return accept({
      outcome,
      kept: [...kept],
      snapshot: {
        engine: ENGINE,
        risk,
        causes: beliefs.filter(({ was, is }) => was >= LEAST_KEPT || is >= LEAST_KEPT),
        waived: owed,
      },
    });
  }),
  apply(ticket, { outcome, kept, snapshot }, place) {
    const after = kept.length > 0 ? withTold(ticket, kept, place) : ticket;
    return snapshot === null
      ? { ...after, call: outcome }
      : { ...after, call: outcome, status: 'closed', closing: { snapshot, seq: place.seq } };
  },
});

/** The causes behind trials that cured in the present state of the machine. */
function takenAwayByTrial(ticket: Ticket, model: FamilyModel): readonly string[] {
  const now = stateEpoch(ticket, ticket.epoch);
  const cured = new Set(
    ticket.answers
      .filter(({ epoch, present }) => present && stateEpoch(ticket, epoch) === now)
      .map(({ finding }) => finding),
  );
  const treats = [...model.trials.values()].flatMap((trial) =>
    cured.has(trial.finding) ? trial.treats : [],
  );
  return [...new Set(treats)];
}

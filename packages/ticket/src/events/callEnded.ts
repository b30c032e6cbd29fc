import { refuse, tableId } from '@nodo/kernel';
import { LEFT_BY_PHONE } from '@nodo/knowledge';
import { z } from 'zod';
import { assess } from '../assessment/assess.ts';
import { curedBy } from '../assessment/cured.ts';
import { closingSnapshot, snapshotOf } from '../state/closingSnapshot.ts';
import { withCustomerTreatment } from './customerDid.ts';
import { accept, type Decision, defineEvent, reject } from './define.ts';
import { whileAway } from './guards.ts';

const command = z.object({ outcome: z.enum(['solved', 'bring-in', 'stop']) });

const body = command.extend({
  /** What a trial took away and stays taken away, when it was solved by that. */
  kept: z.array(tableId),
  /** What was known then, when it was solved. */
  snapshot: closingSnapshot.nullable(),
});

/** The call is over: solved, the machine is to be brought in, or it is to be left unplugged. */
export const callEnded = defineEvent({
  version: 1,
  command,
  body,
  decide: whileAway((ticket, { outcome }, { model }): Decision<z.infer<typeof body>> => {
    if (outcome !== 'solved') return accept({ outcome, kept: [], snapshot: null });
    const kept = [
      ...new Set(curedBy(ticket, model).flatMap(({ trialTreats = [] }) => trialTreats)),
    ].filter((cause) => model.causes.has(cause));
    const assessment = assess(
      kept.length > 0 ? withCustomerTreatment(ticket, kept, ticket) : ticket,
      model,
    );
    const owed = assessment.duties.filter(({ state }) => state === 'owed').map(({ duty }) => duty);
    const barring = owed.filter((duty) => !LEFT_BY_PHONE.has(duty));
    if (barring.length > 0) return reject(refuse('duties-owed', '', { owed: barring }));
    return accept({ outcome, kept, snapshot: snapshotOf(assessment, owed) });
  }),
  apply(ticket, { outcome, kept, snapshot }, place) {
    const after = kept.length > 0 ? withCustomerTreatment(ticket, kept, place) : ticket;
    return snapshot === null
      ? { ...after, call: outcome }
      : {
          ...after,
          call: outcome,
          status: 'closed',
          closing: { snapshot, seq: place.seq, unrepaired: undefined },
        };
  },
});

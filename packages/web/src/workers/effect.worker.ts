import {
  type CasesVerdict,
  judgeCases,
  type KnowledgeVersion,
  type TableChange,
  versionWith,
  WORKED_CASES,
} from '@nodo/knowledge';
import { foldTicket, outlookUnder, type TicketEvent, type TicketOutlook } from '@nodo/ticket';
import { expose } from 'comlink';
import { effectOnCases, effectOnTicket } from './questions.ts';

/** How something comes out under the present tables and under the changed ones. */
export interface Compared<Outcome> {
  readonly before: Outcome;
  readonly after: Outcome;
}

/** What a change of the tables would do; heavy, and away from the planner at the bench. */
const effects = {
  cases(...asked: [readonly TableChange[], TableChange]): Compared<CasesVerdict> {
    const [inForce, change] = effectOnCases.parse(asked);
    return compared(inForce, change, (version) => judgeCases(version, WORKED_CASES));
  },

  ticket(
    ...asked: [string, readonly TicketEvent[], readonly TableChange[], TableChange]
  ): Compared<TicketOutlook | undefined> {
    const [id, events, inForce, change] = effectOnTicket.parse(asked);
    const ticket = foldTicket(id, events);
    return compared(inForce, change, (version) => outlookUnder(version, ticket));
  },
};

function compared<Outcome>(
  inForce: readonly TableChange[],
  change: TableChange,
  outcome: (version: KnowledgeVersion) => Outcome,
): Compared<Outcome> {
  return {
    before: outcome(versionWith(inForce)),
    after: outcome(versionWith([...inForce, change])),
  };
}

export type Effects = typeof effects;

expose(effects);

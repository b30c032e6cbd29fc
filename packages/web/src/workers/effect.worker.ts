import {
  type CasesVerdict,
  type Edition,
  editionWith,
  judgeCases,
  type TableChange,
  WORKED_CASES,
} from '@nodo/knowledge';
import { standingUnder, type TicketEvent, type TicketStanding, ticketOf } from '@nodo/ticket';
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
    return compared(inForce, change, (edition) => judgeCases(edition, WORKED_CASES));
  },

  ticket(
    ...asked: [string, readonly TicketEvent[], readonly TableChange[], TableChange]
  ): Compared<TicketStanding | undefined> {
    const [id, events, inForce, change] = effectOnTicket.parse(asked);
    const ticket = ticketOf(id, events);
    return compared(inForce, change, (edition) => standingUnder(edition, ticket));
  },
};

function compared<Outcome>(
  inForce: readonly TableChange[],
  change: TableChange,
  outcome: (edition: Edition) => Outcome,
): Compared<Outcome> {
  return {
    before: outcome(editionWith(inForce)),
    after: outcome(editionWith([...inForce, change])),
  };
}

export type Effects = typeof effects;

expose(effects);

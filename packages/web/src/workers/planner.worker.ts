import {
  type Assessment,
  assess,
  type ContestEffect,
  contestEffects,
  planTalk,
  planTicket,
  type Ticket,
  type TicketEvent,
  tablesOf,
  ticketOf,
} from '@nodo/contract';
import {
  type FindingWeight,
  type Unexplained,
  unexplainedReadings,
  weighFindings,
} from '@nodo/core';
import {
  type CallProposal,
  editionWith,
  type FamilyModel,
  type Planned,
  type TableChange,
} from '@nodo/knowledge';
import { expose } from 'comlink';

export interface Plan extends Planned {
  /** What could be said next, for a machine that is not in the shop. */
  readonly call: readonly CallProposal[];
  /** What nothing in the tables explains. */
  readonly unexplained: readonly Unexplained[];
  /** Where two people saw different things, and what each would mean. */
  readonly contests: readonly ContestEffect[];
  /** For the likeliest causes, what speaks for and against them. */
  readonly reasons: ReadonlyMap<string, readonly FindingWeight[]>;
}

/** How many causes are explained without being asked. */
const EXPLAINED = 8;

const NOTHING_AT_THE_BENCH: Planned = {
  checks: [],
  repairs: [],
  whileOpen: [],
  lowersRisk: undefined,
};

/** Enough to name a good next check at once, a few milliseconds after the tap. */
const QUICK_DRAWS = 150;

const planner = {
  /** What to do next, as far as it can be told at once. */
  quick(id: string, events: readonly TicketEvent[], changes: readonly TableChange[]): Plan {
    const { ticket, model, assessment } = readOf(id, events, changes);
    return {
      ...proposalsOf(ticket, model, assessment, QUICK_DRAWS),
      unexplained: [],
      contests: [],
      reasons: new Map(),
    };
  },

  /** The heavy part of the reckoning, away from the screen's own thread. */
  plan(id: string, events: readonly TicketEvent[], changes: readonly TableChange[]): Plan {
    const { ticket, model, assessment } = readOf(id, events, changes);
    return {
      ...proposalsOf(ticket, model, assessment),
      unexplained: unexplainedReadings(model.network, assessment.evidence),
      contests: contestEffects(model, assessment),
      reasons: weighFindings(
        model.network,
        assessment.evidence,
        assessment.beliefs.slice(0, EXPLAINED).map(({ cause }) => cause),
      ),
    };
  },
};

/** @param changes what the shop changed in the shipped tables. */
function readOf(id: string, events: readonly TicketEvent[], changes: readonly TableChange[]) {
  const ticket = ticketOf(id, events);
  const model = tablesOf(ticket, editionWith(changes));
  if (!model) throw new Error(`no tables for the family of ticket ${id}`);
  return { ticket, model, assessment: assess(ticket, model) };
}

function proposalsOf(
  ticket: Ticket,
  model: FamilyModel,
  assessment: Assessment,
  draws?: number,
): Planned & Pick<Plan, 'call'> {
  return ticket.intake?.tag === undefined
    ? { ...NOTHING_AT_THE_BENCH, call: planTalk(ticket, model, assessment, draws) }
    : { ...planTicket(ticket, model, assessment, draws), call: [] };
}

export type Planner = typeof planner;

expose(planner);

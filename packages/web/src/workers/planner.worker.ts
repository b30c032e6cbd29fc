import {
  assess,
  type ContestEffect,
  contestEffects,
  planTalk,
  planTicket,
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
import type { CallProposal, Planned } from '@nodo/knowledge';
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

const planner = {
  /** The heavy part of the reckoning, away from the screen's own thread. */
  plan(id: string, events: readonly TicketEvent[]): Plan {
    const ticket = ticketOf(id, events);
    const model = tablesOf(ticket);
    if (!model) throw new Error(`no tables for the family of ticket ${id}`);
    const assessment = assess(ticket, model);
    return {
      ...(ticket.intake?.tag === undefined
        ? { ...NOTHING_AT_THE_BENCH, call: planTalk(ticket, model, assessment) }
        : { ...planTicket(ticket, model, assessment), call: [] }),
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

export type Planner = typeof planner;

expose(planner);

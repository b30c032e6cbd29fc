import {
  type FindingWeight,
  minutes,
  type Unexplained,
  unexplainedReadings,
  weighFindings,
} from '@nodo/core';
import {
  type CallProposal,
  type FamilyModel,
  type Planned,
  type TableChange,
  versionWith,
} from '@nodo/knowledge';
import {
  type Assessment,
  assess,
  type ContestEffect,
  contestEffects,
  foldTicket,
  modelOfTicket,
  planPhoneCall,
  planTicket,
  type Ticket,
  type TicketEvent,
} from '@nodo/ticket';
import { expose } from 'comlink';
import { carries } from './carries.ts';
import { ticketQuestion } from './questions.ts';

export interface TicketPlan extends Planned {
  /** What could be said next, for a machine that is not in the shop. */
  readonly call: readonly CallProposal[];
  /** Undefined as long as only the quick answer is there. */
  readonly words: PlanExplanation | undefined;
}

/** What can be said of the causes besides their chances. */
export interface PlanExplanation {
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
  actions: [],
  whileOpen: [],
  lowersRisk: undefined,
  isWorthGoingOn: false,
  proof: undefined,
  proofMinutes: minutes(0),
};

/** What was read last. */
let reading: Reading | undefined;

interface Reading {
  readonly model: FamilyModel;
  readonly assessment: Assessment;
  readonly proposals: Planned & Pick<TicketPlan, 'call'>;
}

const planner = {
  /**
   * Reads a ticket: what to do next, as far as it is known at once.
   * @param changes what the shop changed in the shipped tables.
   */
  quick(...asked: [string, readonly TicketEvent[], readonly TableChange[]]): TicketPlan {
    reading = undefined;
    const [id, events, changes] = ticketQuestion.parse(asked);
    const ticket = foldTicket(id, events);
    const model = modelOfTicket(ticket, versionWith(changes));
    if (!model) throw new Error(`no tables for the family of ticket ${id}`);
    const assessment = assess(ticket, model);
    reading = { model, assessment, proposals: proposalsOf(ticket, model, assessment) };
    return { ...reading.proposals, words: undefined };
  },

  /** The same with what explains it, which takes longer, of the ticket that was read last. */
  full(): TicketPlan {
    if (!reading) throw new Error('no ticket was read');
    const { model, assessment, proposals } = reading;
    const reasons = weighFindings(
      model.network,
      assessment.evidence,
      assessment.beliefs.slice(0, EXPLAINED).map(({ cause }) => cause),
    );
    return {
      ...proposals,
      words: {
        unexplained: unexplainedReadings(model.network, assessment.evidence).filter(
          (reading) => !carries(reasons, reading),
        ),
        contests: contestEffects(model, assessment),
        reasons,
      },
    };
  },
};

function proposalsOf(
  ticket: Ticket,
  model: FamilyModel,
  assessment: Assessment,
): Planned & Pick<TicketPlan, 'call'> {
  return ticket.intake?.tag === undefined
    ? { ...NOTHING_AT_THE_BENCH, call: planPhoneCall(ticket, model, assessment) }
    : { ...planTicket(ticket, model, assessment), call: [] };
}

export type Planner = typeof planner;

expose(planner);

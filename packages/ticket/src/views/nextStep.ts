import type { DutyStatus } from '@nodo/core';
import {
  type CallProposal,
  checkMinutes,
  type FamilyModel,
  isWorthIt,
  type Planned,
  planCall,
  planNext,
  SURE_ENOUGH,
} from '@nodo/knowledge';
import type { Assessment } from '../assessment/assess.ts';
import { checkOutcome } from '../assessment/checkStatus.ts';
import { stateEpoch, type Ticket } from '../state/ticket.ts';

/** What the bench puts in the middle. */
export type NextStep =
  | {
      readonly kind: 'check';
      readonly check: string;
      /** It saves more minutes than it costs, the sweep has come to it, or a duty asks it. */
      readonly because: 'worth' | 'sweep' | 'duty';
    }
  | { readonly kind: 'repair'; readonly cause: string }
  | { readonly kind: 'action'; readonly actions: readonly string[]; readonly duty: string }
  | { readonly kind: 'waive'; readonly duty: string }
  | { readonly kind: 'close-machine' }
  | { readonly kind: 'close-ticket' };

/** Below this comeback risk the search is over and the proof begins. Ours, no source. */
const LOW_RISK = 0.1;

/** What could be done next on a ticket. Heavy: belongs in a worker. */
export function planTicket(
  ticket: Ticket,
  model: FamilyModel,
  assessment: Pick<Assessment, 'evidence'>,
  draws?: number,
): Planned {
  return planNext(model, {
    ...situationOf(ticket, model, assessment, draws),
    open: ticket.open,
    place: 'bench',
    plan: ticket.plan,
  });
}

/** What could be said next on the telephone. Heavy: belongs in a worker. */
export function planPhoneCall(
  ticket: Ticket,
  model: FamilyModel,
  assessment: Pick<Assessment, 'evidence'>,
  draws?: number,
): readonly CallProposal[] {
  return planCall(model, situationOf(ticket, model, assessment, draws));
}

function situationOf(
  ticket: Ticket,
  model: FamilyModel,
  { evidence }: Pick<Assessment, 'evidence'>,
  draws: number | undefined,
) {
  const now = stateEpoch(ticket, ticket.epoch);
  return {
    evidence,
    ...(draws === undefined ? {} : { draws }),
    standing: (check: string) => checkOutcome(ticket, model, check),
    untold: new Set(
      ticket.unanswerable
        .filter(({ epoch }) => stateEpoch(ticket, epoch) === now)
        .map(({ check }) => check),
    ),
  };
}

/** What a person put off on this screen. */
export interface Deferred {
  readonly checks: ReadonlySet<string>;
  readonly causes: ReadonlySet<string>;
}

export const NOTHING_DEFERRED: Deferred = { checks: new Set(), causes: new Set() };

/** One thing more is put off. */
export function defer(
  { checks, causes }: Deferred,
  what: { readonly check: string } | { readonly cause: string },
): Deferred {
  return 'check' in what
    ? { checks: new Set([...checks, what.check]), causes }
    : { checks, causes: new Set([...causes, what.cause]) };
}

/**
 * What comes next. In a full sweep everything is looked at first. Otherwise: the sew-out that
 * the plan asks after a change; put right what is nearly sure; while a comeback is likely and
 * no repair waits for its proof, the best check that is worth its minutes, else the first
 * repair; then the duties; then closing.
 */
export function nextStep(
  ticket: Ticket,
  model: FamilyModel,
  assessment: Assessment,
  { checks, repairs }: Pick<Planned, 'checks' | 'repairs'>,
  deferred: Deferred = NOTHING_DEFERRED,
): NextStep {
  const offered = checks.filter(({ check }) => !deferred.checks.has(check));
  const [sweep] = offered;
  if (ticket.plan === 'full-sweep' && sweep && !isInProof(ticket, model)) {
    return { kind: 'check', check: sweep.check, because: 'sweep' };
  }
  const oneChange = assessment.duties.filter(
    ({ duty, state }) => state === 'owed' && model.duties.get(duty)?.underPlan !== undefined,
  );
  const compare = nextDuty(ticket, model, oneChange, deferred);
  if (compare) return compare;

  const sure = assessment.beliefs.find(({ cause }) => !deferred.causes.has(cause));
  if (sure && sure.is >= SURE_ENOUGH) return { kind: 'repair', cause: sure.cause };
  if (assessment.risk > LOW_RISK && !isInProof(ticket, model)) {
    const best = ticket.plan === 'full-sweep' ? undefined : offered.find(isWorthIt);
    if (best) return { kind: 'check', check: best.check, because: 'worth' };
    const repair = repairs.find(({ cause }) => !deferred.causes.has(cause));
    if (repair) return { kind: 'repair', cause: repair.cause };
  }
  return nextDuty(ticket, model, assessment.duties, deferred) ?? closing(ticket);
}

/** A repair was made and nothing wrong was seen since: it is proven before the search goes on. */
function isInProof({ performedActions, answers }: Ticket, model: FamilyModel): boolean {
  const repaired = performedActions.findLast(({ repair }) => repair)?.seq ?? 0;
  const wrong = answers.findLast(({ finding, present }) => present && isWrong(model, finding));
  return repaired > (wrong?.seq ?? 0);
}

/** Some cause shows it. "The fault is gone" and the good known design are no fault's sign. */
function isWrong({ network }: FamilyModel, finding: string): boolean {
  const index = network.findingIndex.get(finding);
  return index !== undefined && (network.parents[index] ?? []).length > 0;
}

function closing(ticket: Ticket): NextStep {
  return ticket.open.size > 0 ? { kind: 'close-machine' } : { kind: 'close-ticket' };
}

/** The cheapest thing that brings an owed duty nearer, given what stands open. */
function nextDuty(
  ticket: Ticket,
  model: FamilyModel,
  duties: readonly DutyStatus[],
  deferred: Deferred,
): NextStep | undefined {
  const owed = duties.filter(({ state }) => state === 'owed');
  const checks = owed
    .flatMap(({ missing }) => [...missing.all, ...missing.any])
    .flatMap((requirement) =>
      requirement.kind === 'check' && !deferred.checks.has(requirement.id)
        ? (model.checks.get(requirement.id) ?? [])
        : [],
    )
    .sort((a, b) => checkMinutes(model, ticket.open, a) - checkMinutes(model, ticket.open, b));
  for (const { duty, missing } of owed) {
    const actions = [...missing.all, ...missing.any].filter(({ kind }) => kind === 'action');
    const only = [...missing.all, ...missing.any].length === actions.length;
    if (actions.length > 0 && (only || checks.length === 0)) {
      return { kind: 'action', actions: actions.map(({ id }) => id), duty };
    }
  }
  const [check] = checks;
  if (check) return { kind: 'check', check: check.id, because: 'duty' };
  const [first] = owed;
  return first && { kind: 'waive', duty: first.duty };
}

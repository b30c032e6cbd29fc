import { MOST_PROOF_MINUTES } from '@nodo/core';
import {
  barredBy,
  type CallProposal,
  type DutyStep,
  type DutyWays,
  type FamilyModel,
  nextBeforePower,
  nextDuty,
  nextLook,
  nextMove,
  type Planned,
  planCall,
  planNext,
  SEWN_AS_FOUND,
} from '@nodo/knowledge';
import type { Assessment } from '../assessment/assess.ts';
import { checkOutcome } from '../assessment/checkStatus.ts';
import { seenFaults } from '../assessment/symptoms.ts';
import { stateEpoch, type Ticket } from '../state/ticket.ts';

/** What the bench puts in the middle. */
export type NextStep =
  | {
      readonly kind: 'check';
      readonly check: string;
      /**
       * It saves more minutes than it costs, the sweep has come to it, a duty asks it, or nothing may
       * be turned or sewn before it.
       */
      readonly because: 'worth' | 'sweep' | 'duty' | 'before-power';
    }
  /** Sew it as it failed, so long; what must show nothing is a reported symptom. */
  | { readonly kind: 'prove'; readonly symptoms: readonly string[]; readonly minutes: number }
  /** Put right what is likeliest to blame; undefined: whatever action is at hand for the cause. */
  | { readonly kind: 'repair'; readonly cause: string; readonly action: string | undefined }
  | { readonly kind: 'search-on' }
  | { readonly kind: 'action'; readonly actions: readonly string[]; readonly duty: string }
  | { readonly kind: 'waive'; readonly duty: string }
  /** The complaint was told in words alone. */
  | { readonly kind: 'ask-symptoms' }
  /** It cannot be sewn away: a person settles it. */
  | { readonly kind: 'settle'; readonly symptom: string }
  | { readonly kind: 'close-machine' }
  | { readonly kind: 'close-ticket' };

/** What could be done next on a ticket. Heavy: belongs in a worker. */
export function planTicket(
  ticket: Ticket,
  model: FamilyModel,
  assessment: Pick<Assessment, 'evidence' | 'duties'>,
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
  assessment: Pick<Assessment, 'evidence' | 'duties'>,
  draws?: number,
): readonly CallProposal[] {
  return planCall(model, situationOf(ticket, model, assessment, draws));
}

function situationOf(
  ticket: Ticket,
  model: FamilyModel,
  { evidence, duties }: Pick<Assessment, 'evidence' | 'duties'>,
  draws: number | undefined,
) {
  const now = stateEpoch(ticket, ticket.epoch);
  return {
    evidence,
    ...(draws === undefined ? {} : { draws }),
    barred: barredBy(model, duties),
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
 * What comes next. The sew-out that the plan asks after a change; what must be done before the machine
 * is turned or sewn; then the plan's own move; then what is owed, the proof of each symptom; then
 * closing.
 */
export function nextStep(
  ticket: Ticket,
  model: FamilyModel,
  assessment: Assessment,
  planned: Planned,
  deferred: Deferred = NOTHING_DEFERRED,
): NextStep {
  const { duties, evidence, beliefs, risk } = assessment;
  const barred = barredBy(model, duties);
  const now = {
    open: ticket.open,
    standing: (check: string) => checkOutcome(ticket, model, check),
  };
  const ways: DutyWays = {
    ...now,
    barred,
    isPutOff: (check) => isNotToBeAsked(ticket, model, check, deferred),
  };
  const fromDuty = (
    step: DutyStep | undefined,
    because: 'duty' | 'before-power',
  ): NextStep | undefined =>
    step?.kind === 'check'
      ? { kind: 'check', check: step.check, because }
      : step?.kind === 'close-machine'
        ? { kind: 'close-machine' }
        : step;

  const oneChange = duties.filter(
    ({ duty, state }) => state === 'owed' && model.duties.get(duty)?.underPlan !== undefined,
  );
  const first =
    fromDuty(nextBeforePower(model, duties, ways), 'before-power') ??
    fromDuty(nextDuty(model, oneChange, ways), 'duty');
  if (first) return first;

  const move = nextMove(model, planned, {
    ...now,
    plan: ticket.plan,
    evidence,
    beliefs,
    risk,
    seen: seenFaults(ticket, model),
    barred,
    isPutOff: (what) =>
      'check' in what ? deferred.checks.has(what.check) : deferred.causes.has(what.cause),
  });
  switch (move.kind) {
    case 'check':
      return { kind: 'check', check: move.check, because: move.because };
    case 'action':
      return { kind: 'repair', cause: move.cause, action: move.action };
    case 'search-on':
      return move;
    case 'settle':
      // What is looked at first, then the proof; the sew-outs that are kept come last.
      return (
        fromDuty(nextLook(model, duties, ways), 'duty') ??
        nextDebt(assessment, planned, ways) ??
        fromDuty(nextDuty(model, duties, ways), 'duty') ??
        closing(ticket)
      );
  }
}

/** Put off on this screen, or looked at in this state and not as it should be. */
function isNotToBeAsked(
  ticket: Ticket,
  model: FamilyModel,
  check: string,
  deferred: Deferred,
): boolean {
  if (deferred.checks.has(check)) return true;
  const { done, normal } = checkOutcome(ticket, model, check);
  return done && !normal;
}

/** The symptoms that are still owed: asked for, sewn away together, or left to a person. */
function nextDebt(
  { debts }: Pick<Assessment, 'debts'>,
  { proof }: Planned,
  { barred, isPutOff }: DutyWays,
): NextStep | undefined {
  const owed = debts.filter(({ settled }) => settled === undefined);
  const [first] = owed;
  if (!first) return undefined;
  if (first.kind === 'words') return { kind: 'ask-symptoms' };
  const symptoms = owed.filter(({ kind }) => kind === 'symptom');
  if (symptoms.length === 0) return { kind: 'settle', symptom: first.symptom };
  if (barred(`check:${SEWN_AS_FOUND}`) || isPutOff(SEWN_AS_FOUND)) {
    return { kind: 'settle', symptom: first.symptom };
  }
  // Risk is low already, but it has not been sewn: a look does not prove a repair.
  const minutes = Math.max(LEAST_PROOF_MINUTES, proof?.minutes ?? MOST_PROOF_MINUTES);
  return { kind: 'prove', symptoms: symptoms.map(({ symptom }) => symptom), minutes };
}

/** A proof is sewn, however sure the repair. Ours, no source. */
const LEAST_PROOF_MINUTES = 1;

function closing(ticket: Ticket): NextStep {
  return ticket.open.size > 0 ? { kind: 'close-machine' } : { kind: 'close-ticket' };
}

import {
  barredBy,
  type CallProposal,
  type FamilyModel,
  type Planned,
  type PutOff,
  planCall,
  planNext,
  whatNow,
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
  /** The complaint was given in words alone. */
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
  readonly actions: ReadonlySet<string>;
}

export const NOTHING_DEFERRED: Deferred = {
  checks: new Set(),
  causes: new Set(),
  actions: new Set(),
};

/** One thing more is put off. */
export function defer(deferred: Deferred, what: PutOff): Deferred {
  const { checks, causes, actions } = deferred;
  if ('check' in what) return { ...deferred, checks: new Set([...checks, what.check]) };
  if ('cause' in what) return { ...deferred, causes: new Set([...causes, what.cause]) };
  return { ...deferred, actions: new Set([...actions, what.action]) };
}

function isDeferred({ checks, causes, actions }: Deferred, what: PutOff): boolean {
  if ('check' in what) return checks.has(what.check);
  return 'cause' in what ? causes.has(what.cause) : actions.has(what.action);
}

/** What comes next on a ticket, in the order of {@link whatNow}; a complaint in words is asked into symptoms. */
export function nextStep(
  ticket: Ticket,
  model: FamilyModel,
  { duties, evidence, beliefs, risk, debts }: Assessment,
  planned: Planned,
  deferred: Deferred = NOTHING_DEFERRED,
): NextStep {
  const owed = debts.filter(({ settled }) => settled === undefined);
  const step = whatNow(model, {
    planned,
    duties,
    ways: {
      open: ticket.open,
      standing: (check: string) => checkOutcome(ticket, model, check),
      barred: barredBy(model, duties),
      isPutOff: (check) => isNotToBeAsked(ticket, model, check, deferred),
    },
    progress: {
      plan: ticket.plan,
      evidence,
      beliefs,
      risk,
      seen: seenFaults(ticket, model),
      isPutOff: (what) => isDeferred(deferred, what),
    },
    owed: owed.map(({ symptom, kind }) => ({ symptom, canBeSewn: kind === 'symptom' })),
  });
  switch (step.kind) {
    case 'action':
      return { kind: 'repair', cause: step.cause, action: step.action };
    case 'duty-action':
      return { kind: 'action', actions: step.actions, duty: step.duty };
    case 'sew':
      return { kind: 'prove', symptoms: step.symptoms, minutes: step.minutes };
    case 'settle':
      return owed[0]?.kind === 'words' ? { kind: 'ask-symptoms' } : step;
    case 'close-machine':
      return { kind: 'close-machine' };
    case 'close':
      return ticket.open.size > 0 ? { kind: 'close-machine' } : { kind: 'close-ticket' };
    case 'check':
    case 'search-on':
    case 'waive':
      return step;
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

import {
  type CallProposal,
  type FamilyModel,
  INTERVIEWS,
  LEFT_BY_PHONE,
  STOP_ON,
  SURE_ENOUGH,
} from '@nodo/knowledge';
import type { Assessment } from '../assessment/assess.ts';
import { curedBy, seenNow } from '../assessment/cured.ts';
import { reportedOn, stateEpoch, type Ticket } from '../state/ticket.ts';
import type { Deferred } from './nextStep.ts';

/** What the one on the telephone says next. */
export type PhoneStep =
  | { readonly kind: 'ask'; readonly check: string }
  /** Tell the customer how to put this right. */
  | { readonly kind: 'advise'; readonly cause: string }
  /** Sew again: are these gone? */
  | { readonly kind: 'ask-again'; readonly complaints: readonly string[] }
  | { readonly kind: 'end'; readonly outcome: 'solved' | 'bring-in' | 'stop' };

/** So long a call may be; then the machine comes in. Ours, no source. */
const MOST_QUESTIONS = 12;

/**
 * What comes next on the telephone. What must not be touched ends the call; a cause that is
 * nearly sure is put right by the customer, or comes in where customers cannot; else what
 * silences the complaint soonest and is worth its minutes; else it comes in.
 */
export function nextPhoneStep(
  ticket: Ticket,
  model: FamilyModel,
  { beliefs, duties }: Pick<Assessment, 'beliefs' | 'duties'>,
  proposals: readonly CallProposal[],
  deferred: Deferred,
): PhoneStep {
  if (ticket.answers.some(({ finding, present }) => present && STOP_ON.has(finding))) {
    return { kind: 'end', outcome: 'stop' };
  }
  const complaints = reportedOn(ticket);
  const seen = seenNow(ticket);
  const changed = stateEpoch(ticket, ticket.epoch) > 0;
  if (changed && complaints.some((complaint) => !seen.has(complaint))) {
    return { kind: 'ask-again', complaints };
  }
  const isBarred = duties.some(({ duty, state }) => state === 'owed' && !LEFT_BY_PHONE.has(duty));
  if (isGone(ticket, model, complaints)) {
    return { kind: 'end', outcome: isBarred ? 'bring-in' : 'solved' };
  }
  if (isBarred || questionsAsked(ticket) >= MOST_QUESTIONS) {
    return { kind: 'end', outcome: 'bring-in' };
  }

  const sure = beliefs.find(({ cause, is }) => is >= SURE_ENOUGH && !deferred.causes.has(cause));
  if (sure && !model.causes.get(sure.cause)?.byPhone) return { kind: 'end', outcome: 'bring-in' };
  if (sure) return { kind: 'advise', cause: sure.cause };
  const best = proposals.find(
    (proposal) =>
      proposal.gain > proposal.minutes &&
      !(proposal.kind === 'ask'
        ? deferred.checks.has(proposal.check)
        : deferred.causes.has(proposal.cause) || wasAdvised(ticket, proposal.cause)),
  );
  if (!best) return { kind: 'end', outcome: 'bring-in' };
  return best.kind === 'ask'
    ? { kind: 'ask', check: best.check }
    : { kind: 'advise', cause: best.cause };
}

/** Questions and advice so far, the complaint itself left out. */
function questionsAsked({ looks, customerTreatments, unanswerable }: Ticket): number {
  const asked = looks.filter(({ check }) => !INTERVIEWS.has(check));
  return asked.length + customerTreatments.length + unanswerable.length;
}

/** Once is enough: the same advice is not given again. */
function wasAdvised({ customerTreatments }: Ticket, cause: string): boolean {
  return customerTreatments.some(({ treats }) => treats.includes(cause));
}

/** Sewn again without any of the complaints, or a trial took the fault away. */
function isGone(ticket: Ticket, model: FamilyModel, complaints: readonly string[]): boolean {
  const seen = seenNow(ticket);
  const silent =
    stateEpoch(ticket, ticket.epoch) > 0 &&
    complaints.length > 0 &&
    complaints.every((id) => seen.get(id) === false);
  return silent || curedBy(ticket, model).length > 0;
}

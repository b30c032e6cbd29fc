import { minutes as asMinutes, type Minutes } from '../units/minutes.ts';
import type { Network } from './network.ts';
import { asTheyAre, type Outcome, OutcomeWalk, type Question } from './outcomes.ts';
import type { Left, RemedyOrder } from './remedies.ts';

/** A check as the planner sees it. */
export interface CheckCandidate {
  readonly id: string;
  readonly question: Question;
  /** With the opening and closing that it newly makes necessary. */
  readonly minutes: Minutes;
}

export interface CheckProposal {
  readonly check: string;
  readonly minutes: Minutes;
  /**
   * Expected minutes that it saves, its own not taken off. Never negative; of draws the smaller of what
   * their halves say, so that chance alone recommends nothing.
   */
  readonly gain: Minutes;
  /**
   * What it saves beyond its minutes when it is put off until the first remedy was tried and the
   * symptom still shows: a look that saves no more now waits for it.
   */
  readonly later: Minutes;
  /** By how much it lowers, on average, the comeback risk that is left in the end. */
  readonly risk: number;
}

/** A check cannot be done in no time; keeps the ratio finite. */
const LEAST_MINUTES = 0.1;

/**
 * Each candidate with what it is worth, by expected minutes saved per minute, best first;
 * equal ones keep their order.
 */
export function rankChecks(
  network: Network,
  order: RemedyOrder,
  candidates: readonly CheckCandidate[],
): readonly CheckProposal[] {
  const { states } = order;
  const walk = new OutcomeWalk(network, states);
  const now = asTheyAre(states);
  const still = order.afterFirst();
  const valueFrom = (from: Outcome, before: Left, question: Question) => {
    let [first, second] = before.minutes;
    let { risk } = before;
    const visit = (outcome: Outcome): void => {
      // A question that says nothing leaves things as they are.
      const left = outcome === from ? before : order.left(outcome.masses, outcome.chance);
      const share = outcome.chance / from.chance;
      first -= share * left.minutes[0];
      second -= share * left.minutes[1];
      risk -= share * left.risk;
    };
    walk.each(question, visit, from);
    return { gain: Math.max(0, Math.min(first, second)), risk: Math.max(0, risk) };
  };
  const leftNow = order.left(now.masses, now.chance);
  const leftStill = still && order.left(still.masses, still.chance);
  const ranked = candidates
    .map(({ id, question, minutes }) => {
      const { gain, risk } = valueFrom(now, leftNow, question);
      return { check: id, question, minutes, gain: asMinutes(gain), risk };
    })
    .sort((a, b) => perMinute(b) - perMinute(a));
  return ranked
    .map(({ question, ...proposal }, place): CheckProposal => {
      const { gain, minutes } = proposal;
      // Only what is worth its minutes now has anything to wait for.
      if (!still || !leftStill || gain <= minutes) return { ...proposal, later: asMinutes(0) };
      if (place >= WEIGHED_AGAINST_WAITING) return { ...proposal, later: gain };
      const stillGain = still.chance * valueFrom(still, leftStill, question).gain;
      return {
        ...proposal,
        // What is known now is known then too.
        gain: asMinutes(Math.max(gain, stillGain)),
        later: asMinutes(Math.max(0, stillGain - still.chance * minutes)),
      };
    })
    .sort((a, b) => perMinute(b) - perMinute(a));
}

/** So many of the best are weighed against waiting; the others wait. Ours, no source. */
const WEIGHED_AGAINST_WAITING = 12;

/** Minutes saved per minute of checking. */
export function perMinute({ gain, minutes }: Pick<CheckProposal, 'gain' | 'minutes'>): number {
  return gain / Math.max(LEAST_MINUTES, minutes);
}

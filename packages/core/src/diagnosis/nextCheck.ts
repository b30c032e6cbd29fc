import { minutes as asMinutes, type Minutes } from '../units/minutes.ts';
import type { Network } from './network.ts';
import { asTheyAre, OutcomeWalk, type Question } from './outcomes.ts';
import type { States } from './states.ts';
import { type Stakes, Worth } from './worth.ts';

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
   * Expected minutes that it saves, its own not taken off: of repairing, and of comebacks.
   * Never negative.
   */
  readonly gain: Minutes;
  /** By how much it lowers the comeback risk on average, if what it makes sure is put right. */
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
  states: States,
  candidates: readonly CheckCandidate[],
  stakes: Stakes,
): readonly CheckProposal[] {
  const before = asTheyAre(network, states);
  const worth = new Worth(states, stakes, before);
  const now = worth.left(before);
  const walk = new OutcomeWalk(network, states, before);
  return candidates
    .map(({ id, question, minutes }): CheckProposal => {
      let repairing = 0;
      let risky = 0;
      walk.each(question, (outcome) => {
        const left = worth.left(outcome);
        repairing += outcome.chance * left.repairMinutes;
        risky += outcome.chance * left.risk;
      });
      const saved = now.repairMinutes - repairing;
      const risk = now.risk - risky;
      return {
        check: id,
        minutes,
        gain: asMinutes(Math.max(0, saved + stakes.comebackMinutes * risk)),
        risk: Math.max(0, risk),
      };
    })
    .sort((a, b) => perMinute(b) - perMinute(a));
}

/** Minutes saved per minute of checking. */
export function perMinute({ gain, minutes }: Pick<CheckProposal, 'gain' | 'minutes'>): number {
  return gain / Math.max(LEAST_MINUTES, minutes);
}

import { minutes as asMinutes, type Minutes } from '../units/minutes.ts';
import { dot } from './masses.ts';
import type { Network } from './network.ts';
import { type CheckCandidate, perMinute } from './nextCheck.ts';
import { asTheyAre, type Outcome, OutcomeWalk } from './outcomes.ts';
import type { States } from './states.ts';
import { silentOnceRepaired } from './worth.ts';

/** Something that may silence the complaint at once. */
export interface Attempt {
  readonly id: string;
  /** Places of the causes that it puts right. */
  readonly treats: readonly number[];
  readonly minutes: Minutes;
}

export interface CureStakes {
  /** Per cause: chance that, present, it shows none of the reported complaints. */
  readonly quiet: readonly number[];
  /** Minutes that a cure is worth. */
  readonly worth: Minutes;
}

/** An attempt or a look, with what it brings. */
export interface CureProposal {
  readonly id: string;
  readonly minutes: Minutes;
  /** Expected minutes that it brings, its own not taken off. */
  readonly gain: Minutes;
  /** Of an attempt: the chance that no complaint shows afterwards. */
  readonly chance: number | undefined;
}

/**
 * What silences the complaint soonest, whatever else may be wrong: attempts by the chance of a
 * cure, looks by how much better the best attempt gets for knowing the answer (value of sample
 * information: Raiffa & Schlaifer, Applied Statistical Decision Theory, 1961). By what they
 * bring per minute, best first.
 */
export function rankForCure(
  network: Network,
  states: States,
  attempts: readonly Attempt[],
  looks: readonly CheckCandidate[],
  { quiet, worth }: CureStakes,
): readonly CureProposal[] {
  const silences = attempts.map(({ treats }) => silentOnceRepaired(states, quiet, treats));
  const chanceIn = ({ masses, chance }: Outcome, silent: Float64Array): number =>
    Math.min(1, dot(masses, silent) / chance);
  const best = (outcome: Outcome): number =>
    attempts.reduce(
      (most, attempt, index) =>
        Math.max(
          most,
          worth * chanceIn(outcome, silences[index] as Float64Array) - attempt.minutes,
        ),
      0,
    );
  const now = asTheyAre(network, states);
  const bestNow = best(now);
  const tried = attempts.map(({ id, minutes }, index): CureProposal => {
    const chance = chanceIn(now, silences[index] as Float64Array);
    return { id, minutes, chance, gain: asMinutes(worth * chance) };
  });
  const walk = new OutcomeWalk(network, states, now);
  const asked = looks.map(({ id, question, minutes }): CureProposal => {
    let known = 0;
    walk.each(question, (outcome) => {
      known += outcome.chance * best(outcome);
    });
    return { id, minutes, chance: undefined, gain: asMinutes(Math.max(0, known - bestNow)) };
  });
  return [...tried, ...asked].sort((a, b) => perMinute(b) - perMinute(a));
}

import { minutes as asMinutes, type Minutes } from '../units/minutes.ts';
import { TREATMENT_SUCCESS } from './evidence.ts';
import type { Network } from './network.ts';
import { type CheckCandidate, perMinute } from './nextCheck.ts';
import { asTheyAre, type Outcome, OutcomeWalk } from './outcomes.ts';
import type { Remedy } from './remedies.ts';
import { blameMasses, type States } from './states.ts';

/** An attempt or a look, with what it brings. */
export interface CureProposal {
  readonly id: string;
  readonly minutes: Minutes;
  /** Expected minutes that it brings, its own not taken off. */
  readonly gain: Minutes;
  /** Of an attempt: the chance that nothing reported shows afterwards. */
  readonly chance: number | undefined;
}

/**
 * What silences the complaint soonest, whatever else may be wrong: attempts by the chance of a cure
 * beyond what doing nothing does, looks by how much better the best attempt gets for knowing the answer
 * (value of sample information: Raiffa & Schlaifer, Applied Statistical Decision Theory, 1961). By what
 * they bring per minute, best first.
 * @param worth minutes that a cure is worth.
 */
export function rankForCure(
  network: Network,
  states: States,
  attempts: readonly Remedy[],
  looks: readonly CheckCandidate[],
  worth: Minutes,
): readonly CureProposal[] {
  const silences = attempts.map(({ treats }) => silentAfter(states, treats));
  const silentNow = silentAfter(states, []);
  const brings = (outcome: Outcome, silent: Float64Array): number =>
    worth * (chanceIn(states, outcome, silent) - chanceIn(states, outcome, silentNow));
  const best = (outcome: Outcome): number =>
    attempts.reduce(
      (most, attempt, index) =>
        Math.max(most, brings(outcome, silences[index] as Float64Array) - attempt.minutes),
      0,
    );
  const now = asTheyAre(states);
  const bestNow = best(now);
  const tried = attempts.map(({ id, minutes }, index): CureProposal => {
    const silent = silences[index] as Float64Array;
    return {
      id,
      minutes: asMinutes(minutes),
      chance: chanceIn(states, now, silent),
      gain: asMinutes(Math.max(0, brings(now, silent))),
    };
  });
  const walk = new OutcomeWalk(network, states);
  const asked = looks.map(({ id, question, minutes }): CureProposal => {
    let known = 0;
    walk.each(question, (outcome) => {
      known += outcome.chance * best(outcome);
    });
    return { id, minutes, chance: undefined, gain: asMinutes(Math.max(0, known - bestNow)) };
  });
  return [...tried, ...asked].sort((a, b) => perMinute(b) - perMinute(a));
}

/** Per set of what is to blame, the chance that nothing of it is left once these were treated. */
function silentAfter({ blameSets }: States, treats: readonly number[]): Float64Array {
  const treated = new Set(treats);
  return Float64Array.from(blameSets, (causes) =>
    causes.every((cause) => treated.has(cause)) ? TREATMENT_SUCCESS ** causes.length : 0,
  );
}

function chanceIn(states: States, { masses, chance }: Outcome, silent: Float64Array): number {
  const sums = blameMasses(states, masses);
  let total = 0;
  for (let set = 0; set < sums.length; set += 1) {
    total += (sums[set] as number) * (silent[set] as number);
  }
  return Math.min(1, total / chance);
}

import {
  type Network,
  type Outcome,
  OutcomeWalk,
  type Question,
  type States,
} from '../src/index.ts';

/** Per cause, the mass of the states in which it is present. */
export function presentMasses({ statesWith }: States, { masses }: Outcome): readonly number[] {
  return statesWith.map((states) => states.reduce((sum, state) => sum + (masses[state] ?? 0), 0));
}

/** Everything that a check can answer, kept. */
export function outcomesOf(
  network: Network,
  states: States,
  question: Question,
): readonly Outcome[] {
  const outcomes: Outcome[] = [];
  new OutcomeWalk(network, states).each(question, ({ chance, masses }) => {
    outcomes.push({ chance, masses: masses.slice() });
  });
  return outcomes;
}

/**
 * Mutual information between the outcome and what is present now, in bits: the expected fall
 * of the entropy of the state. Never negative. Source: Shannon, Bell Syst. Tech. J. 27 (1948).
 */
export function informationOf(states: States, outcomes: readonly Outcome[]): number {
  let bits = 0;
  for (const { chance, masses } of outcomes) {
    for (let state = 0; state < masses.length; state += 1) {
      const mass = masses[state] as number;
      if (mass > 0) bits += mass * Math.log2(mass / (chance * (states.chances[state] as number)));
    }
  }
  return Math.max(0, bits);
}

import { CoreFault } from '../fault.ts';
import { sum } from './masses.ts';
import { type Network, strengthOf } from './network.ts';
import { productPerState, type States, statesHaving } from './states.ts';
import { type TrialQuestion, trialFactors } from './trial.ts';

/** What a check answers: findings of a look, all at once, or the outcome of a trial. */
export type Question =
  | { readonly kind: 'look'; readonly findings: readonly string[] }
  | { readonly kind: 'trial'; readonly trial: TrialQuestion };

/** One answer that a check can give. */
export interface Outcome {
  readonly chance: number;
  /** Per state of {@link States}: P(state and this outcome). Adds up to `chance`. */
  readonly masses: Float64Array;
  /** Per cause: P(present and this outcome). */
  readonly present: Float64Array;
}

/**
 * Answers that so few draws give are not followed: what they say is chance, and would be taken
 * for knowledge.
 */
const FEW_DRAWS = 2;

/**
 * Everything that a check can answer, with what each answer leaves of the states. An answer
 * that hardly any draw gives is not told apart from its opposite.
 * @param before what stands before the question; the same for all questions about these states.
 * @throws CoreFault `unknown-id`.
 */
export function outcomesOf(
  network: Network,
  states: States,
  question: Question,
  before: Outcome = asTheyAre(network, states),
): readonly Outcome[] {
  let outcomes: readonly Outcome[] = [before];
  for (const yes of yesChances(network, states, question)) {
    outcomes = outcomes.flatMap((outcome) => split(states, outcome, yes));
  }
  return outcomes;
}

/** Nothing asked yet. */
export function asTheyAre({ causes }: Network, states: States): Outcome {
  const { chances } = states;
  return {
    chance: sum(chances),
    masses: chances,
    present: presentMasses(states, chances, causes.length),
  };
}

function split(states: States, outcome: Outcome, yes: Float64Array): readonly Outcome[] {
  const { chance, masses, present } = outcome;
  const seen = new Float64Array(masses.length);
  let sumSeen = 0;
  for (let state = 0; state < masses.length; state += 1) {
    const mass = (masses[state] as number) * (yes[state] as number);
    seen[state] = mass;
    sumSeen += mass;
  }
  const rest = chance - sumSeen;
  const few = FEW_DRAWS * states.grain;
  if (sumSeen <= few || rest <= few) return [outcome];
  const presentSeen = presentMasses(states, seen, present.length);
  return [
    { chance: sumSeen, masses: seen, present: presentSeen },
    // What was not seen with it; a hair below nothing where the two are the same.
    { chance: rest, masses: difference(masses, seen), present: difference(present, presentSeen) },
  ];
}

function difference(whole: Float64Array, part: Float64Array): Float64Array {
  const rest = new Float64Array(whole.length);
  for (let place = 0; place < rest.length; place += 1) {
    rest[place] = Math.max(0, (whole[place] as number) - (part[place] as number));
  }
  return rest;
}

/** Per finding (or for the trial), the chance of "yes" in each state. */
function yesChances(network: Network, states: States, question: Question): readonly Float64Array[] {
  if (question.kind === 'trial') {
    const { quiet, leak, quietOf, treated } = trialFactors(network, question.trial);
    const silent = productPerState(states, quietOf.entries(), quiet);
    const innocent = productPerState(states, treated.map((taken) => (taken ? 0 : 1)).entries());
    return [silent.map((chance, state) => chance * (innocent[state] === 0 ? 1 : leak))];
  }
  return question.findings.map((id) => {
    const finding = network.findingIndex.get(id);
    if (finding === undefined) throw new CoreFault('unknown-id', { id });
    const silences = (network.parents[finding] ?? []).map(
      (cause) => [cause, 1 - strengthOf(network, cause, finding)] as const,
    );
    const yes = productPerState(states, silences, 1 - (network.findings[finding]?.leak ?? 0));
    for (let state = 0; state < yes.length; state += 1) yes[state] = 1 - (yes[state] as number);
    return yes;
  });
}

/** Per cause, the mass of the states in which it is present. */
function presentMasses(states: States, masses: Float64Array, count: number): Float64Array {
  const present = new Float64Array(count);
  for (let cause = 0; cause < count; cause += 1) {
    const having = statesHaving(states, cause);
    let mass = 0;
    for (let at = 0; at < having.length; at += 1) mass += masses[having[at] as number] as number;
    present[cause] = mass;
  }
  return present;
}

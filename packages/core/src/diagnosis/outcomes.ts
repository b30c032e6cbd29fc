import { CoreError } from '../errors/coreError.ts';
import { sum } from './masses.ts';
import type { Network } from './network.ts';
import { multiplyWhere, productPerState, type States, statesHaving } from './states.ts';
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

/** Buffers for one finding of a question; overwritten at each step. */
interface Room {
  readonly yes: Float64Array;
  readonly masses: Float64Array;
  readonly present: Float64Array;
}

/**
 * Walks through what questions can answer, one outcome at a time, without new memory for each:
 * the inner loop of the planner. An answer that hardly any draw gives is not separated from its
 * opposite.
 */
export class OutcomeWalk {
  private readonly rooms: Room[] = [];

  /** @param before what stands before the questions. */
  constructor(
    private readonly network: Network,
    private readonly states: States,
    private readonly before: Outcome = asTheyAre(network, states),
  ) {}

  /**
   * @param visit is given outcomes that are written over after it: to keep one, copy it.
   * @throws CoreFault `unknown-id`.
   */
  each(question: Question, visit: (outcome: Outcome) => void): void {
    const yes = this.yesChances(question);
    const follow = (outcome: Outcome, depth: number): void => {
      const chances = yes[depth];
      if (!chances) {
        visit(outcome);
        return;
      }
      const { masses, present } = this.room(depth);
      const seen = multiply(outcome.masses, chances, masses);
      const rest = outcome.chance - seen;
      const few = FEW_DRAWS * this.states.grain;
      if (seen <= few || rest <= few) {
        follow(outcome, depth + 1);
        return;
      }
      presentMasses(this.states, masses, present);
      follow({ chance: seen, masses, present }, depth + 1);
      // What was not seen with it.
      takeFrom(outcome.masses, masses);
      takeFrom(outcome.present, present);
      follow({ chance: rest, masses, present }, depth + 1);
    };
    follow(this.before, 0);
  }

  /** Per finding (or for the trial), the chance of "yes" in each state. */
  private yesChances(question: Question): readonly Float64Array[] {
    const { network, states } = this;
    if (question.kind === 'trial') {
      const { quiet, leak, quietOf, treated } = trialFactors(network, question.trial);
      const silent = productPerState(states, quietOf, quiet);
      const innocent = productPerState(
        states,
        treated.map((taken) => (taken ? 0 : 1)),
      );
      return [silent.map((chance, state) => chance * (innocent[state] === 0 ? 1 : leak))];
    }
    return question.findings.map((id, depth) => {
      const finding = network.findingIndex.get(id);
      if (finding === undefined) throw new CoreError('unknown-id', { id });
      const { yes } = this.room(depth);
      yes.fill(1 - (network.findings[finding]?.leak ?? 0));
      for (const { cause, strength } of network.parents[finding] ?? []) {
        multiplyWhere(states, cause, 1 - strength, yes);
      }
      for (let state = 0; state < yes.length; state += 1) yes[state] = 1 - (yes[state] as number);
      return yes;
    });
  }

  private room(depth: number): Room {
    const { before, rooms } = this;
    const known = rooms[depth];
    if (known) return known;
    const room = {
      yes: new Float64Array(before.masses.length),
      masses: new Float64Array(before.masses.length),
      present: new Float64Array(before.present.length),
    };
    rooms[depth] = room;
    return room;
  }
}

/** Nothing asked yet. */
export function asTheyAre({ causes }: Network, states: States): Outcome {
  const { chances } = states;
  return {
    chance: sum(chances),
    masses: chances,
    present: presentMasses(states, chances, new Float64Array(causes.length)),
  };
}

/** Writes the products into the room given. @returns their sum. */
function multiply(masses: Float64Array, chances: Float64Array, into: Float64Array): number {
  let sum = 0;
  for (let state = 0; state < into.length; state += 1) {
    const mass = (masses[state] as number) * (chances[state] as number);
    into[state] = mass;
    sum += mass;
  }
  return sum;
}

/** Turns a part into the rest of its whole; never a hair below nothing. */
function takeFrom(whole: Float64Array, part: Float64Array): void {
  for (let index = 0; index < part.length; index += 1) {
    part[index] = Math.max(0, (whole[index] as number) - (part[index] as number));
  }
}

/** Per cause, the mass of the states in which it is present, written into the room given. */
function presentMasses(states: States, masses: Float64Array, into: Float64Array): Float64Array {
  for (let cause = 0; cause < into.length; cause += 1) {
    const having = statesHaving(states, cause);
    let mass = 0;
    for (let at = 0; at < having.length; at += 1) mass += masses[having[at] as number] as number;
    into[cause] = mass;
  }
  return into;
}

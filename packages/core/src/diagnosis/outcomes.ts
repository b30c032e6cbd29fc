import { CoreError } from '../errors/coreError.ts';
import type { Observation } from './evidence.ts';
import { sum } from './masses.ts';
import type { Network, Parent } from './network.ts';
import { multiplyAt, type States, statesActing, statesHaving, statesWithout } from './states.ts';

/** What is looked for in one sewing; without the answer and the place in time. */
export type SightQuestion = Omit<Observation, 'epoch' | 'seen'>;

/** What a check answers, all of it at once: findings of a look, and what shows while sewing. */
export interface Question {
  readonly findings: readonly string[];
  readonly sights?: readonly SightQuestion[];
}

/** One answer that a check can give. */
export interface Outcome {
  readonly chance: number;
  /** Per state of {@link States}: P(state and this outcome). Adds up to `chance`. */
  readonly masses: Float64Array;
}

/**
 * Answers that so few draws give are not followed: what they say is chance, and would be taken
 * for knowledge.
 */
const FEW_DRAWS = 2;

/** Buffers for one answer of a question; overwritten at each step. */
interface Room {
  readonly yes: Float64Array;
  readonly masses: Float64Array;
}

/**
 * Walks through what questions can answer, one outcome at a time, without new memory for each:
 * the inner loop of the planner. An answer that hardly any draw gives is not separated from its
 * opposite.
 */
export class OutcomeWalk {
  private readonly rooms: Room[] = [];

  constructor(
    private readonly network: Network,
    private readonly states: States,
  ) {}

  /**
   * @param visit is given outcomes that are written over after it: to keep one, copy it.
   * @param from what stands before the question; nothing asked yet when left out.
   * @throws CoreError `unknown-id`.
   */
  each(
    question: Question,
    visit: (outcome: Outcome) => void,
    from: Outcome = asTheyAre(this.states),
  ): void {
    // What is as likely in every state says nothing of them.
    const yes = this.yesChances(question).filter(differs);
    const follow = (outcome: Outcome, depth: number): void => {
      const chances = yes[depth];
      if (!chances) {
        visit(outcome);
        return;
      }
      const { masses } = this.room(depth);
      const seen = multiply(outcome.masses, chances, masses);
      const rest = outcome.chance - seen;
      const few = FEW_DRAWS * this.states.grain;
      if (seen <= few || rest <= few) {
        follow(outcome, depth + 1);
        return;
      }
      follow({ chance: seen, masses }, depth + 1);
      // What was not seen with it.
      takeFrom(outcome.masses, masses);
      follow({ chance: rest, masses }, depth + 1);
    };
    follow(from, 0);
  }

  /** Per answer, the chance of "yes" in each state. */
  private yesChances({ findings, sights = [] }: Question): readonly Float64Array[] {
    return [
      ...findings.map((id, depth) => this.findingChances(id, this.room(depth).yes)),
      ...sights.map((sight, index) =>
        this.sightChances(sight, this.room(findings.length + index).yes),
      ),
    ];
  }

  private findingChances(id: string, no: Float64Array): Float64Array {
    const finding = this.indexOf(id);
    const parents = this.network.parents[finding] ?? [];
    no.fill(1 - (this.network.findings[finding]?.leak ?? 0));
    this.multiplyPresent(parents, () => 1, no);
    return opposite(no);
  }

  /**
   * Multiplies by the chance that none of these causes shows it, whether it acts or is there quietly.
   * @param shows of a cause, the chance that what it would show is seen.
   */
  private multiplyPresent(
    parents: readonly Parent[],
    shows: (cause: number) => number,
    no: Float64Array,
  ): void {
    const { states } = this;
    let allQuiet = 1;
    for (const { cause, strength } of parents) {
      const shown = strength * shows(cause);
      if (shown === 0) continue;
      const quiet = 1 - (states.quietChances[cause] ?? 0) * shown;
      allQuiet *= quiet;
      multiplyAt(statesHaving(states, cause), (1 - shown) / quiet, no);
      multiplyAt(statesWithout(states, cause), 1 / quiet, no);
    }
    if (allQuiet === 1) return;
    for (let state = 0; state < no.length; state += 1) no[state] = (no[state] as number) * allQuiet;
  }

  /** Of a reported symptom the triggers are known in each state; of another they are still to be drawn. */
  private sightChances({ symptoms, leak, factors = {} }: SightQuestion, no: Float64Array) {
    const { network, states } = this;
    no.fill(1 - leak);
    for (const { symptom, visibility } of symptoms) {
      const shows = (cause: number): number =>
        visibility * (factors[network.causes[cause]?.id ?? ''] ?? 1);
      const parents = network.parents[this.indexOf(symptom)] ?? [];
      const reported = states.reported.indexOf(symptom);
      if (reported < 0) this.multiplyPresent(parents, shows, no);
      else {
        for (const { cause } of parents) {
          multiplyAt(statesActing(states, reported, cause), 1 - shows(cause), no);
        }
      }
    }
    return opposite(no);
  }

  private indexOf(id: string): number {
    const index = this.network.findingIndex.get(id);
    if (index === undefined) throw new CoreError('unknown-id', { id });
    return index;
  }

  private room(depth: number): Room {
    const known = this.rooms[depth];
    if (known) return known;
    const { length } = this.states.chances;
    const room = { yes: new Float64Array(length), masses: new Float64Array(length) };
    this.rooms[depth] = room;
    return room;
  }
}

/** Nothing asked yet. */
export function asTheyAre({ chances }: States): Outcome {
  return { chance: sum(chances), masses: chances };
}

function differs(chances: Float64Array): boolean {
  const first = chances[0] as number;
  for (let state = 1; state < chances.length; state += 1) {
    if (Math.abs((chances[state] as number) - first) > 1e-12) return true;
  }
  return false;
}

function opposite(chances: Float64Array): Float64Array {
  for (let state = 0; state < chances.length; state += 1) {
    chances[state] = 1 - (chances[state] as number);
  }
  return chances;
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

import { CoreError } from '../errors/coreError.ts';
import { type Branch, type Evidence, type FailedTrial, prepare } from './evidence.ts';
import { dot } from './masses.ts';
import type { Network } from './network.ts';
import { bitsNeeded, rareBitsLast } from './order.ts';
import { addTo, contract, extend, pull, push } from './sets.ts';

/**
 * Most things to explain that one exact pass takes on: time and memory double with each.
 * A positive finding with several parents counts once, so does a trial that cured; a trial
 * that did not cure counts twice.
 */
export const MAX_SHARED_POSITIVES = 18;

/**
 * Joint masses of one pass: divided by `total` they are chances.
 */
export interface Masses {
  readonly total: number;
  /** Per cause: present when the machine came in. */
  readonly was: Float64Array;
  /** Per cause: present now. */
  readonly is: Float64Array;
}

/**
 * Exact sums over all causes, any number of them present at once.
 *
 * A pass walks forward and backward over the causes, carrying the mass of each *set of
 * explained positive findings*. Every step adds non-negative numbers, so nothing cancels
 * (inclusion-exclusion, as in Quickscore, Heckerman 1989, does: see docs/method.md).
 * Time is at most (links to positives) x 2^n for n shared positives; causes are taken so that
 * most of them come before the last bits exist.
 *
 * @throws CoreFault `too-many-positives` above {@link MAX_SHARED_POSITIVES};
 *   `unknown-id` for a finding or cause that the network does not have.
 */
export class PosteriorEngine {
  /** Natural logarithm of the scale of all masses. */
  readonly logScale: number;
  /** 1 for each set of explained things that accounts for the evidence. */
  readonly accepted: Float64Array;
  readonly causes: readonly CauseLayout[];
  /** Places of the causes that explain something shared, in the order of the walk. */
  readonly walked: readonly number[];
  /** Of all branches, in one row. */
  readonly weights: Float64Array;
  /**
   * Mass over sets before each step of the walk, as long as the sets that the step knows of,
   * and after the last; as the latest walk left it.
   */
  readonly before: readonly Float64Array[];
  private readonly bitLeaks: readonly number[];
  private readonly scratch: Float64Array;

  constructor(network: Network, evidence: Evidence) {
    const prepared = prepare(network, evidence);
    if (prepared.bitLeaks.length > MAX_SHARED_POSITIVES) {
      throw new CoreError('too-many-positives', {
        count: prepared.bitLeaks.length,
        most: MAX_SHARED_POSITIVES,
      });
    }
    const { bitLeaks, required, failedTrials, branches, logScale } = rareBitsLast(prepared);
    this.logScale = logScale;
    this.bitLeaks = bitLeaks;
    const sets = 1 << bitLeaks.length;
    this.accepted = acceptedSets(sets, required, failedTrials);

    const needed = branches.map(bitsNeeded);
    let first = 0;
    this.causes = branches.map((own, cause) => {
      const layout = { first, branches: own, explains: (needed[cause] as number) > 0 };
      first += own.length;
      return layout;
    });
    this.weights = Float64Array.from(branches.flatMap((own) => own.map(({ weight }) => weight)));
    this.walked = [...needed.keys()]
      .filter((cause) => (needed[cause] as number) > 0)
      .sort((a, b) => (needed[a] as number) - (needed[b] as number));
    this.before = [
      ...this.walked.map((cause) => new Float64Array(1 << (needed[cause] as number))),
      new Float64Array(sets),
    ];
    this.scratch = new Float64Array(sets);
    extend(Float64Array.of(1), this.before[0] as Float64Array, bitLeaks);
  }

  /** Forward and back: what each cause has of the whole. */
  run(): Masses {
    const plain = this.plainFactor(this.weights);
    this.walkForward();
    return this.walkBack(plain, plain * this.acceptedMass());
  }

  /**
   * The mass of the evidence when each cause that is present now is weighed by a factor of
   * its own; 1 where none is given.
   */
  totalWhenPresentNow(factors: readonly number[]): number {
    const weights = this.weights.slice();
    this.causes.forEach(({ first, branches }, cause) => {
      branches.forEach(({ presentBefore }, index) => {
        if (!isNow(presentBefore)) return;
        weights[first + index] = (weights[first + index] as number) * (factors[cause] ?? 1);
      });
    });
    this.walkForward(weights);
    return this.plainFactor(weights) * this.acceptedMass();
  }

  /** What the causes bring that explain nothing shared. */
  private plainFactor(weights: Float64Array): number {
    return this.causes.reduce(
      (product, { first, branches, explains }) =>
        explains ? product : product * sumOf(weights, first, branches.length),
      1,
    );
  }

  private acceptedMass(): number {
    return dot(this.before.at(-1) as Float64Array, this.accepted);
  }

  /** Fills {@link before} for the evidence as it is, or for changed weights. */
  walkForward(weights: Float64Array = this.weights): void {
    this.walked.forEach((cause, step) => {
      const from = this.before[step] as Float64Array;
      const next = this.before[step + 1] as Float64Array;
      const into = next.subarray(0, from.length);
      this.forward(weights, this.causes[cause] as CauseLayout, from, into);
      extend(into, next, this.bitLeaks);
    });
  }

  private forward(
    weights: Float64Array,
    { first, branches }: CauseLayout,
    from: Float64Array,
    into: Float64Array,
  ): void {
    let still = 0;
    let moved = false;
    branches.forEach(({ bits }, index) => {
      const weight = weights[first + index] as number;
      if (bits.length === 0) {
        still += weight;
        return;
      }
      const mass = moved ? this.scratch.subarray(0, from.length) : into;
      bits.forEach(({ bit, strength }, turn) => {
        push(turn === 0 ? from : mass, mass, bit, strength, turn === 0 ? weight : 1);
      });
      if (moved) addTo(into, mass, 1);
      moved = true;
    });
    addTo(into, from, still);
  }

  private walkBack(plain: number, total: number): Masses {
    const { weights } = this;
    const was = new Float64Array(this.causes.length);
    const is = new Float64Array(this.causes.length);
    const add = (cause: number, presentBefore: number, mass: number): void => {
      if (presentBefore > 0) was[cause] = (was[cause] as number) + mass;
      if (isNow(presentBefore)) is[cause] = (is[cause] as number) + mass;
    };
    this.causes.forEach(({ first, branches, explains }, cause) => {
      if (explains) return;
      const all = sumOf(weights, first, branches.length);
      branches.forEach(({ presentBefore }, index) => {
        add(cause, presentBefore, (total * (weights[first + index] as number)) / all);
      });
    });

    let ahead = this.accepted.slice();
    let back = new Float64Array(ahead.length);
    for (let step = this.walked.length - 1; step >= 0; step -= 1) {
      const cause = this.walked[step] as number;
      const { first, branches } = this.causes[cause] as CauseLayout;
      const from = this.before[step] as Float64Array;
      contract(ahead, from.length, this.bitLeaks);
      ahead = ahead.subarray(0, from.length);
      back = back.subarray(0, from.length);
      startBack(back, ahead, branches, weights, first);
      branches.forEach(({ bits, presentBefore }, index) => {
        const weight = weights[first + index] as number;
        if (bits.length > 0) {
          add(cause, presentBefore, plain * this.pullBack(ahead, back, from, bits, weight));
        } else if (presentBefore > 0) {
          add(cause, presentBefore, plain * weight * dot(ahead, from));
        }
      });
      [ahead, back] = [back, ahead];
    }
    return { total, was, is };
  }

  /**
   * dot(push(from), ahead) = dot(from, pull(ahead)): one pull serves both the mass of the
   * branch and the step back.
   */
  private pullBack(
    ahead: Float64Array,
    back: Float64Array,
    from: Float64Array,
    bits: Branch['bits'],
    weight: number,
  ): number {
    const pulled = this.scratch.subarray(0, from.length);
    bits.forEach(({ bit, strength }, turn) => {
      pull(turn === 0 ? ahead : pulled, pulled, bit, strength);
    });
    let mass = 0;
    for (let set = 0; set < pulled.length; set += 1) {
      const value = weight * (pulled[set] as number);
      mass += value * (from[set] as number);
      back[set] = (back[set] as number) + value;
    }
    return mass;
  }
}

function acceptedSets(
  sets: number,
  required: number,
  failedTrials: readonly FailedTrial[],
): Float64Array {
  return Float64Array.from({ length: sets }, (_, set) => {
    const has = (bit: number): boolean => (set & (1 << bit)) !== 0;
    const explained = (set & required) === required;
    return explained && failedTrials.every((trial) => has(trial.stillShown) || !has(trial.blamed))
      ? 1
      : 0;
  });
}

export interface CauseLayout {
  /** Place of its first branch in the flat list. */
  readonly first: number;
  readonly branches: readonly Branch[];
  /** It can explain something that others can explain too. */
  readonly explains: boolean;
}

/** Whether a branch says that the cause is there to this day. */
export function isNow(presentBefore: number): boolean {
  return presentBefore === Number.POSITIVE_INFINITY;
}

/** The step back over the branches that explain nothing; the others are added by pulls. */
function startBack(
  back: Float64Array,
  ahead: Float64Array,
  branches: readonly Branch[],
  weights: Float64Array,
  first: number,
): void {
  let still = 0;
  branches.forEach(({ bits }, index) => {
    if (bits.length === 0) still += weights[first + index] as number;
  });
  for (let set = 0; set < back.length; set += 1) back[set] = still * (ahead[set] as number);
}

function sumOf(weights: Float64Array, first: number, count: number): number {
  let sum = 0;
  for (let index = first; index < first + count; index += 1) sum += weights[index] as number;
  return sum;
}

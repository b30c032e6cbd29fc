import { CoreFault } from '../fault.ts';
import { type Branch, type Evidence, prepare } from './evidence.ts';
import type { Network } from './network.ts';

/**
 * Most positive findings with several parents that one exact pass takes on: time and
 * memory double with each.
 */
export const MAX_SHARED_POSITIVES = 18;

/**
 * Joint masses of one pass: divided by `total` they are chances. Masses of passes over the
 * same evidence share one scale, so they may be added and subtracted.
 */
export interface Masses {
  readonly total: number;
  /** Per cause: present when the machine came in. */
  readonly was: Float64Array;
  /** Per cause: present now. */
  readonly is: Float64Array;
}

/** Multiplies the weight of one branch (by its place in the flat list). */
export interface Change {
  readonly branch: number;
  readonly factor: number;
}

/** What a pass is run with besides the evidence. */
export interface Supposition {
  readonly changes: readonly Change[];
  readonly factor: number;
}

const NOTHING_SUPPOSED: Supposition = { changes: [], factor: 1 };

/**
 * Exact sums over all causes, any number of them present at once.
 *
 * A pass walks forward and backward over the causes, carrying the mass of each *set of
 * explained positive findings*. Every step adds non-negative numbers, so nothing cancels
 * (inclusion-exclusion, as in Quickscore, Heckerman 1989, does: see docs/method.md).
 * Time is (links to positives) x 2^n for n shared positives. The layout is made once, so
 * that the planner can run many passes over one evidence.
 *
 * @throws CoreFault `too-many-positives` above {@link MAX_SHARED_POSITIVES};
 *   `unknown-id` for a finding or cause that the network does not have.
 */
export class Reckoner {
  /** Natural logarithm of the scale of all masses. */
  readonly logScale: number;
  private readonly sets: number;
  private readonly causes: readonly CauseLayout[];
  private readonly weights: Float64Array;
  /** Mass over sets before each cause that touches a shared positive, and after the last. */
  private readonly before: readonly Float64Array[];
  private readonly scratch: Float64Array;

  constructor(
    private readonly network: Network,
    evidence: Evidence,
  ) {
    const { bitLeaks, branches, logScale } = prepare(network, evidence);
    if (bitLeaks.length > MAX_SHARED_POSITIVES) {
      throw new CoreFault('too-many-positives', {
        count: bitLeaks.length,
        most: MAX_SHARED_POSITIVES,
      });
    }
    this.logScale = logScale;
    this.sets = 1 << bitLeaks.length;
    let first = 0;
    let touching = 0;
    this.causes = branches.map((own) => {
      const touches = own.some(({ bits }) => bits.length > 0);
      const layout = { first, branches: own, step: touches ? touching++ : undefined };
      first += own.length;
      return layout;
    });
    this.weights = Float64Array.from(branches.flatMap((own) => own.map(({ weight }) => weight)));
    this.before = Array.from({ length: touching + 1 }, () => new Float64Array(this.sets));
    this.scratch = new Float64Array(this.sets);

    const start = this.before[0] as Float64Array;
    start[0] = 1;
    for (const [bit, leak] of bitLeaks.entries()) push(start, bit, leak);
  }

  /** What it means to suppose a finding absent in an epoch. */
  absent(findingId: string, epoch: number): Supposition {
    const finding = this.network.findingIndex.get(findingId);
    if (finding === undefined) throw new CoreFault('unknown-id', { id: findingId });
    const changes: Change[] = [];
    for (const cause of this.network.parents[finding] ?? []) {
      const link = this.network.shows[cause]?.find((shows) => shows.finding === finding);
      const layout = this.causes[cause];
      if (!link || !layout) continue;
      layout.branches.forEach(({ presentBefore }, place) => {
        if (epoch < presentBefore) {
          changes.push({ branch: layout.first + place, factor: 1 - link.strength });
        }
      });
    }
    return { changes, factor: 1 - (this.network.findings[finding]?.leak ?? 0) };
  }

  /** Weighs each cause that is present now by a factor of its own. */
  whenPresentNow(factors: readonly number[]): Supposition {
    return {
      factor: 1,
      changes: this.causes.flatMap(({ first, branches }, cause) =>
        branches.flatMap(({ presentBefore }, place) =>
          isNow(presentBefore) ? [{ branch: first + place, factor: factors[cause] ?? 1 }] : [],
        ),
      ),
    };
  }

  /** One pass. All suppositions hold together. */
  run(...suppositions: readonly Supposition[]): Masses {
    const supposed = suppositions.length > 0 ? suppositions : [NOTHING_SUPPOSED];
    const weights = this.weights.slice();
    let plain = 1;
    for (const { changes, factor } of supposed) {
      plain *= factor;
      for (const { branch, factor: by } of changes) weights[branch] = (weights[branch] ?? 0) * by;
    }
    for (const { first, branches, step } of this.causes) {
      if (step === undefined) plain *= sumOf(weights, first, branches.length);
      else this.forward(weights, first, branches, step);
    }
    const total = plain * (this.before.at(-1)?.[this.sets - 1] ?? 0);
    return this.backward(weights, plain, total);
  }

  private forward(
    weights: Float64Array,
    first: number,
    branches: readonly Branch[],
    step: number,
  ): void {
    const from = this.before[step] as Float64Array;
    const into = this.before[step + 1] as Float64Array;
    into.fill(0);
    branches.forEach(({ bits }, place) => {
      const weight = weights[first + place] as number;
      let moved = from;
      if (bits.length > 0) {
        moved = this.scratch;
        moved.set(from);
        for (const { bit, strength } of bits) push(moved, bit, strength);
      }
      for (let set = 0; set < into.length; set += 1) {
        into[set] = (into[set] as number) + weight * (moved[set] as number);
      }
    });
  }

  private backward(weights: Float64Array, plain: number, total: number): Masses {
    const was = new Float64Array(this.causes.length);
    const is = new Float64Array(this.causes.length);
    let ahead = new Float64Array(this.sets);
    let back = new Float64Array(this.sets);
    ahead[this.sets - 1] = 1;

    for (let cause = this.causes.length - 1; cause >= 0; cause -= 1) {
      const { first, branches, step } = this.causes[cause] as CauseLayout;
      const from = step === undefined ? undefined : this.before[step];
      const all = from ? 1 : sumOf(weights, first, branches.length);
      if (from) back.fill(0);
      for (let place = 0; place < branches.length; place += 1) {
        const { bits, presentBefore } = branches[place] as Branch;
        const weight = weights[first + place] as number;
        const mass = from
          ? plain * this.pullBack(ahead, back, from, bits, weight)
          : (total * weight) / all;
        if (presentBefore > 0) was[cause] = (was[cause] as number) + mass;
        if (isNow(presentBefore)) is[cause] = (is[cause] as number) + mass;
      }
      if (from) [ahead, back] = [back, ahead];
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
    let pulled = ahead;
    if (bits.length > 0) {
      pulled = this.scratch;
      pulled.set(ahead);
      for (const { bit, strength } of bits) pull(pulled, bit, strength);
    }
    let mass = 0;
    for (let set = 0; set < pulled.length; set += 1) {
      const value = weight * (pulled[set] as number);
      mass += value * (from[set] as number);
      back[set] = (back[set] as number) + value;
    }
    return mass;
  }
}

interface CauseLayout {
  /** Place of its first branch in the flat list. */
  readonly first: number;
  readonly branches: readonly Branch[];
  /** Its turn among the causes that touch a shared positive; undefined for the others. */
  readonly step: number | undefined;
}

function isNow(presentBefore: number): boolean {
  return presentBefore === Number.POSITIVE_INFINITY;
}

function sumOf(weights: Float64Array, first: number, count: number): number {
  let sum = 0;
  for (let place = first; place < first + count; place += 1) sum += weights[place] as number;
  return sum;
}

/** Moves mass from each set without the bit to the same set with it. */
function push(mass: Float64Array, bit: number, strength: number): void {
  const step = 1 << bit;
  const half = mass.length >> 1;
  for (let pair = 0; pair < half; pair += 1) {
    const low = ((pair & -step) << 1) | (pair & (step - 1));
    const value = mass[low] as number;
    mass[low + step] = (mass[low + step] as number) + value * strength;
    mass[low] = value * (1 - strength);
  }
}

/** The transpose of {@link push}: what the mass ahead is worth, seen from before it. */
function pull(ahead: Float64Array, bit: number, strength: number): void {
  const step = 1 << bit;
  const half = ahead.length >> 1;
  for (let pair = 0; pair < half; pair += 1) {
    const low = ((pair & -step) << 1) | (pair & (step - 1));
    ahead[low] = (1 - strength) * (ahead[low] as number) + strength * (ahead[low + step] as number);
  }
}

import { CoreError } from '../errors/coreError.ts';
import { type Branch, prepare, type Trigger } from './branches.ts';
import type { Evidence } from './evidence.ts';
import { dot } from './masses.ts';
import type { Network } from './network.ts';
import { activeMass, addTo, contract, extend, pullTrigger, pushTrigger } from './sets.ts';

/**
 * Most things to explain that one exact pass takes on: time and memory double with each.
 * A positive finding with several parents counts once, and so does each time that a symptom was
 * reported or seen.
 */
export const MAX_SHARED_POSITIVES = 18;

/** Joint masses of one pass: divided by `total` they are chances. */
export interface Masses {
  readonly total: number;
  /** Per cause: present when the machine came in. */
  readonly was: Float64Array;
  /** Per cause: present now. */
  readonly is: Float64Array;
  /** Per cause: present now, with an active trigger for something that was reported. */
  readonly blame: Float64Array;
}

/**
 * Exact sums over all causes and their triggers, any number of them present at once.
 *
 * A pass walks forward and backward over the causes, carrying the mass of each *set of explained
 * things*. Every step adds non-negative numbers, so nothing cancels (inclusion-exclusion, as in
 * Quickscore, Heckerman 1989, does: see docs/method.md). Time is at most (links to positives) x 2^n for
 * n shared positives; causes are taken so that most of them come before the last bits exist.
 *
 * @throws CoreError `too-many-positives` above {@link MAX_SHARED_POSITIVES};
 *   `unknown-id` for a finding or cause that the network does not have.
 */
export class PosteriorEngine {
  /** Natural logarithm of the scale of all masses. */
  readonly logScale: number;
  readonly causes: readonly CauseLayout[];
  /** Indexes of the causes that explain something shared, in the order of the walk. */
  readonly walked: readonly number[];
  /** The reported symptoms, by the place that a blamed trigger names. */
  readonly reported: readonly string[];
  /**
   * Mass over sets before each step of the walk, as long as the sets that the step knows of,
   * and after the last; as the latest walk left it.
   */
  readonly before: readonly Float64Array[];
  private readonly bitLeaks: readonly number[];
  private readonly scratch: Float64Array;
  private readonly spare: Float64Array;

  constructor(network: Network, evidence: Evidence) {
    const prepared = prepare(network, evidence);
    if (prepared.bitLeaks.length > MAX_SHARED_POSITIVES) {
      throw new CoreError('too-many-positives', {
        count: prepared.bitLeaks.length,
        most: MAX_SHARED_POSITIVES,
      });
    }
    const { bitLeaks, branches, bitsNeeded: needed, reported, logScale } = prepared;
    this.logScale = logScale;
    this.bitLeaks = bitLeaks;
    this.reported = reported;
    this.causes = branches.map((own, cause) => ({
      branches: own,
      explains: (needed[cause] as number) > 0,
    }));
    this.walked = [...needed.keys()]
      .filter((cause) => (needed[cause] as number) > 0)
      .sort((a, b) => (needed[a] as number) - (needed[b] as number));
    const sets = 1 << bitLeaks.length;
    this.before = [
      ...this.walked.map((cause) => new Float64Array(1 << (needed[cause] as number))),
      new Float64Array(sets),
    ];
    this.scratch = new Float64Array(sets);
    this.spare = new Float64Array(sets);
    extend(Float64Array.of(1), this.before[0] as Float64Array, bitLeaks);
  }

  /** Forward and back: what each cause has of the whole. */
  run(): Masses {
    const plain = this.plainFactor(false);
    this.walkForward();
    return this.walkBack(plain, plain * this.explainedMass());
  }

  /** The mass of the evidence. */
  total(): number {
    this.walkForward();
    return this.plainFactor(false) * this.explainedMass();
  }

  /**
   * The mass of the evidence with nothing to blame now: every trigger for a reported symptom stayed
   * quiet, of whatever is there to this day.
   */
  silentTotal(): number {
    this.walkForward(true);
    return this.plainFactor(true) * this.explainedMass();
  }

  /** What the causes bring that explain nothing shared. */
  private plainFactor(silenced: boolean): number {
    return this.causes.reduce(
      (product, { branches, explains }) =>
        explains
          ? product
          : product * branches.reduce((sum, branch) => sum + plainMass(branch, silenced), 0),
      1,
    );
  }

  private explainedMass(): number {
    return (this.before.at(-1) as Float64Array).at(-1) as number;
  }

  /** Fills {@link before}. @param silenced leaves out what would be to blame now. */
  walkForward(silenced = false): void {
    this.walked.forEach((cause, step) => {
      const from = this.before[step] as Float64Array;
      const next = this.before[step + 1] as Float64Array;
      const into = next.subarray(0, from.length);
      this.forward(this.causes[cause] as CauseLayout, from, into, silenced);
      extend(into, next, this.bitLeaks);
    });
  }

  /** What became of mass that left the things unexplained which are new after a step of the walk. */
  unbornFactor(step: number): number {
    const known = Math.log2((this.before[step] as Float64Array).length);
    const next = Math.log2((this.before[step + 1] as Float64Array).length);
    return this.bitLeaks.slice(known, next).reduce((factor, leak) => factor * (1 - leak), 1);
  }

  private forward(
    { branches }: CauseLayout,
    from: Float64Array,
    into: Float64Array,
    silenced: boolean,
  ): void {
    let still = 0;
    let moved = false;
    for (const branch of branches) {
      let { weight } = branch;
      let taken: readonly Trigger[] = branch.triggers;
      if (silenced) for (const { quiet } of branch.blamed) weight *= quiet;
      else if (branch.blamed.length > 0) taken = [...branch.blamed, ...taken];
      if (taken.length === 0) {
        still += weight;
        continue;
      }
      const mass = moved ? this.scratch.subarray(0, from.length) : into;
      taken.forEach((trigger, turn) => {
        const first = turn === 0;
        pushTrigger(trigger, first ? from : mass, mass, this.spare, first ? weight : 1);
      });
      if (moved) addTo(into, mass, 1);
      moved = true;
    }
    if (moved) addTo(into, from, still);
    else for (let set = 0; set < from.length; set += 1) into[set] = still * (from[set] as number);
  }

  private walkBack(plain: number, total: number): Masses {
    const count = this.causes.length;
    const [was, is, blame] = [0, 0, 0].map(() => new Float64Array(count)) as [
      Float64Array,
      Float64Array,
      Float64Array,
    ];
    const add = (row: Float64Array, cause: number, mass: number): void => {
      row[cause] = (row[cause] as number) + mass;
    };
    this.causes.forEach(({ branches, explains }, cause) => {
      if (explains) return;
      const all = branches.reduce((sum, branch) => sum + plainMass(branch, false), 0);
      for (const branch of branches) {
        const share = (total * plainMass(branch, false)) / all;
        if (branch.presentBefore > 0) add(was, cause, share);
        if (!isNow(branch)) continue;
        add(is, cause, share);
        add(blame, cause, (total * branch.weight * plainBlame(branch)) / all);
      }
    });

    let ahead = new Float64Array(1 << this.bitLeaks.length);
    ahead[ahead.length - 1] = 1;
    let back = new Float64Array(ahead.length);
    for (let step = this.walked.length - 1; step >= 0; step -= 1) {
      const cause = this.walked[step] as number;
      const { branches } = this.causes[cause] as CauseLayout;
      const from = this.before[step] as Float64Array;
      contract(ahead, from.length, this.bitLeaks);
      ahead = ahead.subarray(0, from.length);
      back = back.subarray(0, from.length);
      back.fill(0);
      let still = 0;
      for (const branch of branches) {
        const { weight, presentBefore, triggers, blamed } = branch;
        let mass: number;
        if (triggers.length + blamed.length > 0) {
          const pulled = this.scratch.subarray(0, from.length);
          const active = this.pullBack(branch, ahead, from, pulled);
          mass = plain * weight * addPulled(pulled, from, back, weight);
          add(blame, cause, plain * weight * active);
        } else {
          still += weight;
          mass = presentBefore > 0 ? plain * weight * dot(ahead, from) : 0;
        }
        if (presentBefore > 0) add(was, cause, mass);
        if (isNow(branch)) add(is, cause, mass);
      }
      addTo(back, ahead, still);
      [ahead, back] = [back, ahead];
    }
    return { total, was, is, blame: this.reported.length > 0 ? blame : is };
  }

  /**
   * Pulls the mass ahead through the triggers of a branch: dot(push(from), ahead) = dot(from,
   * pull(ahead)).
   * @returns the mass, before weighing, with something to blame: over its reported symptoms in a fixed
   *   order, those before stay quiet and this one is active.
   */
  private pullBack(
    { triggers, blamed }: Branch,
    ahead: Float64Array,
    from: Float64Array,
    into: Float64Array,
  ): number {
    let last = ahead;
    const pullThrough = (trigger: Trigger): void => {
      pullTrigger(trigger, last, into, this.spare);
      last = into;
    };
    for (const trigger of triggers) pullThrough(trigger);
    let blame = 0;
    for (let at = blamed.length - 1; at >= 0; at -= 1) {
      const trigger = blamed[at] as Trigger;
      blame = trigger.quiet * blame + activeMass(trigger, from, last, this.spare);
      pullThrough(trigger);
    }
    return blame;
  }
}

export interface CauseLayout {
  readonly branches: readonly Branch[];
  /** It can explain something that others can explain too. */
  readonly explains: boolean;
}

/** Whether a branch says that the cause is there to this day. */
export function isNow({ presentBefore }: Branch): boolean {
  return presentBefore === Number.POSITIVE_INFINITY;
}

/** The mass of a branch that explains nothing. */
export function plainMass({ weight, blamed }: Branch, silenced: boolean): number {
  return blamed.reduce(
    (mass, { quiet, active }) => mass * (silenced ? quiet : quiet + active),
    weight,
  );
}

/** Of a branch that explains nothing: the mass, before weighing, with something to blame. */
function plainBlame({ blamed }: Branch): number {
  let blame = 0;
  let whole = 1;
  for (let at = blamed.length - 1; at >= 0; at -= 1) {
    const { quiet, active } = blamed[at] as Trigger;
    blame = active * whole + quiet * blame;
    whole *= quiet + active;
  }
  return blame;
}

/** Adds the weighed row to the step back. @returns what the row has in common with what came before. */
function addPulled(
  pulled: Float64Array,
  from: Float64Array,
  back: Float64Array,
  weight: number,
): number {
  let mass = 0;
  for (let set = 0; set < pulled.length; set += 1) {
    const value = pulled[set] as number;
    mass += value * (from[set] as number);
    back[set] = (back[set] as number) + weight * value;
  }
  return mass;
}

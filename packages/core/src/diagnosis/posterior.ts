import { CoreFault } from '../fault.ts';
import { type Branch, type Evidence, type Prepared, prepare } from './evidence.ts';
import type { Network } from './network.ts';

/**
 * Most positive findings with several parents that one exact pass takes on: time and
 * memory double with each (18 take about 160 MB and a second).
 */
export const MAX_SHARED_POSITIVES = 18;

export interface CauseBelief {
  readonly cause: string;
  /** Chance that it was present when the machine came in, given all that is known. */
  readonly was: number;
  /** Chance that it is present now, after everything that was done. */
  readonly is: number;
}

export interface Posterior {
  /** One per cause of the network, in its order. */
  readonly beliefs: readonly CauseBelief[];
  /** Natural logarithm of the probability of the readings. */
  readonly logEvidence: number;
}

/**
 * Exact posterior over all causes, any number of them present at once.
 *
 * Walks once forward and once backward over the causes, carrying the mass of each *set of
 * explained positive findings*. Every step adds non-negative numbers, so nothing cancels
 * (inclusion-exclusion, as in Quickscore, Heckerman 1989, does: see docs/method.md).
 * Time is (links to positives) x 2^n for n shared positives.
 *
 * @throws CoreFault `too-many-positives` above {@link MAX_SHARED_POSITIVES};
 *   `impossible-evidence` when the readings have probability 0 in the network.
 */
export function posterior(network: Network, evidence: Evidence): Posterior {
  const prepared = prepare(network, evidence);
  const { before: massBefore, sets, total } = forward(prepared);
  if (!(total > 0)) throw new CoreFault('impossible-evidence');

  const beliefs = new Array<CauseBelief>(network.causes.length);
  let ahead: Float64Array = new Float64Array(sets);
  ahead[sets - 1] = 1;

  for (let place = network.causes.length - 1; place >= 0; place -= 1) {
    const branches = prepared.branches[place] ?? [];
    const before = massBefore[place];
    let all = 0;
    let was = 0;
    let is = 0;
    if (before) {
      // dot(push(before), ahead) = dot(before, pull(ahead)): one pull serves both the
      // chance of each branch and the step back.
      const back = new Float64Array(ahead.length);
      for (const branch of branches) {
        const pulled = pull(ahead, branch);
        let mass = 0;
        for (let set = 0; set < pulled.length; set += 1) {
          const value = pulled[set] as number;
          mass += value * (before[set] as number);
          back[set] = (back[set] as number) + value;
        }
        all += mass;
        if (branch.wasPresent) was += mass;
        if (branch.isPresent) is += mass;
      }
      ahead = back;
    } else {
      for (const branch of branches) {
        all += branch.weight;
        if (branch.wasPresent) was += branch.weight;
        if (branch.isPresent) is += branch.weight;
      }
    }
    beliefs[place] = { cause: network.causes[place]?.id ?? '', was: was / all, is: is / all };
  }
  return { beliefs, logEvidence: Math.log(total) + prepared.logScale };
}

/**
 * Chance that the reported complaints come back in one sewing session of the same work:
 * 1 - E over what is present now of the product over complaints f and present causes c of
 * (1 - strength(c, f)). Leaks are left out, they are not the machine's.
 * @param complaints ids of the findings that the customer reported.
 */
export function comebackRisk(
  network: Network,
  evidence: Evidence,
  complaints: readonly string[],
): number {
  const reported = new Set(complaints.map((id) => network.findingIndex.get(id)));
  const quiet = network.shows.map((shows) =>
    shows.reduce(
      (left, { finding, strength }) => (reported.has(finding) ? left * (1 - strength) : left),
      1,
    ),
  );
  const prepared = prepare(network, evidence);
  const base = forward(prepared).total;
  if (!(base > 0)) throw new CoreFault('impossible-evidence');
  const silent = forward({
    ...prepared,
    branches: prepared.branches.map((branches, place) =>
      branches.map((branch) =>
        branch.isPresent ? { ...branch, weight: branch.weight * (quiet[place] ?? 1) } : branch,
      ),
    ),
  }).total;
  return Math.min(1, Math.max(0, 1 - silent / base));
}

interface Forward {
  readonly total: number;
  /** How many sets of shared positives there are. */
  readonly sets: number;
  /** Per cause that touches a shared positive, the mass over sets before it. */
  readonly before: readonly (Float64Array | undefined)[];
}

function forward(prepared: Prepared): Forward {
  const count = prepared.bitLeaks.length;
  if (count > MAX_SHARED_POSITIVES) {
    throw new CoreFault('too-many-positives', { count, most: MAX_SHARED_POSITIVES });
  }
  const start = new Float64Array(1 << count);
  start[0] = 1;
  for (const [bit, leak] of prepared.bitLeaks.entries()) explain(start, bit, leak);

  let mass: Float64Array = start;
  let plain = 1;
  const before = prepared.branches.map((branches) => {
    if (branches.every((branch) => branch.bits.length === 0)) {
      plain *= branches.reduce((sum, branch) => sum + branch.weight, 0);
      return undefined;
    }
    const here = mass;
    const next = new Float64Array(here.length);
    for (const branch of branches) addPushed(next, here, branch);
    mass = next;
    return here;
  });
  return { total: plain * (mass[mass.length - 1] as number), sets: start.length, before };
}

/** Moves mass from each set without the bit to the same set with it. */
function explain(mass: Float64Array, bit: number, strength: number): void {
  const step = 1 << bit;
  for (let block = 0; block < mass.length; block += 2 * step) {
    for (let set = block; set < block + step; set += 1) {
      const value = mass[set] as number;
      mass[set + step] = (mass[set + step] as number) + value * strength;
      mass[set] = value * (1 - strength);
    }
  }
}

function addPushed(into: Float64Array, from: Float64Array, branch: Branch): void {
  let moved = from;
  if (branch.bits.length > 0) {
    moved = from.slice();
    for (const { bit, strength } of branch.bits) explain(moved, bit, strength);
  }
  for (let set = 0; set < into.length; set += 1) {
    into[set] = (into[set] as number) + branch.weight * (moved[set] as number);
  }
}

/** The transpose of pushing a branch: what the mass ahead is worth, seen from before it. */
function pull(ahead: Float64Array, branch: Branch): Float64Array {
  const value = ahead.map((mass) => mass * branch.weight);
  for (const { bit, strength } of branch.bits) {
    const step = 1 << bit;
    for (let block = 0; block < value.length; block += 2 * step) {
      for (let set = block; set < block + step; set += 1) {
        value[set] =
          (1 - strength) * (value[set] as number) + strength * (value[set + step] as number);
      }
    }
  }
  return value;
}

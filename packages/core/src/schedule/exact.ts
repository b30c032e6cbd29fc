import { CoreFault } from '../errors/coreError.ts';
import { type Bench, doneAt, type Job, lateness } from './benches.ts';

/** How costs come together, and what there is before the first. */
const SUMMED = { join: (one: number, other: number) => one + other, none: 0 };
const GREATEST = { join: Math.max, none: Number.NEGATIVE_INFINITY };

/** What is to be as small as possible, over all jobs. */
export const OBJECTIVES = {
  /** Sum of weight x minutes late. */
  'weighted-lateness': {
    cost: ({ weight, due }: Job, done: number) => weight * lateness(done, due),
    ...SUMMED,
  },
  /** Sum of weight x instant of completion. */
  'weighted-completion': {
    cost: ({ weight }: Job, done: number) => weight * done,
    ...SUMMED,
  },
  /** How many are late at all. */
  'late-jobs': {
    cost: ({ due }: Job, done: number) => (lateness(done, due) > 0 ? 1 : 0),
    ...SUMMED,
  },
  /** How late the latest is; less than nothing when all are early. */
  'greatest-lateness': {
    cost: ({ due }: Job, done: number) =>
      due === undefined ? Number.NEGATIVE_INFINITY : done - due,
    ...GREATEST,
  },
  /** When the last is done. */
  'last-done': { cost: (_job: Job, done: number) => done, ...GREATEST },
} as const;
export type Objective = keyof typeof OBJECTIVES;

/** Places of jobs in the order in which each bench does them. */
export type Queues = readonly (readonly number[])[];

export interface Plan {
  readonly queues: Queues;
  readonly cost: number;
}

/** The jobs whose subsets are gone through; twelve take a second, eight a few milliseconds. */
export const MOST_EXACT = 8;

/**
 * The best there is, by going through all subsets of the jobs: which of them lie on which
 * bench, and in which order (Held and Karp 1962 for the order on one machine; the benches are
 * joined the same way).
 * @throws CoreFault `too-many-jobs` above {@link MOST_EXACT}; `no-bench` without any.
 */
export function bestPlan(
  jobs: readonly Job[],
  benches: readonly Bench[],
  objective: Objective,
): Plan {
  if (jobs.length > MOST_EXACT) throw new CoreFault('too-many-jobs', { jobs: jobs.length });
  const [first, ...others] = benches;
  if (!first) throw new CoreFault('no-bench');
  const { join } = OBJECTIVES[objective];
  const all = (1 << jobs.length) - 1;
  let soFar = onOneBench(jobs, first, objective);
  const taken: Int32Array[] = [];
  const tables = [soFar];
  for (const other of others) {
    const here = onOneBench(jobs, other, objective);
    tables.push(here);
    const cost = new Float64Array(all + 1);
    const part = new Int32Array(all + 1);
    for (let set = 0; set <= all; set += 1) {
      let best = Number.POSITIVE_INFINITY;
      let bestPart = 0;
      // Every subset of the set lies here, the rest on the benches before.
      for (let mine = set; ; mine = (mine - 1) & set) {
        const joined = join(here.cost[mine] as number, soFar.cost[set & ~mine] as number);
        if (joined < best || mine === set) {
          best = joined;
          bestPart = mine;
        }
        if (mine === 0) break;
      }
      cost[set] = best;
      part[set] = bestPart;
    }
    taken.push(part);
    soFar = { cost, last: here.last };
  }
  const queues: number[][] = [];
  let left = all;
  for (let place = benches.length - 1; place >= 0; place -= 1) {
    const mine = place === 0 ? left : ((taken[place - 1] as Int32Array)[left] as number);
    queues.unshift(orderOf(mine, (tables[place] as OneBench).last));
    left &= ~mine;
  }
  return { queues, cost: soFar.cost[all] as number };
}

interface OneBench {
  /** Least cost of a subset on this bench alone. */
  readonly cost: Float64Array;
  /** Which of the subset comes last then. */
  readonly last: Int8Array;
}

function onOneBench(jobs: readonly Job[], where: Bench, objective: Objective): OneBench {
  const { cost: costOf, join, none } = OBJECTIVES[objective];
  const size = 1 << jobs.length;
  const cost = new Float64Array(size);
  const last = new Int8Array(size).fill(-1);
  cost[0] = none;
  for (let set = 1; set < size; set += 1) {
    const inSet = jobs.filter((_, place) => set & (1 << place));
    const done = doneAt(
      where,
      inSet.reduce((sum, { minutes }) => sum + minutes, 0),
    );
    let best = Number.POSITIVE_INFINITY;
    for (const [place, job] of jobs.entries()) {
      if (!(set & (1 << place))) continue;
      const joined = join(cost[set & ~(1 << place)] as number, costOf(job, done));
      if (joined < best || last[set] === -1) {
        best = joined;
        last[set] = place;
      }
    }
    cost[set] = best;
  }
  return { cost, last };
}

function orderOf(set: number, last: Int8Array): number[] {
  const order: number[] = [];
  for (let left = set; left !== 0; ) {
    const place = last[left] as number;
    order.unshift(place);
    left &= ~(1 << place);
  }
  return order;
}

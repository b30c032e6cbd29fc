import { CoreError } from '../errors/coreError.ts';
import { type Bench, type Job, lateness, surelyDoneAt } from './benches.ts';

/** Places of jobs in the order in which each bench does them. */
export type Queues = readonly (readonly number[])[];

export interface Schedule {
  readonly queues: Queues;
  /** Sum of weight x minutes late, each job taken to last as long as nine times in ten it does not. */
  readonly cost: number;
}

/** The jobs whose subsets are gone through; twelve take a second, eight a few milliseconds. */
export const MOST_EXACT = 8;

/**
 * The schedule with the least weighted lateness, by going through all subsets of the jobs: which of them lie on which
 * bench, and in which order (Held and Karp 1962 for the order on one machine; the benches are
 * joined the same way).
 * @throws CoreFault `too-many-jobs` above {@link MOST_EXACT}; `no-bench` without any.
 */
export function bestSchedule(jobs: readonly Job[], benches: readonly Bench[]): Schedule {
  if (jobs.length > MOST_EXACT) throw new CoreError('too-many-jobs', { jobs: jobs.length });
  const [first, ...others] = benches;
  if (!first) throw new CoreError('no-bench');
  const all = (1 << jobs.length) - 1;
  let soFar = onOneBench(jobs, first);
  const taken: Int32Array[] = [];
  const tables = [soFar];
  for (const other of others) {
    const here = onOneBench(jobs, other);
    tables.push(here);
    const cost = new Float64Array(all + 1);
    const part = new Int32Array(all + 1);
    for (let set = 0; set <= all; set += 1) {
      let best = Number.POSITIVE_INFINITY;
      let bestPart = 0;
      // Every subset of the set lies here, the rest on the benches before.
      for (let mine = set; ; mine = (mine - 1) & set) {
        const joined = (here.cost[mine] as number) + (soFar.cost[set & ~mine] as number);
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
  for (let index = benches.length - 1; index >= 0; index -= 1) {
    const mine = index === 0 ? left : ((taken[index - 1] as Int32Array)[left] as number);
    queues.unshift(orderOf(mine, (tables[index] as OneBench).last));
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

function onOneBench(jobs: readonly Job[], where: Bench): OneBench {
  const size = 1 << jobs.length;
  const cost = new Float64Array(size);
  const last = new Int8Array(size).fill(-1);
  for (let set = 1; set < size; set += 1) {
    const inSet = jobs.filter((_, index) => set & (1 << index));
    const done = surelyDoneAt(
      where,
      inSet.reduce((sum, { minutes }) => sum + minutes, 0),
      inSet.reduce((sum, { spread }) => sum + spread ** 2, 0),
    );
    let best = Number.POSITIVE_INFINITY;
    for (const [position, job] of jobs.entries()) {
      if (!(set & (1 << position))) continue;
      const joined =
        (cost[set & ~(1 << position)] as number) + job.weight * lateness(done, job.due);
      if (joined < best || last[set] === -1) {
        best = joined;
        last[set] = position;
      }
    }
    cost[set] = best;
  }
  return { cost, last };
}

function orderOf(set: number, last: Int8Array): number[] {
  const order: number[] = [];
  for (let left = set; left !== 0; ) {
    const index = last[left] as number;
    order.unshift(index);
    left &= ~(1 << index);
  }
  return order;
}

import { CoreError } from '../errors/coreError.ts';
import { type Bench, doneAt, type Job, lateness } from './benches.ts';
import { leastWeightedLateness } from './bound.ts';
import { bestSchedule, MOST_EXACT, type Queues } from './exact.ts';

export interface Order {
  /** Per bench, the jobs in the order in which they are best done there. */
  readonly queues: readonly { readonly person: string; readonly jobs: readonly Job[] }[];
  /** Sum of weight x minutes late. */
  readonly cost: number;
  /**
   * No order costs less than this; equal to the cost where all were gone through. Reckoned when it
   * is asked for: it takes as long as the order.
   */
  readonly bound: () => number;
}

/**
 * Orders jobs by weighted due dates over the benches. Up to eight jobs it is the best there is;
 * above that a rule builds the order (apparent urgency: Vepsalainen and Morton 1987), exchanges
 * better it, and the bound says how far off it may be.
 * @throws CoreFault `no-bench` without any.
 */
export function orderByDue(jobs: readonly Job[], benches: readonly Bench[]): Order {
  if (benches.length === 0) throw new CoreError('no-bench');
  if (jobs.length <= MOST_EXACT) {
    const { queues, cost } = bestSchedule(jobs, benches);
    return { queues: named(queues, jobs, benches), cost, bound: () => cost };
  }
  const queues = bettered(jobs, benches, byUrgency(jobs, benches));
  const cost = queues.reduce((sum, queue, at) => sum + queueCost(jobs, benches[at], queue), 0);
  return {
    queues: named(queues, jobs, benches),
    cost,
    bound: () => (cost === 0 ? 0 : leastWeightedLateness(jobs, benches)),
  };
}

/** Weighted lateness of one bench's queue; indexes of jobs in order. */
function queueCost(
  jobs: readonly Job[],
  where: Bench | undefined,
  queue: readonly number[],
): number {
  if (!where) return 0;
  let cost = 0;
  let work = 0;
  for (const index of queue) {
    const { minutes, due, weight } = jobs[index] as Job;
    work += minutes;
    if (due === undefined) continue;
    const done = doneAt(where, work);
    // Beyond the last stretch nothing is known: as late as if it went on without a night.
    cost += weight * lateness(Number.isFinite(done) ? done : endOf(where) + work, due);
  }
  return cost;
}

function endOf({ stretches }: Bench): number {
  return stretches.at(-1)?.[1] ?? 0;
}

/** Of those not placed, the most urgent goes to the bench that is free first. */
function byUrgency(jobs: readonly Job[], benches: readonly Bench[]): Queues {
  const queues: number[][] = benches.map(() => []);
  const load = benches.map(() => 0);
  const left = new Set(jobs.keys());
  const mean = jobs.reduce((sum, { minutes }) => sum + minutes, 0) / jobs.length;
  while (left.size > 0) {
    let free = 0;
    let now = Number.POSITIVE_INFINITY;
    for (const [at, one] of benches.entries()) {
      const from = doneAt(one, load[at] as number);
      if (from < now) [free, now] = [at, from];
    }
    if (now === Number.POSITIVE_INFINITY) free = load.indexOf(Math.min(...load));
    let best = -1;
    let most = Number.NEGATIVE_INFINITY;
    for (const index of left) {
      const { minutes, due, weight } = jobs[index] as Job;
      const slack = due === undefined ? Number.MAX_VALUE : Math.max(0, due - minutes - now);
      const urgency = (weight / minutes) * Math.exp(-slack / (LOOKAHEAD * mean));
      // Equally urgent (nothing promised): the shorter first.
      const rank = urgency > 0 ? urgency : -minutes;
      if (rank > most) [best, most] = [index, rank];
    }
    left.delete(best);
    (queues[free] as number[]).push(best);
    load[free] = (load[free] as number) + (jobs[best] as Job).minutes;
  }
  return queues;
}

/** How many jobs ahead slack is weighed; between 1 and 4 in the literature. */
const LOOKAHEAD = 2;
/** Exchanges that are tried at most, however many jobs there are. */
const MOST_TRIES = 4_000;

/** Moves late jobs forward and exchanges them with what is before them, as long as that helps. */
function bettered(jobs: readonly Job[], benches: readonly Bench[], start: Queues): Queues {
  const queues = start.map((queue) => [...queue]);
  const costAt = (at: number): number => queueCost(jobs, benches[at], queues[at] as number[]);
  const cost = queues.map((_, at) => costAt(at));
  let tries = 0;

  /** Whether the two queues (or the one) cost less than before; then that is kept. */
  const pays = (at: number, to: number): boolean => {
    tries += 1;
    const here = costAt(at);
    const there = at === to ? 0 : costAt(to);
    const before = (cost[at] as number) + (at === to ? 0 : (cost[to] as number));
    if (before - here - there <= LEAST_GAIN) return false;
    cost[at] = here;
    if (at !== to) cost[to] = there;
    return true;
  };

  const betters = (at: number, index: number, to: number, position: number): boolean => {
    const [source, target] = [queues[at] as number[], queues[to] as number[]];
    const job = source[index] as number;
    source.splice(index, 1);
    target.splice(position, 0, job);
    if (pays(at, to)) return true;
    target.splice(position, 1);
    source.splice(index, 0, job);
    const other = target[position];
    if (other === undefined) return false;
    source[index] = other;
    target[position] = job;
    if (pays(at, to)) return true;
    source[index] = job;
    target[position] = other;
    return false;
  };

  const bettersAny = (): boolean =>
    lateOnes(jobs, benches, queues).some(({ at, index }) =>
      queues.some((target, to) => {
        const until = at === to ? index - 1 : target.length;
        for (let position = 0; position <= until && tries < MOST_TRIES; position += 1) {
          if (betters(at, index, to, position)) return true;
        }
        return false;
      }),
    );
  while (tries < MOST_TRIES && bettersAny());
  return queues;
}

/** Less is the rounding of sums. */
const LEAST_GAIN = 1e-6;

function lateOnes(
  jobs: readonly Job[],
  benches: readonly Bench[],
  queues: Queues,
): readonly { readonly at: number; readonly index: number }[] {
  return queues.flatMap((queue, at) => {
    let work = 0;
    return queue.flatMap((position, index) => {
      const { minutes, due } = jobs[position] as Job;
      work += minutes;
      return lateness(doneAt(benches[at] as Bench, work), due) > 0 ? [{ at, index }] : [];
    });
  });
}

function named(queues: Queues, jobs: readonly Job[], benches: readonly Bench[]): Order['queues'] {
  return queues.map((queue, at) => ({
    person: (benches[at] as Bench).person,
    jobs: queue.map((index) => jobs[index] as Job),
  }));
}

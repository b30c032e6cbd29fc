import { CoreError } from '../errors/coreError.ts';
import {
  type Bench,
  doneAt,
  type Job,
  lateness,
  startOf,
  surelyDoneAt,
  workAfterEach,
} from './benches.ts';
import { leastWeightedLateness } from './bound.ts';
import { bestSchedule, MOST_EXACT, type Queues } from './exact.ts';
import { type Pins, pinsOf } from './pinned.ts';

export interface Order {
  /** Per bench, the jobs in the order in which they are best done there. */
  readonly queues: readonly { readonly person: string; readonly jobs: readonly Job[] }[];
  /**
   * Sum of weight x minutes late, each job taken as done when that is as sure as a promise must be: an order
   * that is late only with bad luck is worse than one that is not late even then.
   */
  readonly cost: number;
  /**
   * No order costs less than this; equal to the cost where all were gone through. Reckoned when it
   * is asked for: it takes as long as the order.
   */
  readonly bound: () => number;
}

/**
 * Orders jobs by weighted due dates over the benches. Up to eight jobs that can all be begun, at any bench,
 * it is the best there is; else a rule builds the order (apparent urgency: Vepsalainen and Morton 1987),
 * exchanges better it, and the bound says how far off it may be.
 * @throws CoreFault `no-bench` without any.
 */
export function orderByDue(jobs: readonly Job[], benches: readonly Bench[]): Order {
  if (benches.length === 0) throw new CoreError('no-bench');
  const exact =
    jobs.length <= MOST_EXACT && jobs.every(({ from }) => from === undefined)
      ? bestSchedule(jobs, benches)
      : undefined;
  if (exact && jobs.every(({ only }) => only === undefined)) {
    const { queues, cost } = exact;
    return { queues: named(queues, jobs, benches), cost, bound: () => cost };
  }
  const shop: Shop = { jobs, benches, pins: pinsOf(jobs, benches) };
  const free = bettered(shop, pinnedInto(shop, exact?.queues ?? byUrgency(jobs, benches)));
  const queues = free.map((queue, at) => shop.pins.laid(at, queue));
  const cost = free.reduce((sum, queue, at) => sum + queueCost(shop, at, queue), 0);
  return {
    queues: named(queues, jobs, benches),
    cost,
    bound: () => (cost === 0 ? 0 : leastWeightedLateness(jobs, benches)),
  };
}

interface Shop {
  readonly jobs: readonly Job[];
  readonly benches: readonly Bench[];
  readonly pins: Pins;
}

/** Weighted lateness of one bench's queue; indexes of the jobs that are ordered freely there. */
function queueCost({ jobs, benches, pins }: Shop, at: number, queue: readonly number[]): number {
  const where = benches[at] as Bench;
  let cost = 0;
  let work = 0;
  let variance = 0;
  for (const index of pins.laid(at, queue)) {
    const { minutes, spread, due, weight, from } = jobs[index] as Job;
    work = startOf(work, from, where) + minutes;
    variance += spread ** 2;
    if (due === undefined) continue;
    const done = surelyDoneAt(where, work, variance);
    // Beyond the last stretch nothing is known: as late as if it went on without a night.
    cost += weight * lateness(Number.isFinite(done) ? done : endOf(where) + work, due);
  }
  return cost;
}

function endOf({ stretches }: Bench): number {
  return stretches.at(-1)?.[1] ?? 0;
}

/** Of those not placed that can be begun, the most urgent goes to the bench that is free first. */
function byUrgency(jobs: readonly Job[], benches: readonly Bench[]): Queues {
  const queues: number[][] = benches.map(() => []);
  const load = benches.map(() => 0);
  const left = new Set(jobs.keys());
  const mean = jobs.reduce((sum, { minutes }) => sum + minutes, 0) / jobs.length;
  while (left.size > 0) {
    let free = 0;
    let now = Number.POSITIVE_INFINITY;
    for (const [at, where] of benches.entries()) {
      const from = doneAt(where, load[at] as number);
      if (from < now) [free, now] = [at, from];
    }
    if (now === Number.POSITIVE_INFINITY) free = load.indexOf(Math.min(...load));
    let best = -1;
    let most: readonly [wait: number, rank: number] = [Number.POSITIVE_INFINITY, 0];
    for (const index of left) {
      const { minutes, due, weight, from = 0 } = jobs[index] as Job;
      const wait = Math.max(0, from - Math.max(now, 0));
      const slack = due === undefined ? Number.MAX_VALUE : Math.max(0, due - minutes - now);
      const urgency = (weight / minutes) * Math.exp(-slack / (LOOKAHEAD * mean));
      // Equally urgent (nothing promised): the shorter first.
      const rank = urgency > 0 ? urgency : -minutes;
      if (wait < most[0] || (wait === most[0] && rank > most[1])) {
        [best, most] = [index, [wait, rank]];
      }
    }
    left.delete(best);
    (queues[free] as number[]).push(best);
    const { minutes, from } = jobs[best] as Job;
    load[free] = startOf(load[free] as number, from, benches[free] as Bench) + minutes;
  }
  return queues;
}

/**
 * An order in which nothing is pinned, with what is pinned taken to its bench: all others stay where they were,
 * so that one pin does not stir the whole shop.
 * @returns what is ordered freely at each bench
 */
function pinnedInto({ benches, pins }: Shop, queues: Queues): Queues {
  const isFree = new Set(pins.free);
  const rank = new Map(queues.flatMap((queue) => queue.map((job, place) => [job, place] as const)));
  return benches.map((_, at) =>
    queues
      .flatMap((queue, from) =>
        queue.filter((job) => isFree.has(job) && (pins.homeOf(job) ?? from) === at),
      )
      .toSorted((one, other) => (rank.get(one) ?? 0) - (rank.get(other) ?? 0)),
  );
}

/** How many jobs ahead slack is weighed; between 1 and 4 in the literature. */
const LOOKAHEAD = 2;
/** Exchanges that are tried at most, however many jobs there are. */
const MOST_TRIES = 4_000;

/** Moves late jobs forward and exchanges them with what is before them, as long as that helps. */
function bettered(shop: Shop, start: Queues): Queues {
  const { pins } = shop;
  const queues = start.map((queue) => [...queue]);
  const costAt = (at: number): number => queueCost(shop, at, queues[at] as number[]);
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
    if ((pins.homeOf(job) ?? to) !== to) return false;
    source.splice(index, 1);
    target.splice(position, 0, job);
    if (pays(at, to)) return true;
    target.splice(position, 1);
    source.splice(index, 0, job);
    const other = target[position];
    if (other === undefined || (pins.homeOf(other) ?? at) !== at) return false;
    source[index] = other;
    target[position] = job;
    if (pays(at, to)) return true;
    source[index] = job;
    target[position] = other;
    return false;
  };

  const bettersAny = (): boolean =>
    lateOnes(shop, queues).some(({ at, index }) =>
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
  { jobs, benches, pins }: Shop,
  queues: Queues,
): readonly { readonly at: number; readonly index: number }[] {
  return queues.flatMap((queue, at) => {
    const where = benches[at] as Bench;
    const whole = pins.laid(at, queue);
    const inOrder = whole.map((index) => jobs[index] as Job);
    const work = workAfterEach(inOrder, where);
    let variance = 0;
    const late = new Set(
      whole.filter((_, place) => {
        const { spread, due } = inOrder[place] as Job;
        variance += spread ** 2;
        return lateness(surelyDoneAt(where, work[place] as number, variance), due) > 0;
      }),
    );
    return queue.flatMap((job, index) => (late.has(job) ? [{ at, index }] : []));
  });
}

function named(queues: Queues, jobs: readonly Job[], benches: readonly Bench[]): Order['queues'] {
  return queues.map((queue, at) => ({
    person: (benches[at] as Bench).person,
    jobs: queue.map((index) => jobs[index] as Job),
  }));
}

import { CoreError } from '../errors/coreError.ts';

/**
 * A stretch of time in which one person works, on one axis of minutes for everybody (which
 * instant is 0 is the caller's).
 */
export type Stretch = readonly [from: number, until: number];

/** One person's bench: the stretches in which work is done there, in order, none overlapping. */
export interface Bench {
  readonly person: string;
  readonly stretches: readonly Stretch[];
  /** Minutes of work that are there before each stretch begins; one more for after the last. */
  readonly before: readonly number[];
}

/** Work to be done by one person in one go, though it may lie over the night. */
export interface Job {
  readonly id: string;
  /** Expected minutes of work. */
  readonly minutes: number;
  /** Standard deviation of them. */
  readonly spread: number;
  /** When it should be done, on the axis of the benches; undefined when nothing was promised. */
  readonly due: number | undefined;
  /** What a minute of lateness counts. */
  readonly weight: number;
  /** The instant before which it cannot be begun; left out where it can be at once. */
  readonly from?: number | undefined;
  /** The only person who does it; left out where anybody may. */
  readonly only?: string | undefined;
  /**
   * Its place at that bench, kept whatever the order: right behind this job, or before all others (null).
   * It needs an `only`.
   */
  readonly after?: string | null | undefined;
}

/**
 * @throws CoreFault `stretches-not-in-order`
 */
export function bench(person: string, stretches: readonly Stretch[]): Bench {
  let last = Number.NEGATIVE_INFINITY;
  const before = [0];
  let work = 0;
  for (const [from, until] of stretches) {
    if (!(from >= last && until > from)) throw new CoreError('stretches-not-in-order', { person });
    last = until;
    work += until - from;
    before.push(work);
  }
  return { person, stretches, before };
}

/** When so many minutes of work are done there; never, when the stretches do not hold them. */
export function doneAt({ stretches, before }: Bench, work: number): number {
  const index = firstThat(stretches.length, (at) => (before[at + 1] as number) >= work);
  const stretch = stretches[index];
  return stretch ? stretch[0] + work - (before[index] as number) : Number.POSITIVE_INFINITY;
}

/** When work begins there that comes after so many minutes of it; never, when the stretches do not hold more. */
export function begunAt({ stretches, before }: Bench, work: number): number {
  const index = firstThat(stretches.length, (at) => (before[at + 1] as number) > work);
  const stretch = stretches[index];
  return stretch ? stretch[0] + work - (before[index] as number) : Number.POSITIVE_INFINITY;
}

/** Minutes of work that are there until an instant. */
export function workUntil({ stretches, before }: Bench, instant: number): number {
  const index = firstThat(stretches.length, (at) => (stretches[at] as Stretch)[1] >= instant);
  const stretch = stretches[index];
  return (before[index] as number) + (stretch ? Math.max(0, instant - stretch[0]) : 0);
}

/**
 * Minutes of work of a bench after which each of its jobs is done, one after the other. Nothing is begun
 * before it can be: the bench stands idle until then.
 */
export function workAfterEach(jobs: readonly Job[], where: Bench): readonly number[] {
  let work = 0;
  return jobs.map(({ minutes, from }) => {
    work = startOf(work, from, where) + minutes;
    return work;
  });
}

/** Minutes of work of a bench after which a job begins, if so much is done before it. */
export function startOf(work: number, from: number | undefined, where: Bench): number {
  return from === undefined ? work : Math.max(work, workUntil(where, from));
}

/** The first index at which something holds that holds from there on; `count` when nowhere. */
function firstThat(count: number, holds: (at: number) => boolean): number {
  let [from, to] = [0, count];
  while (from < to) {
    const middle = (from + to) >>> 1;
    if (holds(middle)) to = middle;
    else from = middle + 1;
  }
  return from;
}

/**
 * As sure as a promise must be, and how many deviations of the work that takes (quantile of the normal
 * distribution). Ours, no source: nine times in ten.
 */
export const SURE_OF_PROMISE = 0.9;
const SURE_DEVIATIONS = 1.2815515655446004;

/** When work of which only mean and variance are known is done with the certainty of a promise. */
export function surelyDoneAt(where: Bench, mean: number, variance: number): number {
  return doneAt(where, mean + SURE_DEVIATIONS * Math.sqrt(variance));
}

/** Minutes past its due instant. A job that is not promised is never late. */
export function lateness(done: number, due: number | undefined): number {
  return due === undefined ? 0 : Math.max(0, done - due);
}

import { CoreFault } from '../fault.ts';

/**
 * A stretch of time in which one person works, on one axis of minutes for everybody (which
 * instant is 0 is the caller's).
 */
export type Stretch = readonly [from: number, until: number];

/** One person's bench: the stretches in which work is done there, in order, none overlapping. */
export interface Bench {
  readonly person: string;
  readonly stretches: readonly Stretch[];
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
}

/**
 * @throws CoreFault `stretches-not-in-order`
 */
export function bench(person: string, stretches: readonly Stretch[]): Bench {
  let last = Number.NEGATIVE_INFINITY;
  for (const [from, until] of stretches) {
    if (!(from >= last && until > from)) throw new CoreFault('stretches-not-in-order', { person });
    last = until;
  }
  return { person, stretches };
}

/** When so many minutes of work are done there; never, when the stretches do not hold them. */
export function doneAt({ stretches }: Bench, work: number): number {
  let left = work;
  for (const [from, until] of stretches) {
    if (left <= until - from) return from + left;
    left -= until - from;
  }
  return Number.POSITIVE_INFINITY;
}

/** Minutes of work that are there until an instant. */
export function workUntil({ stretches }: Bench, instant: number): number {
  return stretches.reduce(
    (sum, [from, until]) => sum + Math.max(0, Math.min(until, instant) - from),
    0,
  );
}

/** Minutes past its due instant. A job that is not promised is never late. */
export function lateness(done: number, due: number | undefined): number {
  return due === undefined ? 0 : Math.max(0, done - due);
}

import type { Bench, Job } from './benches.ts';

/** What may not be ordered freely: jobs of one bench only, and jobs with a place of their own there. */
export interface Pins {
  /** Indexes of the jobs that are ordered freely. */
  readonly free: readonly number[];
  /** The one bench at which a job is done, by its index; undefined where it may be at any. */
  homeOf(job: number): number | undefined;
  /** The whole queue of a bench: what is ordered freely there, and what has a place of its own. */
  laid(at: number, queue: readonly number[]): readonly number[];
}

/**
 * @param jobs of two that ask for the same place, the later of this list gets it. What a job stands behind
 * is done at the same bench; a job whose forerunner is not there comes first.
 */
export function pinsOf(jobs: readonly Job[], benches: readonly Bench[]): Pins {
  const indexOf = new Map(jobs.map(({ id }, index) => [id, index]));
  const benchOf = new Map(benches.map(({ person }, at) => [person, at]));
  const homes = jobs.map(({ only }) => (only === undefined ? undefined : benchOf.get(only)));
  const placed: number[][] = benches.map(() => []);
  for (const [index, { after }] of jobs.entries()) {
    const home = homes[index];
    if (home === undefined || after === undefined) continue;
    (placed[home] as number[]).push(index);
    const before = after === null ? undefined : indexOf.get(after);
    if (before !== undefined && homes[before] === undefined) homes[before] = home;
  }
  const hasPlace = new Set(placed.flat());
  // Mostly they only come first: then they are put in front, without looking for their places.
  const inFront = placed.map((mine) =>
    mine.every((index) => (jobs[index] as Job).after === null) ? mine.toReversed() : undefined,
  );
  return {
    free: [...jobs.keys()].filter((index) => !hasPlace.has(index)),
    homeOf: (job) => homes[job],
    laid(at, queue) {
      const mine = placed[at] as number[];
      if (mine.length === 0) return queue;
      const front = inFront[at];
      if (front) return [...front, ...queue];
      const here = new Set([...queue, ...mine]);
      const forerunner = (index: number): number | undefined => {
        const { after } = jobs[index] as Job;
        const before = typeof after === 'string' ? indexOf.get(after) : undefined;
        return before !== undefined && here.has(before) ? before : undefined;
      };
      const whole = [...queue];
      let waiting = mine.filter((index) => {
        if (forerunner(index) !== undefined) return true;
        whole.unshift(index);
        return false;
      });
      while (waiting.length > 0) {
        const left = waiting.filter((index) => {
          const place = whole.indexOf(forerunner(index) as number);
          if (place < 0) return true;
          whole.splice(place + 1, 0, index);
          return false;
        });
        // They stand behind each other in a ring: none of them has a place that could be kept.
        if (left.length === waiting.length) return [...left, ...whole];
        waiting = left;
      }
      return whole;
    },
  };
}

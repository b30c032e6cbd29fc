import { type Bench, doneAt, type Job, lateness, workUntil } from './benches.ts';

/**
 * A sum of weighted lateness that no plan can undercut. The k-th job to be done cannot be done
 * before all benches together had time for the k shortest; nor before any single bench has had
 * time for it. Which job is the k-th is left open: the cheapest assignment is taken.
 */
export function leastWeightedLateness(jobs: readonly Job[], benches: readonly Bench[]): number {
  const earliest = earliestInstants(jobs, benches);
  const alone = jobs.map(({ minutes }) => Math.min(...benches.map((one) => doneAt(one, minutes))));
  const costs = new Float64Array(jobs.length ** 2);
  for (const [job, { due, weight }] of jobs.entries()) {
    for (const [position, instant] of earliest.entries()) {
      costs[job * jobs.length + position] =
        weight * lateness(Math.max(instant, alone[job] as number), due);
    }
  }
  return cheapestAssignment(costs, jobs.length);
}

/** Per position, the instant at which all benches together have had time for that many jobs. */
function earliestInstants(jobs: readonly Job[], benches: readonly Bench[]): readonly number[] {
  const ends = [...new Set(benches.flatMap(({ stretches }) => stretches.flat()))].sort(
    (a, b) => a - b,
  );
  const until = ends.map((end) => benches.reduce((sum, one) => sum + workUntil(one, end), 0));
  let work = 0;
  let at = 0;
  return jobs
    .map(({ minutes }) => minutes)
    .sort((a, b) => a - b)
    .map((minutes) => {
      work += minutes;
      while (at < until.length && (until[at] as number) < work) at += 1;
      if (at >= until.length) return Number.MAX_VALUE;
      if (at === 0) return ends[0] as number;
      // Between two ends the benches at work stay the same: time goes evenly.
      const [from, to] = [ends[at - 1] as number, ends[at] as number];
      const [before, after] = [until[at - 1] as number, until[at] as number];
      return from + ((work - before) / (after - before)) * (to - from);
    });
}

/**
 * Least sum of one entry per row, each in a column of its own: shortest augmenting paths
 * (Kuhn 1955, Munkres 1957; in this form O(n^3)).
 * @param costs a square table of that size, row by row, finite.
 */
export function cheapestAssignment(costs: Float64Array, size: number): number {
  const byRow = new Float64Array(size + 1);
  const byColumn = new Float64Array(size + 1);
  const rowOf = new Int32Array(size + 1);
  const left = assignedAtSight(costs, size, byRow, byColumn, rowOf);
  for (const added of left) {
    rowOf[0] = added;
    let column = 0;
    const least = new Float64Array(size + 1).fill(Number.POSITIVE_INFINITY);
    const from = new Int32Array(size + 1);
    const seen = new Uint8Array(size + 1);
    do {
      seen[column] = 1;
      const here = rowOf[column] as number;
      const row = (here - 1) * size - 1;
      let step = Number.POSITIVE_INFINITY;
      let next = 0;
      for (let other = 1; other <= size; other += 1) {
        if (seen[other]) continue;
        const reduced =
          (costs[row + other] as number) - (byRow[here] as number) - (byColumn[other] as number);
        if (reduced < (least[other] as number)) {
          least[other] = reduced;
          from[other] = column;
        }
        if ((least[other] as number) < step) {
          step = least[other] as number;
          next = other;
        }
      }
      for (let other = 0; other <= size; other += 1) {
        if (seen[other]) {
          byRow[rowOf[other] as number] = (byRow[rowOf[other] as number] as number) + step;
          byColumn[other] = (byColumn[other] as number) - step;
        } else {
          least[other] = (least[other] as number) - step;
        }
      }
      column = next;
    } while (rowOf[column] !== 0);
    while (column !== 0) {
      const before = from[column] as number;
      rowOf[column] = rowOf[before] as number;
      column = before;
    }
  }
  let sum = 0;
  for (let column = 1; column <= size; column += 1) {
    sum += costs[((rowOf[column] as number) - 1) * size + column - 1] as number;
  }
  return sum;
}

/**
 * Prices to begin with (least of each column, then of each row), and what they assign at sight:
 * most rows need no path then. @returns the rows that still do, from 1
 */
function assignedAtSight(
  costs: Float64Array,
  size: number,
  byRow: Float64Array,
  byColumn: Float64Array,
  rowOf: Int32Array,
): readonly number[] {
  byColumn.fill(Number.POSITIVE_INFINITY, 1);
  for (let index = 0; index < costs.length; index += 1) {
    const column = 1 + (index % size);
    const cost = costs[index] as number;
    if (cost < (byColumn[column] as number)) byColumn[column] = cost;
  }
  const left: number[] = [];
  for (let row = 1; row <= size; row += 1) {
    let least = Number.POSITIVE_INFINITY;
    let at = 0;
    for (let column = 1; column <= size; column += 1) {
      const reduced =
        (costs[(row - 1) * size + column - 1] as number) - (byColumn[column] as number);
      // Of equal ones, one that is free.
      if (reduced < least || (reduced === least && rowOf[at] !== 0 && rowOf[column] === 0)) {
        least = reduced;
        at = column;
      }
    }
    byRow[row] = least;
    if (rowOf[at] === 0) rowOf[at] = row;
    else left.push(row);
  }
  return left;
}

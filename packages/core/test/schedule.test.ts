import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type Bench,
  begunAt,
  bench,
  bestSchedule,
  cheapestAssignment,
  doneAt,
  type Job,
  leastWeightedLateness,
  normalTail,
  orderByDue,
  outlookOf,
  promisesFor,
  seeded,
  workUntil,
} from '../src/index.ts';

const FOR_EVER: Bench['stretches'] = [[0, 1e6]];
const machines = (count: number): readonly Bench[] =>
  Array.from({ length: count }, (_, at) => bench(`bench ${at}`, FOR_EVER));

function job(id: string, minutes: number, due?: number, weight = 1, spread = 0): Job {
  return { id, minutes, due, weight, spread };
}

/** Eight jobs, as in the independent check values: brute force over all orders and machines. */
const P = [7, 3, 9, 4, 6, 2, 5, 8];
const W = [3, 1, 6, 2, 5, 2, 1, 4];
const D = [9, 5, 16, 8, 11, 4, 14, 13];
const EIGHT = P.map((minutes, at) => job(String(at), minutes, D[at], W[at]));

describe('the exact order', () => {
  it('on one, two and three benches costs what brute force over all orders finds', () => {
    const costs = [1, 2, 3].map((count) => bestSchedule(EIGHT, machines(count)).cost);
    expect(costs).toEqual([241, 57, 1]);
  });

  it('puts every job in one queue, and costs what the queues cost', () => {
    const { queues, cost } = bestSchedule(EIGHT, machines(3));
    expect(queues.flat().sort()).toEqual([0, 1, 2, 3, 4, 5, 6, 7]);
    const told = queues.map((queue) => {
      let at = 0;
      return queue.reduce((sum, index) => {
        const { minutes = 0, weight = 0, due = 0 } = EIGHT[index] ?? {};
        at += minutes;
        return sum + weight * Math.max(0, at - due);
      }, 0);
    });
    expect(told.reduce((a, b) => a + b)).toBe(cost);
  });

  it('knows nights and days off', () => {
    const days = bench('one', [
      [0, 60],
      [1440, 1500],
    ]);
    expect(doneAt(days, 60)).toBe(60);
    expect(doneAt(days, 61)).toBe(1441);
    // What comes after a full day begins on the next one.
    expect([begunAt(days, 0), begunAt(days, 59), begunAt(days, 60)]).toEqual([0, 59, 1440]);
    expect(begunAt(days, 120)).toBe(Number.POSITIVE_INFINITY);
    expect(doneAt(days, 121)).toBe(Number.POSITIVE_INFINITY);
    expect(workUntil(days, 1450)).toBe(70);
    const jobs = [job('long', 50, 1450), job('short', 20, 60)];
    expect(bestSchedule(jobs, [days]).queues).toEqual([[1, 0]]);
  });

  it('refuses what it cannot go through', () => {
    const nine = [...EIGHT, job('ninth', 1)];
    expect(() => bestSchedule(nine, machines(1))).toThrow('too-many-jobs');
    expect(() => orderByDue(EIGHT, [])).toThrow('no-bench');
    expect(() => bench('x', [[5, 5]])).toThrow('stretches-not-in-order');
  });
});

describe('the bound', () => {
  it('is never above the exact cost', () => {
    const anyJob = fc.record({
      minutes: fc.integer({ min: 1, max: 90 }),
      due: fc.option(fc.integer({ min: 0, max: 400 }), { nil: undefined }),
      weight: fc.integer({ min: 1, max: 5 }),
    });
    fc.assert(
      fc.property(
        fc.array(anyJob, { minLength: 1, maxLength: 6 }),
        fc.integer({ min: 1, max: 3 }),
        fc.integer({ min: 20, max: 300 }),
        (given, count, night) => {
          const jobs = given.map((one, at) => ({ ...one, id: String(at), spread: 0 }));
          const benches = Array.from({ length: count }, (_, at) =>
            bench(String(at), [
              [at * 7, 100],
              [100 + night, 1e5],
            ]),
          );
          const { cost } = bestSchedule(jobs, benches);
          expect(leastWeightedLateness(jobs, benches)).toBeLessThanOrEqual(cost + 1e-6);
        },
      ),
      { seed: 5, numRuns: 150 },
    );
  });

  it('rests on the cheapest assignment', () => {
    const next = seeded(3);
    for (let round = 0; round < 20; round += 1) {
      const costs = Array.from({ length: 5 }, () => Array.from({ length: 5 }, next));
      const all = (left: number[], row: number): number =>
        left.length === 0
          ? 0
          : Math.min(
              ...left.map(
                (column) =>
                  (costs[row]?.[column] ?? Number.NaN) +
                  all(
                    left.filter((c) => c !== column),
                    row + 1,
                  ),
              ),
            );
      expect(cheapestAssignment(Float64Array.from(costs.flat()), 5)).toBeCloseTo(
        all([0, 1, 2, 3, 4], 0),
        12,
      );
    }
  });
});

describe('the order of many', () => {
  const many = (count: number, seed: number): readonly Job[] => {
    const next = seeded(seed);
    return Array.from({ length: count }, (_, at) =>
      job(
        String(at),
        10 + Math.floor(next() * 80),
        Math.floor(next() * 2500),
        1 + Math.floor(next() * 3),
      ),
    );
  };

  it('comes near the exact one where that is known, and says a true bound', () => {
    // The rule and the exchanges alone, on eight jobs: the ninth takes no time and is never late.
    const sums = { found: 0, exact: 0 };
    for (let seed = 0; seed < 40; seed += 1) {
      const jobs = many(8, seed).map((one) => ({ ...one, due: (one.due ?? 0) / 12 }));
      const exact = bestSchedule(jobs, machines(2)).cost;
      const { cost, bound } = orderByDue([...jobs, job('nothing', 1e-9)], machines(2));
      expect(cost).toBeGreaterThanOrEqual(exact - 1e-6);
      expect(bound()).toBeLessThanOrEqual(exact + 1e-6);
      sums.found += cost;
      sums.exact += exact;
    }
    expect(sums.found / sums.exact).toBeLessThan(1.03);
  });

  it('loses and doubles no job', () => {
    const jobs = many(60, 4);
    const { queues, cost, bound } = orderByDue(jobs, machines(3));
    const ids = queues.flatMap(({ jobs: inQueue }) => inQueue.map(({ id }) => Number(id)));
    expect(ids.sort((a, b) => a - b)).toEqual([...Array(60).keys()]);
    expect(bound()).toBeLessThanOrEqual(cost);
  });
});

describe('a promise', () => {
  const day = (at: number): readonly [number, number] => [at * 1440 + 540, at * 1440 + 1020];
  const week = [0, 1, 2, 3, 4].map(day);
  const due = (at: number): number => day(at)[1];

  it('is held against the time there is, with its spread', () => {
    // 480 minutes of room, 400 expected, deviation 40: two deviations, Q(-2) = .97725 (any table).
    const jobs = [job('a', 400, due(0), 1, 40)];
    const [outlook] = outlookOf([{ person: 'o', jobs }], [bench('o', week)]);
    expect(outlook?.chance).toBeCloseTo(0.97725, 5);
    expect(outlook?.done).toBe(540 + 400);
  });

  it('is refused for a day on which nobody works', () => {
    const off = bench('o', [day(2), day(3)]);
    const offers = promisesFor(
      job('new', 60, undefined, 1, 10),
      [due(0), due(1), due(2)],
      orderByDue([], [off]),
      [off],
    );
    expect(offers.map(({ holds }) => holds)).toEqual([false, false, true]);
    expect(offers[0]?.chance).toBeLessThan(1e-6);
    // Forty standard deviations of room, and still no certainty.
    expect(offers[2]?.chance).toBeLessThan(1);
    expect(offers[2]?.chance).toBeGreaterThan(1 - 1e-9);
  });

  it('names what it would push late', () => {
    const benches = [bench('o', week)];
    const order = orderByDue([job('first', 420, due(0), 1, 10)], benches);
    const [today, tomorrow] = promisesFor(
      job('new', 200, undefined, 1, 10),
      [due(0), due(1)],
      order,
      benches,
    );
    expect(today?.holds).toBe(false);
    expect(tomorrow?.holds).toBe(true);
    expect(tomorrow?.pushedLate).toEqual([]);
    const forced = promisesFor(job('new', 200, undefined, 1, 10), [due(0)], order, benches)[0];
    expect((forced?.pushedLate.length ?? 0) > 0 || (forced?.chance ?? 1) < 0.9).toBe(true);
  });
});

describe('the tail of the normal distribution', () => {
  it.each([
    // Q(3), Q(6): independent check values; Q(0), Q(1): any table.
    [0, 0.5],
    [1, 0.15865525393145705],
    [3, 1.349898031630095e-3],
    [6, 9.865876450376946e-10],
  ])('Q(%f)', (x, tail) => {
    expect(normalTail(x) / tail).toBeCloseTo(1, 11);
    expect(normalTail(-x)).toBeCloseTo(1 - tail, 12);
  });

  it('goes on smoothly from the series to the fraction', () => {
    expect(normalTail(2.4999999) / normalTail(2.5000001)).toBeCloseTo(1, 5);
    expect(normalTail(2.5)).toBeCloseTo(0.006209665325776132, 14);
  });
});

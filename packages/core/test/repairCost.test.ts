import { describe, expect, it } from 'vitest';
import {
  asTheyAre,
  buildNetwork,
  expectedRepairMinutes,
  repairOrder,
  type States,
  seeded,
  statesOf,
} from '../src/index.ts';

/** Exactly one fault, each with its chance. */
function singleFault(chances: readonly number[]): States {
  return statesOf(
    chances.map((_, cause) => [cause]),
    chances,
  );
}

/** Independent faults, any number of them; none at all is left out. */
function independentFaults(chances: readonly number[]): States {
  const sets = Array.from({ length: (1 << chances.length) - 1 }, (_, index) => index + 1);
  const masses = sets.map((set) =>
    chances.reduce((product, p, cause) => product * (set & (1 << cause) ? p : 1 - p), 1),
  );
  const total = masses.reduce((sum, mass) => sum + mass, 0);
  return statesOf(
    sets.map((set) => [...chances.keys()].filter((cause) => set & (1 << cause))),
    masses.map((mass) => mass / total),
  );
}

function permutations(items: readonly number[]): number[][] {
  if (items.length === 0) return [[]];
  return items.flatMap((first) =>
    permutations(items.filter((item) => item !== first)).map((rest) => [first, ...rest]),
  );
}

const costOf = (states: States, costs: readonly number[], order: readonly number[]): number =>
  expectedRepairMinutes(states, states.chances, costs, order);

const noLinks = (causes: number) =>
  buildNetwork(
    Array.from({ length: causes }, (_, index) => ({ id: `c${index}`, prior: 0.5 })),
    [],
    [],
  );
const orderOf = (states: States, costs: readonly number[]): readonly number[] => [
  ...repairOrder(asTheyAre(noLinks(costs.length), states).present, 1, costs),
];

describe('repair by repair, one fault: Heckerman, Breese & Rommelse, CACM 38(3), 1995', () => {
  const states = singleFault([0.35, 0.25, 0.2, 0.12, 0.08]);
  const costs = [40, 10, 25, 60, 5];

  it('costs 55.75 by chance over cost', () => {
    expect(orderOf(states, costs)).toEqual([1, 4, 0, 2, 3]);
    expect(costOf(states, costs, [1, 4, 0, 2, 3])).toBeCloseTo(55.75, 10);
  });

  it('costs 68.9 by chance alone, and 113.35 at the worst', () => {
    expect(costOf(states, costs, [0, 1, 2, 3, 4])).toBeCloseTo(68.9, 10);
    const all = permutations([0, 1, 2, 3, 4]).map((order) => costOf(states, costs, order));
    expect(Math.max(...all)).toBeCloseTo(113.35, 10);
    expect(Math.min(...all)).toBeCloseTo(55.75, 10);
  });
});

describe('several independent faults, a sew-out after each repair (adjacent interchange)', () => {
  const states = independentFaults([0.28, 0.85, 0.41]);
  const costs = [4, 15, 6];

  it('is ordered by p / ((1 - p) c): 19.8823, where p / c gives 23.4589', () => {
    expect(orderOf(states, costs)).toEqual([1, 2, 0]);
    expect(costOf(states, costs, [1, 2, 0])).toBeCloseTo(19.8823, 4);
    const byChanceOverCost = [0, 2, 1];
    expect(costOf(states, costs, byChanceOverCost)).toBeCloseTo(23.4589, 4);
  });

  it('has no better order in 100 seeded cases of five faults, all orders tried', () => {
    const draw = seeded(5);
    for (let round = 0; round < 100; round += 1) {
      const chances = Array.from({ length: 5 }, () => 0.02 + 0.9 * draw());
      const length = Array.from({ length: 5 }, () => 0.5 + 20 * draw());
      // With "none at all" kept, the faults are independent and the index is exact.
      const withNone = independentFaults(chances);
      const best = Math.min(
        ...permutations([0, 1, 2, 3, 4]).map((order) => costOf(withNone, length, order)),
      );
      const index = [0, 1, 2, 3, 4].sort((a, b) => indexOf(b) - indexOf(a));
      function indexOf(cause: number): number {
        const p = chances[cause] ?? 0;
        return p / ((1 - p) * (length[cause] ?? 1));
      }
      expect(costOf(withNone, length, index)).toBeCloseTo(best, 9);
    }
  });
});

describe('what is never wrong', () => {
  it('is not in the order, and what is surely wrong comes first', () => {
    const states = statesOf([[2], [0, 2]], [0.5, 0.5]);
    expect(orderOf(states, [1, 1, 99])).toEqual([2, 0]);
  });
});

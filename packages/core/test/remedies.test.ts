import { describe, expect, it } from 'vitest';
import {
  asTheyAre,
  RemedyOrder,
  type Stakes,
  type States,
  statesOf,
  TREATMENT_SUCCESS,
} from '../src/index.ts';

/** Exactly one fault, each with its chance. */
function singleFault(chances: readonly number[]): States {
  return statesOf(chances.map((chance, cause) => ({ chance, present: [cause] })));
}

/** Independent faults, any number of them; none at all is left out. */
function independentFaults(chances: readonly number[]): States {
  const sets = Array.from({ length: (1 << chances.length) - 1 }, (_, index) => index + 1);
  const masses = sets.map((set) =>
    chances.reduce((product, p, cause) => product * (set & (1 << cause) ? p : 1 - p), 1),
  );
  const total = masses.reduce((sum, mass) => sum + mass, 0);
  return statesOf(
    sets.map((set, index) => ({
      chance: (masses[index] ?? 0) / total,
      present: [...chances.keys()].filter((cause) => set & (1 << cause)),
    })),
  );
}

/** States by the causes in them. */
function given(...sources: readonly [chance: number, ...present: number[]][]): States {
  return statesOf(sources.map(([chance, ...present]) => ({ chance, present })));
}

/** One remedy for each fault, proven by itself. */
function oneEach(costs: readonly number[], proofMinutes = 0): Stakes {
  return {
    remedies: costs.map((cost, index) => ({ id: `r${index}`, treats: [index], minutes: cost })),
    proofMinutes,
    comebackMinutes: 60,
    sharesProofs: false,
  };
}

const minutesIn = (states: States, stakes: Stakes): number => {
  const { masses, chance } = asTheyAre(states);
  return new RemedyOrder(states, stakes).expectedMinutes(masses, chance)[0];
};
const orderIn = (states: States, stakes: Stakes): readonly string[] =>
  new RemedyOrder(states, stakes).order().map(({ remedy }) => remedy.id);

describe('repair by repair', () => {
  it('costs 55.75 with one fault: Heckerman, Breese & Rommelse, CACM 38(3), 1995', () => {
    const states = singleFault([0.35, 0.25, 0.2, 0.12, 0.08]);
    // There, nothing is left unrepaired, however dear.
    const stakes = { ...oneEach([40, 10, 25, 60, 5]), comebackMinutes: 1e6 };
    expect(orderIn(states, stakes)).toEqual(['r1', 'r4', 'r0', 'r2', 'r3']);
    expect(minutesIn(states, stakes)).toBeCloseTo(55.75, 10);
  });

  it('costs 19.8823 with three independent faults, as brute force over all orders has it', () => {
    const states = independentFaults([0.28, 0.85, 0.41]);
    const stakes = oneEach([4, 15, 6]);
    expect(orderIn(states, stakes)).toEqual(['r1', 'r2', 'r0']);
    expect(minutesIn(states, stakes)).toBeCloseTo(19.8823, 4);
  });

  it('tells how likely each is needed, and silences', () => {
    const [first, second] = new RemedyOrder(
      given([0.5, 0], [0.3, 1], [0.2]),
      oneEach([1, 1]),
    ).order();
    expect(first).toMatchObject({ needed: 0.8, silences: 0.5 });
    expect(second?.needed).toBeCloseTo(0.3, 12);
    expect(second?.silences).toBeCloseTo(0.3, 12);
  });
});

describe('a remedy that waits for a look', () => {
  const states = singleFault([0.2, 0.8]);
  const stakes: Stakes = {
    remedies: [
      { id: 'set', treats: [0], minutes: 20, lookMinutes: 4 },
      { id: 'change', treats: [1], minutes: 30 },
    ],
    proofMinutes: 2,
    comebackMinutes: 60,
    sharesProofs: false,
  };

  it('is mended and proven only where the look finds something', () => {
    // Per minute .2 / (4 + .2 x 22) = .0238 against .8 / 32 = .025: changed first, then looked at in the rest.
    expect(orderIn(states, stakes)).toEqual(['change', 'set']);
    expect(minutesIn(states, stakes)).toBeCloseTo(32 + 0.2 * 4 + 0.2 * 22, 12);
  });

  it('comes first where looking is short', () => {
    const [set, change] = stakes.remedies;
    const short: Stakes = {
      ...stakes,
      remedies: [{ ...set, lookMinutes: 1 }, change] as Stakes['remedies'],
    };
    expect(orderIn(states, short)).toEqual(['set', 'change']);
    expect(minutesIn(states, short)).toBeCloseTo(1 + 0.2 * 22 + 0.8 * 32, 12);
  });

  it('comes before what is last, however little it promises', () => {
    const last: Stakes = {
      ...stakes,
      remedies: stakes.remedies.map((remedy) =>
        remedy.id === 'change' ? { ...remedy, isLast: true } : remedy,
      ),
    };
    expect(orderIn(states, last)).toEqual(['set', 'change']);
  });
});

describe('what costs more to put right than its comebacks', () => {
  it('is left', () => {
    // 1 and its hundredth of 60, not of 70.
    expect(minutesIn(singleFault([0.99, 0.01]), oneEach([1, 70]))).toBeCloseTo(1 + 0.6, 12);
    expect(minutesIn(singleFault([0.99, 0.01]), oneEach([1, 50]))).toBeCloseTo(1 + 0.5, 12);
  });

  it('is put right all the same where it is the last resort', () => {
    const stakes = oneEach([1, 70]);
    const remedies = stakes.remedies.map((remedy, at) => ({ ...remedy, isLast: at === 1 }));
    expect(minutesIn(singleFault([0.99, 0.01]), { ...stakes, remedies })).toBeCloseTo(1.7, 12);
  });
});

describe('what stands open now', () => {
  const [first, second] = oneEach([1, 2], 3).remedies;
  const opened: Stakes = {
    ...oneEach([1, 2], 3),
    remedies: [first, { ...second, reopening: 5 }] as Stakes['remedies'],
  };

  it('is opened again after a proof', () => {
    expect(minutesIn(singleFault([0.5, 0.5]), opened)).toBeCloseTo(1 + 3 + 0.5 * (2 + 5 + 3), 12);
  });

  it('is not, for what shares the proof', () => {
    const shared = { ...opened, sharesProofs: true };
    expect(minutesIn(singleFault([0.5, 0.5]), shared)).toBeCloseTo(1 + 3 + 2, 12);
  });
});

describe('one remedy for many causes', () => {
  const states = singleFault([0.25, 0.25, 0.3, 0.2]);

  it('comes before one for the single likeliest', () => {
    const stakes: Stakes = {
      ...oneEach([2, 2, 2, 2]),
      remedies: [
        { id: 'bar', treats: [2], minutes: 2 },
        { id: 'new needle', treats: [0, 1], minutes: 2 },
        { id: 'hook', treats: [3], minutes: 2 },
      ],
    };
    expect(orderIn(states, stakes)).toEqual(['new needle', 'bar', 'hook']);
  });

  it('counts a third where it takes only part of what is to blame', () => {
    const both = given([0.6, 0, 1], [0.4, 2]);
    // Part of .6 counts .2, all of .4 counts .4.
    expect(orderIn(both, oneEach([1, 1, 1]))[0]).toBe('r2');
    // And part of .6 at a quarter of the minutes counts .8 a minute.
    expect(orderIn(both, oneEach([0.25, 1, 1]))[0]).toBe('r0');
  });
});

describe('proofs', () => {
  const states = given([0.4, 0], [0.35, 1], [0.25, 2]);

  it('are shared by remedies that together save more than their own proof costs', () => {
    const apart = oneEach([1, 1, 1], 6);
    const shared = { ...apart, sharesProofs: true };
    // Apart: 7, then 7 for the .6 that go on, then 7 for .25. Shared: 3 and one proof of 6.
    expect(minutesIn(states, apart)).toBeCloseTo(7 + 0.6 * 7 + 0.25 * 7, 12);
    expect(minutesIn(states, shared)).toBeCloseTo(1 + 6 + 1 + 1, 12);
  });

  it('are not shared where the next remedy is dear', () => {
    const stakes = { ...oneEach([1, 30, 30], 2), sharesProofs: true };
    expect(minutesIn(states, stakes)).toBeCloseTo(3 + 0.6 * 32 + 0.25 * 32, 12);
  });
});

describe('what is left to pay', () => {
  it('is the comeback where that is cheaper than repairing, else the repair and what may fail of it', () => {
    const stakes = oneEach([30]);
    const left = (chance: number) => {
      const states = given([chance, 0], [1 - chance]);
      const { masses } = asTheyAre(states);
      return new RemedyOrder(states, stakes).left(masses, 1);
    };
    expect(left(0.02).minutes[0]).toBeCloseTo(60 * 0.02, 12);
    expect(left(0.02).risk).toBeCloseTo(0.02, 12);
    // Nobody knows whether it is silent: the repair is made in any case.
    expect(left(0.8).minutes[0]).toBeCloseTo(30 + 60 * 0.8 * 0.05, 12);
    expect(left(1).minutes[0]).toBeCloseTo(30 + 60 * (1 - TREATMENT_SUCCESS), 12);
    const dear = new RemedyOrder(given([1, 0]), oneEach([100]));
    expect(dear.left(Float64Array.of(1), 1)).toEqual({
      minutes: [60, 60],
      risk: 1,
      isLeft: true,
    });
    expect(new RemedyOrder(given([1, 0]), stakes).left(Float64Array.of(1), 1).isLeft).toBe(false);
    // What is owed besides can make leaving it the cheaper.
    expect(new RemedyOrder(given([1, 0]), stakes).left(Float64Array.of(1), 1, 30).isLeft).toBe(
      true,
    );
  });

  it('is nothing where nothing is to blame', () => {
    const states = given([1]);
    expect(new RemedyOrder(states, oneEach([3])).left(states.chances, 1)).toEqual({
      minutes: [0, 0],
      risk: 0,
      isLeft: true,
    });
  });
});

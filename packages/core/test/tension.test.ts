import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  balanceAt,
  balanceOver,
  bendsOf,
  curveBalance,
  dialFor,
  dialPullsChange,
  dialPullsVerdict,
  discPress,
  EVEN_RATIO,
  gaugedKnot,
  knotOf,
  type PathStage,
  pullAlong,
  pullAt,
  seamPicture,
  type TensionTask,
  type TensionTry,
  tensionAdvice,
  tensionBelief,
  type UpperPull,
  USUAL_SCHOOL,
} from '../src/index.ts';

const TASK: TensionTask = {
  wanted: 0,
  school: USUAL_SCHOOL,
  rethreaded: true,
  bobbinSeen: true,
  mayTurnScrew: true,
  threadsDiffer: false,
};

/** Sewn on a machine of the adviser's own kind, read without any error. */
function sewn(dial: number, { even = 4, steep = 0.3, screw = 0 } = {}): TensionTry {
  const balance = -Math.tanh(steep * (dial - even) - 0.024 * screw);
  return { dial, screw, read: [balance, balance, balance] };
}

function same(dial: number, balance: number): TensionTry {
  return { dial, screw: 0, read: [balance, balance + 0.05, balance - 0.05] };
}

describe('what the tries say of the curve', () => {
  it('is unsure before anything was sewn, and adds up', () => {
    const { causes, curves } = tensionBelief([]);
    expect(causes.dial + causes['no-answer'] + causes.erratic).toBeCloseTo(1, 12);
    expect(causes.dial).toBeCloseTo(0.8, 12);
    expect(curves.weight.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 12);
  });

  it('finds where the dial balances, from tries without error', () => {
    fc.assert(
      fc.property(fc.double({ min: 2, max: 7, noNaN: true }), (even) => {
        const tries = [1, 3, 5, 7].map((dial) => sewn(dial, { even, steep: 0.35 }));
        const { causes, curves } = tensionBelief(tries);
        expect(causes.dial).toBeGreaterThan(0.95);
        const mean = curves.weight.reduce(
          (sum, weight, place) => sum + weight * (curves.even[place] ?? 0),
          0,
        );
        expect(Math.abs(mean - even)).toBeLessThan(0.25);
      }),
    );
  });

  it('has no curve on which a higher number lies lower in the fabric', () => {
    const { curves } = tensionBelief([sewn(3)]);
    for (let place = 0; place < curves.even.length; place += 1)
      for (const [less, more] of [
        [0, 4],
        [4, 9],
      ] as const)
        expect(curveBalance(curves, place, { dial: more, screw: 0 })).toBeLessThan(
          curveBalance(curves, place, { dial: less, screw: 0 }),
        );
  });

  it('tells where it would balance, and where the knot would lie at each number, with eight in ten', () => {
    const belief = tensionBelief([
      sewn(2, { even: 5 }),
      sewn(5, { even: 5 }),
      sewn(6, { even: 5 }),
    ]);
    const { low, middle, high } = dialFor(belief, 0, 0);
    expect(low).toBeLessThanOrEqual(5);
    expect(high).toBeGreaterThanOrEqual(5);
    expect(Math.abs(middle - 5)).toBeLessThanOrEqual(0.25);
    // Looser by the screw, the dial has to go down for the same knot.
    expect(dialFor(belief, 0, -10).middle).toBeLessThan(middle);
    expect(dialFor(belief, 0.3, 0).middle).toBeLessThan(middle);
    const over = balanceOver(belief, [0, 3, 5, 9], 0);
    over.forEach((spread) => {
      expect(spread.low).toBeLessThanOrEqual(spread.middle);
      expect(spread.middle).toBeLessThanOrEqual(spread.high);
    });
    expect(over.map((spread) => spread.middle)).toEqual(
      over.map((spread) => spread.middle).toSorted((one, other) => other - one),
    );
  });

  it('tells a knot that stays and one that wanders from one that follows', () => {
    expect(tensionBelief([same(3, 0.8), same(6, 0.82)]).causes['no-answer']).toBeGreaterThan(0.5);
    const wanders = { dial: 4, screw: 0, read: [-0.5, 0.3, 0.6] };
    expect(tensionBelief([wanders]).causes.erratic).toBeGreaterThan(0.9);
  });

  it('refuses what cannot be set or read', () => {
    for (const wrong of [{ dial: 10 }, { dial: -1 }, { read: [] }, { read: [1.2] }, { error: 0 }])
      expect(() => tensionBelief([{ ...sewn(4), ...wrong }])).toThrow('not-a-try');
  });
});

describe('what to do next', () => {
  const advice = (tries: readonly TensionTry[], task: Partial<TensionTask> = {}) =>
    tensionAdvice(tries, { ...TASK, ...task }).advice;

  it('sews first, threads anew, looks at the bobbin, and only then turns', () => {
    expect(advice([]).kind).toBe('sew');
    expect(advice([sewn(1)], { rethreaded: false, bobbinSeen: false }).kind).toBe('rethread');
    expect(advice([sewn(1)], { bobbinSeen: false }).kind).toBe('look-at-bobbin');
    expect(advice([sewn(1)]).kind).toBe('dial');
    const dialFirst = { ...USUAL_SCHOOL, first: 'dial' } as const;
    expect(advice([sewn(1)], { bobbinSeen: false, school: dialFirst }).kind).toBe('dial');
  });

  it('ends by itself where it balances, and never turns what is well', () => {
    expect(advice([sewn(3.5), sewn(4), sewn(4)]).kind).toBe('balanced');
    expect(advice([sewn(4), sewn(4), sewn(4)], { rethreaded: false }).kind).toBe('balanced');
  });

  it('turns by whole numbers until the side changes, then finer; up where it lies below', () => {
    const first = advice([sewn(1.5)]);
    expect(first).toMatchObject({ kind: 'dial' });
    if (first.kind !== 'dial') return;
    expect(first.setting.dial).toBeGreaterThan(1.5);
    expect(Number.isInteger(first.setting.dial)).toBe(true);
    const second = advice([sewn(2, { even: 3.6 }), sewn(5, { even: 3.6 })]);
    if (second.kind !== 'dial') throw new Error(second.kind);
    expect(second.setting.dial).toBeGreaterThan(3);
    expect(second.setting.dial).toBeLessThan(4.3);
  });

  it('stops where the knot does not answer, or wanders', () => {
    expect(advice([same(3, 0.85), same(6, 0.87), same(9, 0.85)])).toEqual({
      kind: 'stop',
      cause: 'no-answer',
    });
    expect(advice([{ dial: 4, screw: 0, read: [-0.6, 0.4, 0.7] }])).toEqual({
      kind: 'stop',
      cause: 'erratic',
    });
  });

  it('works to a knot that is wanted off the middle', () => {
    const tries = [sewn(4), sewn(3)];
    const next = advice(tries, { wanted: 0.3 });
    expect(next.kind === 'dial' ? next.setting.dial : 3).toBeLessThan(4);
    const there = Array.from({ length: 5 }, () => sewn(3));
    expect(advice(there, { wanted: Math.tanh(0.3) }).kind).toBe('balanced');
  });

  it('sets an end of the dial only where nothing else is half as likely, unless any number is right', () => {
    const dialOf = (task: Partial<TensionTask>) => {
      const next = advice([sewn(5, { even: 1 })], task);
      return next.kind === 'dial' ? next.setting.dial : undefined;
    };
    expect(dialOf({ school: { ...USUAL_SCHOOL, ends: 'like-any' } })).toBe(2);
    expect(dialOf({ threadsDiffer: true })).toBe(2);
    expect(dialOf({})).toBe(3);
  });

  it('never sets an end of the dial where the shop forbids it', () => {
    const never = { ...USUAL_SCHOOL, ends: 'never' } as const;
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 9, noNaN: true }),
        fc.double({ min: 0.15, max: 0.6, noNaN: true }),
        (even, steep) => {
          const tries = [sewn(5, { even, steep })];
          for (let count = 0; count < 4; count += 1) {
            const next = advice(tries, { school: never });
            if (next.kind !== 'dial' && next.kind !== 'screw') return;
            expect(next.setting.dial).toBeGreaterThan(2);
            expect(next.setting.dial).toBeLessThan(7);
            tries.push(sewn(next.setting.dial, { even, steep, screw: next.setting.screw }));
          }
        },
      ),
    );
  });

  it('blames the bobbin thread only once the dial was tried to its end; leaves a screw that is not its own', () => {
    const far = { even: 9, steep: 0.3 };
    const never = { ...USUAL_SCHOOL, ends: 'never' } as const;
    const tries = [sewn(4, far), sewn(6, far), sewn(6.5, far)];
    const open = { school: never, mayTurnScrew: true } as const;
    expect(
      advice(tries, { ...open, bobbinSeen: false, school: { ...never, first: 'dial' } }),
    ).toEqual({ kind: 'look-at-bobbin' });
    const turn = advice(tries, open);
    if (turn.kind !== 'screw') throw new Error(turn.kind);
    // Knot below: the bobbin thread is loosened, by a quarter turn at most.
    expect(turn.turn).toBeLessThan(0);
    expect(turn.turn).toBeGreaterThanOrEqual(-15);
    expect(advice(tries, { ...open, mayTurnScrew: false }).kind).toBe('bobbin-side');
  });
});

describe('pull by the dial', () => {
  const pulls = (values: readonly number[], going: 'up' | 'down' = 'up') =>
    values.map((pull, place) => ({ dial: [1, 4, 7][place] ?? 9, pull, going }));

  it('rises at each number on sound discs, and says so by gauge and by feel', () => {
    expect(dialPullsVerdict({ free: 3, pulls: pulls([25, 60, 130]) }, 'gauge')).toEqual({
      rises: true,
      grips: true,
      drags: false,
      lag: undefined,
      lintSuspected: false,
    });
    expect(dialPullsVerdict({ free: 0, pulls: pulls([1, 2, 3]) }, 'feel').rises).toBe(true);
  });

  it('does not rise where lint holds the discs apart, nor grip where they stay open', () => {
    const flat = dialPullsVerdict({ free: 4, pulls: pulls([30, 31, 33]) }, 'gauge');
    expect(flat).toMatchObject({ rises: false, grips: true, lintSuspected: true });
    const open = dialPullsVerdict({ free: 4, pulls: pulls([5, 5, 6]) }, 'gauge');
    expect(open).toMatchObject({ rises: false, grips: false });
    expect(dialPullsVerdict({ free: 30, pulls: [] }, 'gauge').drags).toBe(true);
  });

  it('tells by how much it lags on the way down, and says nothing of what was not pulled', () => {
    const both = [...pulls([25, 60, 130]), ...pulls([40, 62, 130], 'down')];
    const { lag, lintSuspected } = dialPullsVerdict({ free: 3, pulls: both }, 'gauge');
    expect(lag).toBeCloseTo((40 - 25) / 32.5, 9);
    expect(lintSuspected).toBe(true);
    const few = dialPullsVerdict({ free: undefined, pulls: pulls([25]) }, 'gauge');
    expect([few.rises, few.drags, few.lag]).toEqual([undefined, undefined, undefined]);
    expect(() => dialPullsVerdict({ free: -1, pulls: [] }, 'gauge')).toThrow('not-a-tension');
  });

  it('is held against an earlier visit number by number', () => {
    const earlier = { free: 3, pulls: pulls([25, 60, 130]) };
    const now = (values: readonly number[]) =>
      dialPullsChange(earlier, { free: 3, pulls: pulls(values) });
    expect(now([26, 58, 128])?.is).toBe('same');
    expect(now([17, 40, 88])?.is).toBe('weaker');
    expect(now([40, 95, 200])?.is).toBe('stronger');
    expect(now([40, 60, 80])?.is).toBe('otherwise');
    expect(now([17, 40, 88])?.times).toBeCloseTo(0.677, 2);
    expect(dialPullsChange(earlier, { free: 3, pulls: [] })).toBeUndefined();
    expect(pullAt(earlier, 4)).toBe(60);
    expect(pullAt(earlier, 2.5)).toBeCloseTo(42.5, 9);
    expect(pullAt(earlier, 8)).toBeUndefined();
  });
});

describe('the pull along the path', () => {
  const half: PathStage = { kind: 'guide', wrap: Math.PI };
  const path = (stages: readonly PathStage[], rest: Partial<UpperPull> = {}): UpperPull => ({
    drag: 4,
    stages,
    friction: 0.2,
    speed: 0,
    ...rest,
  });

  it('grows by the capstan at each bend: 1.874456 at half a turn, 3.513586 at a whole one', () => {
    // Computed apart (scipy), as any text on mechanics has them.
    const pulls = pullAlong(path([half, half]));
    expect((pulls[0] ?? 0) / 4).toBeCloseTo(1.874456, 6);
    expect((pulls[1] ?? 0) / 4).toBeCloseTo(3.513586, 6);
  });

  it('adds at the discs what they hold on both faces, whatever came before (Coulomb)', () => {
    const [after] = pullAlong(path([{ kind: 'discs', press: 100 }]));
    expect(after).toBeCloseTo(4 + 2 * 0.2 * 100, 9);
  });

  it('is the drag of the spool alone without friction, and never less than the check spring', () => {
    const stages: PathStage[] = [half, { kind: 'discs', press: 200 }, half];
    expect(pullAlong(path(stages, { friction: 0 }))).toEqual([4, 4, 4]);
    const sprung = pullAlong(path([{ kind: 'check-spring', force: 9, wrap: 0 }], { friction: 0 }));
    expect(sprung).toEqual([9]);
    expect(() => pullAlong(path([{ kind: 'guide', wrap: -1 }]))).toThrow('not-a-path');
    expect(() => pullAlong(path([half], { drag: 0 }))).toThrow('not-above-nothing');
  });

  it('bends where the way turns: a quarter at a corner, nothing where it is straight', () => {
    const way = [
      { x: 0, y: 0 },
      { x: 10, y: 0 },
      { x: 20, y: 0 },
      { x: 20, y: 10 },
      { x: 20, y: 0 },
    ];
    const bends = bendsOf(way);
    expect(bends.map((bend) => Number(bend.toFixed(9)))).toEqual([
      0,
      0,
      Number((Math.PI / 2).toFixed(9)),
      Number(Math.PI.toFixed(9)),
      0,
    ]);
  });

  const BENDS: PathStage[] = [
    { kind: 'guide', wrap: 0.5 },
    { kind: 'discs', press: 0 },
    { kind: 'check-spring', force: 8, wrap: 2.4 },
    { kind: 'guide', wrap: 3 },
  ];
  const at = (dial: number, rest: { friction?: number; speed?: number } = {}) =>
    path(
      BENDS.map((stage) => (stage.kind === 'discs' ? { ...stage, press: discPress(dial) } : stage)),
      rest,
    );

  it('lies higher in the fabric at each number, and sews in the middle somewhere on the dial', () => {
    const depths = Array.from(
      { length: 10 },
      (_, dial) => balanceAt({ top: at(dial), bobbin: 25, fabric: 5 }).depth,
    );
    depths.slice(1).forEach((depth, place) => {
      expect(depth).toBeLessThan(depths[place] ?? 0);
    });
    expect(depths[0]).toBeGreaterThan(0.5);
    expect(depths[9]).toBeLessThan(0.5);
  });

  it('pulls more at speed, the top thread the more; fabric brings both sides together', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 8 }),
        fc.integer({ min: 50, max: 1000 }),
        (dial, speed) => {
          const slow = balanceAt({ top: at(dial), bobbin: 25, fabric: 0 });
          const fast = balanceAt({ top: at(dial, { speed }), bobbin: 25, fabric: 0 });
          expect(fast.top / slow.top).toBeGreaterThan(fast.bobbin / slow.bobbin);
          const held = balanceAt({ top: at(dial), bobbin: 25, fabric: 1e6 });
          expect(held.balance).toBeCloseTo(0, 2);
        },
      ),
    );
  });

  it('by the gauge lies in the middle where the top thread pulls its usual times the bobbin’s', () => {
    expect(gaugedKnot(75, 25)).toEqual(knotOf(75 / EVEN_RATIO, 25));
    expect(gaugedKnot(75, 25).balance).toBeCloseTo(0, 12);
    expect(gaugedKnot(50, 25, 2).balance).toBeCloseTo(0, 12);
    // One side locked.
    expect(gaugedKnot(1e9, 25).depth).toBeCloseTo(0, 9);
    expect(gaugedKnot(75, 1e9).depth).toBeCloseTo(1, 9);
  });
});

describe('the picture of a seam', () => {
  const SET = { length: 2.5, width: 0, fabric: 1, thread: 0.2, stitches: 6 };

  it('has its knots where the model puts them', () => {
    for (const balance of [-1, -0.4, 0, 0.6, 1]) {
      const { depth, section } = seamPicture({ ...SET, balance });
      expect(depth).toBeCloseTo((1 + balance) / 2, 12);
      // Both threads meet there at each hole.
      for (const line of [section.top, section.bobbin])
        expect(line.filter(({ y }) => y === depth).map(({ x }) => x)).toEqual([
          0, 2.5, 5, 7.5, 10, 12.5, 15,
        ]);
    }
  });

  it('shows the other thread the more the nearer the knot, mirrored between the faces', () => {
    const dots = [-1, -0.5, 0, 0.5, 1].map((balance) => seamPicture({ ...SET, balance }).top.dot);
    expect(dots).toEqual(dots.toSorted((one, other) => other - one));
    expect(dots[0]).toBe(1);
    expect(dots[4]).toBe(0);
    const above = seamPicture({ ...SET, balance: -0.9 });
    const below = seamPicture({ ...SET, balance: 0.9 });
    expect(above.top).toEqual(below.bottom);
    const drawn = (face: typeof above.top) => Math.abs((face.other[1]?.[0]?.x ?? 0) - 2.5);
    expect(drawn(above.top)).toBeGreaterThan(0.5);
    expect(drawn(above.bottom)).toBe(0);
  });

  it('goes from side to side on a zigzag', () => {
    const { top } = seamPicture({ ...SET, balance: 0, width: 4 });
    expect(top.own.map(([from, to]) => [from?.y, to?.y]).slice(0, 2)).toEqual([
      [-2, 2],
      [2, -2],
    ]);
    expect(() => seamPicture({ ...SET, balance: 0, fabric: 0 })).toThrow('not-above-nothing');
  });
});

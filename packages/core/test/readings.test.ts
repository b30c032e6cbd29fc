import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  adjusted,
  type MeetingTargets,
  meetingsOf,
  mm,
  SEATED,
  type StitchFormer,
  type SwingReading,
  targetsAt,
  timingVerdict,
  USUAL_FORMER,
} from '../src/index.ts';

const DEGREE = Math.PI / 180;
const THREAD = mm(0.2);
/** From memory, typical: what the trade tells for the middle. */
const TARGETS: MeetingTargets = {
  lift: { least: 2, most: 2.4, aim: 2.2 },
  aboveEye: { least: 1, most: 1.6, aim: 1.3 },
  gap: { least: 0.05, most: 0.1, aim: 0.075 },
};
const MIDDLE: StitchFormer = {
  ...USUAL_FORMER,
  meeting: { ...USUAL_FORMER.meeting, aboveEye: 1.3 },
};
const LEVEL: StitchFormer = { ...MIDDLE, hook: { ...MIDDLE.hook, axis: 'level' } };

/** What a hand would read of a machine that is set so, without any error. */
function readingsOf(former: StitchFormer): readonly SwingReading[] {
  return meetingsOf(former, SEATED, THREAD).map(({ swing, lift, meetsAt, gap }) => ({
    swing,
    lift,
    aboveEye: meetsAt,
    gap,
  }));
}

function misset(former: StitchFormer, late: number, high: number, wide: number): StitchFormer {
  let setup = { former, seat: SEATED };
  for (const [setting, change] of [
    ['timing', late],
    ['bar', high],
    ['gap', wide],
  ] as const) {
    setup = { ...setup, former: adjusted(setup, setting, change).former };
  }
  return setup.former;
}

describe('what should be read at a swing', () => {
  it('is in the middle what the trade tells, aside what the geometry makes of it', () => {
    const middle = targetsAt(USUAL_FORMER, TARGETS, 0);
    for (const reading of ['lift', 'aboveEye', 'gap'] as const) {
      expect(middle[reading].least).toBeCloseTo(TARGETS[reading].least, 9);
      expect(middle[reading].most).toBeCloseTo(TARGETS[reading].most, 9);
    }
    for (const former of [MIDDLE, LEVEL]) {
      for (const { swing, lift, aboveEye, gap } of readingsOf(former)) {
        const there = targetsAt(former, TARGETS, swing);
        expect(lift).toBeCloseTo(there.lift.aim, 2);
        // At the eye there is no loop: ours, not below .2 mm.
        expect(there.aboveEye.aim).toBeCloseTo(Math.max(0.2, aboveEye ?? 0), 2);
        expect(gap).toBeCloseTo(there.gap.aim, 9);
      }
    }
  });
});

describe('readings at the bench', () => {
  it('of a machine that is set right find nothing', () => {
    for (const former of [MIDDLE, LEVEL]) {
      const verdict = timingVerdict(former, TARGETS, readingsOf(former));
      for (const part of ['timing', 'bar', 'gap'] as const) {
        expect(verdict[part]?.within, part).toBe(true);
      }
      expect(verdict.uneven).toEqual([]);
      expect(verdict.found.meetsAt).toBeCloseTo(former.meetsAt, 3);
    }
  });

  it('tell a late hook, a deep bar and a wide gap apart, each by how much', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(MIDDLE, LEVEL),
        fc.constantFrom(1 as const, -1 as const),
        fc.double({ min: -6, max: 6, noNaN: true }),
        fc.double({ min: -0.3, max: 1, noNaN: true }),
        fc.double({ min: 0.05, max: 0.6, noNaN: true }),
        (former, passes, late, deep, wide) => {
          const machine = { ...former, hook: { ...former.hook, passes } };
          const set = misset(machine, late * DEGREE, -deep, wide);
          const readings = readingsOf(set);
          // The point below the eye cannot be read as a height above it.
          fc.pre(readings.every(({ aboveEye = 0 }) => aboveEye > 0));
          const verdict = timingVerdict(former, TARGETS, readings);
          expect(verdict.found.hook.passes).toBe(passes);
          expect((verdict.timing?.off ?? Number.NaN) / DEGREE).toBeCloseTo(late, 1);
          // As long as the timing is within, the bar is told as it is read.
          if (!verdict.timing?.within) expect(verdict.bar?.off).toBeCloseTo(deep, 1);
          expect(verdict.gap?.off).toBeCloseTo(wide, 9);
          expect(verdict.gap?.within).toBe(wide <= 0.025);
          expect(verdict.uneven).toEqual([]);
        },
      ),
    );
  });

  it('of one swing alone are not laid on the hook', () => {
    const [left, middle, right] = readingsOf(MIDDLE);
    if (!left || !middle || !right) throw new Error('three swings');
    const leaning = [left, middle, { ...right, aboveEye: (right.aboveEye ?? 0) + 1.2 }];
    expect(timingVerdict(MIDDLE, TARGETS, leaning).uneven).toEqual(['aboveEye']);
    const wide = [left, middle, { ...right, gap: 0.3 }];
    expect(timingVerdict(MIDDLE, TARGETS, wide).uneven).toEqual(['gap']);
    const jumps = [left, middle, { ...right, lift: (right.lift ?? 0) + 1.5 }];
    expect(timingVerdict(MIDDLE, TARGETS, jumps).uneven).toContain('lift');
  });

  it('judge with what there is, and refuse a lift beyond the stroke', () => {
    const only = timingVerdict(MIDDLE, TARGETS, [{ swing: 0, lift: 3.2 }]);
    expect(only.timing?.within).toBe(false);
    expect([only.bar, only.gap]).toEqual([undefined, undefined]);
    expect(timingVerdict(MIDDLE, TARGETS, []).found.meetsAt).toBeCloseTo(MIDDLE.meetsAt, 3);
    expect(() => timingVerdict(MIDDLE, TARGETS, [{ swing: 0, lift: 40 }])).toThrow('not-so-far');
  });
});

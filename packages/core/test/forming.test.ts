import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  adjusted,
  barAt,
  clearances,
  degrees,
  forms,
  type Hook,
  hookAt,
  leastAdjustments,
  loopAt,
  meetingAt,
  meetingsOf,
  mm,
  OBSTACLES,
  passesLater,
  SEATED,
  type SettingMinutes,
  type StitchFormer,
  seatEffect,
  shaftAtLift,
  spareOf,
  swingsOf,
  USUAL_FORMER,
  widestSwing,
} from '../src/index.ts';

const DEGREE = Math.PI / 180;
const THREAD = mm(0.25);
const MINUTES: SettingMinutes = { needle: 1, timing: 25, bar: 15, gap: 12 };
const LEVEL: StitchFormer = {
  ...USUAL_FORMER,
  hook: { ...USUAL_FORMER.hook, axis: 'level' },
};

describe('the needle bar', () => {
  // Crank 15.5, rod 50 mm: the slider-crank by hand.
  it.each([
    [10, 0.308],
    [20, 1.217],
    [27, 2.187],
    [30, 2.681],
  ])('has risen after %d degrees', (angle, lift) => {
    expect(barAt(USUAL_FORMER.bar, angle * DEGREE).lift).toBeCloseTo(lift, 3);
  });

  it('tells when it has risen so far, and that it never rises farther than its stroke', () => {
    expect(shaftAtLift(USUAL_FORMER.bar, mm(2.2)) / DEGREE).toBeCloseTo(27.08, 2);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 31, noNaN: true }), (lift) => {
        const shaft = shaftAtLift(USUAL_FORMER.bar, mm(lift));
        expect(barAt(USUAL_FORMER.bar, shaft).lift).toBeCloseTo(lift, 9);
      }),
    );
    expect(barAt(USUAL_FORMER.bar, Math.PI).lift).toBeCloseTo(31, 12);
    expect(() => shaftAtLift(USUAL_FORMER.bar, mm(31.1))).toThrow('not-so-far');
    expect(() => barAt({ crank: 15, rod: 15 }, 0)).toThrow('linkage-impossible');
  });
});

describe('the hook', () => {
  const rotary: Hook = USUAL_FORMER.hook;
  const oscillating: Hook = {
    ...rotary,
    motion: { kind: 'oscillating', sweep: 105 * DEGREE, before: 75 * DEGREE },
  };

  it('goes twice round, or to and fro', () => {
    expect(hookAt(rotary, 0.1)).toEqual({ angle: 0.2, perRadian: 2 });
    expect(hookAt(oscillating, 0).angle).toBeCloseTo(0, 12);
    // At the end of its way it has gone as far as it met before the middle, and its sweep.
    const end = Math.PI / 2 + Math.asin(75 / 105);
    expect(hookAt(oscillating, end).angle).toBeCloseTo(180 * DEGREE, 12);
    expect(hookAt(oscillating, end).perRadian).toBeCloseTo(0, 12);
  });

  it('stands at the needle’s line when it is said to pass there', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(rotary, oscillating),
        fc.constantFrom(1 as const, -1 as const),
        fc.double({ min: -4.5, max: 4.5, noNaN: true }),
        (motion, passes, swing) => {
          const hook = { ...motion, passes };
          const { angle } = hookAt(hook, passesLater(hook, swing));
          expect(hook.radius * Math.sin(angle) * passes).toBeCloseTo(swing, 9);
        },
      ),
    );
  });

  it('passes first the side that it comes from, and nothing beyond its circle', () => {
    expect(passesLater(rotary, -3)).toBeLessThan(0);
    expect(passesLater({ ...rotary, passes: -1 }, -3)).toBeGreaterThan(0);
    expect(() => passesLater(rotary, 20)).toThrow('hook-does-not-reach');
    const short: Hook = { ...rotary, motion: { kind: 'oscillating', sweep: 0.1, before: 0 } };
    expect(() => passesLater(short, 4)).toThrow('hook-does-not-reach');
  });
});

describe('the meeting', () => {
  it('in the middle is what a straight stitch has', () => {
    const { bar, meetsAt, meeting, loop } = USUAL_FORMER;
    const { lift } = barAt(bar, meetsAt);
    const straight = seatEffect(SEATED, THREAD, { ...meeting, loop: loopAt(loop, lift) });
    const middle = meetingAt(USUAL_FORMER, SEATED, THREAD, 0);
    expect(middle).toMatchObject({ swing: 0, shaft: meetsAt, contact: 'free' });
    expect([middle.lift, middle.margin, middle.gap]).toEqual([lift, straight.margin, straight.gap]);
  });

  it('comes with less risen where the point comes from, with more where it goes', () => {
    const [left, middle, right] = meetingsOf(USUAL_FORMER, SEATED, THREAD);
    expect(left?.lift).toBeLessThan(middle?.lift ?? 0);
    expect(right?.lift).toBeGreaterThan(middle?.lift ?? 0);
    expect(left?.meetsAt).toBeGreaterThan(middle?.meetsAt ?? 0);
    expect(right?.meetsAt).toBeLessThan(middle?.meetsAt ?? 0);
    // Aside there is less of a loop: where it passes first the needle rose little, where it passes last it is near the eye.
    expect(right?.margin).toBeLessThan(middle?.margin ?? 0);
    expect(left?.margin).toBeLessThan(middle?.margin ?? 0);
  });

  it('aside is as near as in the middle, and lower over a level axis', () => {
    const off = 20 - Math.sqrt(20 ** 2 - 3.5 ** 2);
    const at = (former: StitchFormer, swing: number) => meetingAt(former, SEATED, THREAD, swing);
    for (const swing of [-3.5, 3.5]) {
      expect(at(USUAL_FORMER, swing).gap).toBe(at(USUAL_FORMER, 0).gap);
      expect(at(LEVEL, swing).gap).toBe(at(LEVEL, 0).gap);
      const lower = at(USUAL_FORMER, swing).meetsAt - at(LEVEL, swing).meetsAt;
      expect(lower).toBeCloseTo(off, 9);
    }
  });

  it('mirrors where the hook turns the other way', () => {
    const other = { ...USUAL_FORMER, hook: { ...USUAL_FORMER.hook, passes: -1 as const } };
    fc.assert(
      fc.property(fc.double({ min: -3.5, max: 3.5, noNaN: true }), (swing) => {
        const [one, mirrored] = [
          meetingAt(USUAL_FORMER, SEATED, THREAD, swing),
          meetingAt(other, SEATED, THREAD, -swing),
        ];
        expect(mirrored.margin).toBeCloseTo(one.margin, 9);
        expect(mirrored.lift).toBeCloseTo(one.lift, 9);
      }),
    );
  });

  it('of a straight stitch machine is one', () => {
    expect(swingsOf({ ...USUAL_FORMER, swing: mm(0) })).toEqual([0]);
  });

  it('tells metal on metal', () => {
    const bent = (bend: number) => meetingAt(USUAL_FORMER, { ...SEATED, bend }, THREAD, 0).contact;
    expect([bent(0), bent(-0.2), bent(-0.5)]).toEqual(['free', 'rubs', 'strikes']);
  });

  it('has the worse a margin the further a needle is turned, and none backward', () => {
    const turned = (angle: number) =>
      meetingAt(USUAL_FORMER, { ...SEATED, turned: degrees(angle) }, THREAD, 0);
    const margins = [0, 10, 20, 40, 60].map((angle) => turned(angle).margin);
    expect(margins.toSorted((a, b) => b - a)).toEqual(margins);
    const backward = meetingAt(USUAL_FORMER, { ...SEATED, backward: true }, THREAD, 0);
    expect(backward.skips).toBeGreaterThan(0.99);
  });
});

describe('what stands round the needle', () => {
  // A 9 mm hole and foot for a swing of 7 mm, a needle of .8 mm.
  const around = { plate: mm(4.5), foot: mm(4.5), case: mm(6) };
  const blade = { diameter: mm(0.8), tip: mm(4), swing: 3.5, bent: 0, low: mm(0) };

  it('is as far as the geometry says', () => {
    const free = clearances(around, blade);
    for (const obstacle of OBSTACLES) expect(free[obstacle]).toBeGreaterThan(0);
    expect(free.plate).toBeCloseTo(0.6, 12);
    expect(free.case).toBeCloseTo(2, 12);
    expect(clearances(around, { ...blade, swing: -3.5 })).toEqual(free);
  });

  it('is struck by a bent needle, a low one, and through a straight stitch plate', () => {
    expect(clearances(around, { ...blade, bent: 0.7 }).foot).toBeLessThan(0);
    expect(clearances(around, { ...blade, low: mm(2.5) }).case).toBeLessThan(0);
    const straight = clearances({ ...around, plate: mm(0.8) }, blade);
    expect([straight.plate < 0, straight.foot > 0]).toEqual([true, true]);
  });

  it('leaves a swing that strikes nothing, and any wider one strikes', () => {
    const { swing: _swing, ...rest } = blade;
    const widest = widestSwing(around, rest);
    expect(clearances(around, { ...blade, swing: widest }).plate).toBeCloseTo(0, 12);
    expect(widestSwing({ ...around, plate: mm(0.2) }, rest)).toBe(0);
  });
});

describe('what is set at a bench', () => {
  it('leaves the hook where it is: what the needle rose more, the point comes lower', () => {
    const later = adjusted({ former: USUAL_FORMER, seat: SEATED }, 'timing', 3 * DEGREE).former;
    const risen =
      barAt(USUAL_FORMER.bar, later.meetsAt).lift -
      barAt(USUAL_FORMER.bar, USUAL_FORMER.meetsAt).lift;
    expect(USUAL_FORMER.meeting.aboveEye - later.meeting.aboveEye).toBeCloseTo(risen, 12);
    const back = adjusted({ former: later, seat: SEATED }, 'timing', -3 * DEGREE).former;
    expect(back.meeting.aboveEye).toBeCloseTo(USUAL_FORMER.meeting.aboveEye, 12);
  });

  it('nothing has to be where every swing is met', () => {
    expect(forms(meetingsOf(LEVEL, SEATED, THREAD))).toBe(true);
    const offers = leastAdjustments({ former: LEVEL, seat: SEATED }, THREAD, MINUTES);
    expect(offers.map(({ setting, change, unmet }) => [setting, change, unmet])).toEqual([
      ['needle', 0, []],
      ['gap', 0, []],
      ['bar', 0, []],
      ['timing', 0, []],
    ]);
  });

  it('a turned needle is put in anew, the cheapest of all', () => {
    const seat = { ...SEATED, turned: degrees(72) };
    expect(forms(meetingsOf(LEVEL, seat, THREAD))).toBe(false);
    const [cheapest] = leastAdjustments({ former: LEVEL, seat }, THREAD, MINUTES);
    expect(cheapest).toMatchObject({ setting: 'needle', minutes: 1 });
    expect(forms(cheapest?.meetings ?? [])).toBe(true);
  });

  it('an early hook is set later by no more than it needs', () => {
    const early = adjusted({ former: LEVEL, seat: SEATED }, 'timing', -12 * DEGREE);
    expect(forms(meetingsOf(early.former, SEATED, THREAD))).toBe(false);
    const timing = leastAdjustments(early, THREAD, MINUTES).find(
      ({ setting }) => setting === 'timing',
    );
    expect(timing?.change).toBeGreaterThan(0);
    expect(timing?.change).toBeLessThan(12 * DEGREE);
    const spare = spareOf(LEVEL);
    const helps = (change: number) =>
      forms(meetingsOf(adjusted(early, 'timing', change).former, SEATED, THREAD), spare);
    expect(helps(timing?.change ?? 0)).toBe(true);
    expect(helps((timing?.change ?? 0) - 0.002)).toBe(false);
  });
});

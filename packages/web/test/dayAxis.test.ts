import { toDay } from '@nodo/kernel';
import type { Planned } from '@nodo/shop';
import { describe, expect, it } from 'vitest';
import { axisOf, benchDay, hoursOn, isAtRisk, tagsAbove } from '../src/features/rack/dayAxis.ts';

const DAY = toDay('2026-11-30');
const NEXT = toDay('2026-12-01');
const BENCH = { person: 'odren', shift: [540, 1020] as const };
const AXIS = { day: DAY, from: 540, until: 1020 };
/** Two pixels a minute. */
const WIDE = 960;

/** A job of the bench from one minute of the day until another. */
const job = (
  ticket: string,
  from: number,
  until: number,
  change: Partial<Planned> = {},
): Planned => ({
  ticket,
  person: 'odren',
  waitsFor: undefined,
  from: { day: DAY, minute: from },
  until: { day: DAY, minute: until },
  minutes: until - from,
  spread: 0,
  promised: null,
  chance: null,
  reason: 'in-turn',
  ...change,
});
const ticketsOf = (planned: readonly Planned[]) =>
  benchDay(BENCH, planned, AXIS, WIDE).targets.map(({ jobs }) =>
    jobs.map(({ planned: { ticket } }) => ticket),
  );

describe('the hours of a day', () => {
  it('go from the first shift to the last, on whole hours', () => {
    const benches = [
      BENCH,
      { person: 'tavi', shift: [510, 930] as const },
      { person: 'h', shift: null },
    ];
    expect(axisOf({ day: DAY, benches })).toEqual({ day: DAY, from: 480, until: 1020 });
    expect(axisOf({ day: DAY, benches: [] })).toEqual(AXIS);
  });

  it('are named as far as there is room', () => {
    expect(hoursOn(AXIS, 60)).toHaveLength(9);
    expect(hoursOn(AXIS, 30)).toEqual([540, 660, 780, 900, 1020]);
  });
});

describe('a bench on its day', () => {
  it('has its jobs to scale: thirteen minutes are less than half of thirty-one', () => {
    const planned = [job('short', 540, 553), job('long', 600, 631, { spread: 10 })];
    const [short, long] = benchDay(BENCH, planned, AXIS, WIDE).targets.flatMap(({ jobs }) => jobs);
    expect(short).toMatchObject({ left: 0, width: 26, loose: 0 });
    expect(long).toMatchObject({ left: 120, width: 62, loose: 20 });
  });

  it('puts together what no finger could tell apart, and nothing else', () => {
    // 44 pixels are 22 minutes here.
    expect(ticketsOf([job('a', 540, 548), job('b', 548, 570), job('c', 570, 590)])).toEqual([
      ['a', 'b'],
      ['c'],
    ]);
    const { targets } = benchDay(BENCH, [job('a', 540, 548), job('z', 1015, 1020)], AXIS, WIDE);
    expect(targets.every(({ width }) => width >= 44)).toBe(true);
    expect(targets.every(({ left, width }) => left + width <= WIDE)).toBe(true);
  });

  it('draws what goes on over the night until the shift is over, and counts what comes later', () => {
    const night = job('night', 960, 0, { until: { day: NEXT, minute: 600 }, minutes: 120 });
    const later = job('later', 0, 0, {
      from: { day: NEXT, minute: 600 },
      until: { day: NEXT, minute: 660 },
    });
    const never = job('never', 0, 0, { from: null, until: null });
    const day = benchDay(BENCH, [night, later, never], AXIS, WIDE);
    expect(day.targets).toMatchObject([{ left: 840, width: 120 }]);
    expect(day.later.map(({ ticket }) => ticket)).toEqual(['later', 'never']);
    // The day after, it goes on from the beginning of the shift.
    const after = benchDay(BENCH, [night], { ...AXIS, day: NEXT }, WIDE);
    expect(after.targets[0]).toMatchObject({ left: 0, width: 120 });
  });
});

describe('tags above a line', () => {
  it('are folded where there is no room for them, never all', () => {
    expect(tagsAbove([17, 11], 60)).toEqual({ shown: [17, 11], more: '' });
    expect(tagsAbove([17, 11, 9, 31], 60)).toEqual({ shown: [17], more: ' +3' });
    expect(tagsAbove([1234], 10)).toEqual({ shown: [1234], more: '' });
    // No room for how many: that there are others is said all the same.
    expect(tagsAbove([2041, 2050, 2059], 44)).toEqual({ shown: [2041], more: '+' });
  });
});

describe('a promise', () => {
  it('is at risk when its day is over, when it is not sure enough, or when nobody can say', () => {
    const risk = (change: Partial<Planned>) => isAtRisk(job('a', 540, 600, change), DAY);
    expect(risk({ promised: null })).toBe(false);
    expect(risk({ promised: DAY, chance: 0.95 })).toBe(false);
    expect(risk({ promised: DAY, chance: 0.85 })).toBe(true);
    expect(risk({ promised: NEXT, chance: null })).toBe(true);
    expect(risk({ promised: toDay('2026-11-29'), chance: 1 })).toBe(true);
  });
});

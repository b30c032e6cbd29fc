import { SURE_OF_PROMISE } from '@nodo/core';
import type { Day, WallClock } from '@nodo/kernel';
import type { BenchShift, Planned, ShopPlan } from '@nodo/shop';

/** A day of the shop along a line, in minutes from midnight on whole hours. */
export interface Axis {
  readonly day: Day;
  readonly from: number;
  readonly until: number;
}

const HOUR = 60;
/** What is drawn where nobody works on the day: hours as most shops have them. */
const USUAL_HOURS = { from: 9 * HOUR, until: 17 * HOUR };

/** From the hour in which the first shift begins to the one in which the last ends. */
export function axisOf({ day, benches }: Pick<ShopPlan, 'day' | 'benches'>): Axis {
  const shifts = benches.flatMap(({ shift }) => (shift ? [shift] : []));
  if (shifts.length === 0) return { day, ...USUAL_HOURS };
  return {
    day,
    from: Math.floor(Math.min(...shifts.map(([from]) => from)) / HOUR) * HOUR,
    until: Math.ceil(Math.max(...shifts.map(([, until]) => until)) / HOUR) * HOUR,
  };
}

/** Where the minutes of a day lie on a line of this many pixels, and where the clock is while it is on it. */
export function scaleOf(
  { day, from, until }: Axis,
  width: number,
  clock: WallClock,
): { readonly perHour: number; readonly x: (minute: number) => number; readonly now?: number } {
  const perMinute = width / (until - from);
  const x = (minute: number) => (minute - from) * perMinute;
  const isOn = clock.day === day && clock.minute >= from && clock.minute <= until;
  return { perHour: perMinute * HOUR, x, ...(isOn ? { now: x(clock.minute) } : {}) };
}

/** The hours that are named: all, or as many as there is room for. @param perHour pixels */
export function hoursOn({ from, until }: Axis, perHour: number): readonly number[] {
  const step = perHour >= LEAST_PER_HOUR ? HOUR : 2 * HOUR;
  const hours: number[] = [];
  for (let at = from; at <= until; at += step) hours.push(at);
  return hours;
}

/** So many pixels the name of an hour wants. */
const LEAST_PER_HOUR = 44;

/** A job as it lies on the axis, in pixels from its left end. */
export interface Drawn {
  readonly planned: Planned;
  readonly left: number;
  readonly width: number;
  /** Of its end, what is loose: a deviation of its minutes, as far as there is room for it. */
  readonly loose: number;
}

/** Jobs that are one target for a finger: what would be narrower lies together. */
export interface Target {
  readonly left: number;
  readonly width: number;
  readonly jobs: readonly Drawn[];
}

/** What a bench does of its jobs on the day of the axis, to scale; and what is left for later days. */
export function benchDay(
  { shift }: BenchShift,
  own: readonly Planned[],
  axis: Axis,
  width: number,
): { readonly targets: readonly Target[]; readonly later: readonly Planned[] } {
  const perMinute = width / (axis.until - axis.from);
  const isOn = ({ from, until }: Planned) =>
    from !== null && from.day <= axis.day && (until === null || until.day >= axis.day);
  const drawn = own.filter(isOn).map((one): Drawn => {
    const [begins, ends] = shift ?? [axis.from, axis.until];
    const from = one.from && one.from.day === axis.day ? one.from.minute : begins;
    // What goes on over the night is drawn until the shift is over.
    const until =
      one.until?.day === axis.day ? one.until.minute : Math.min(ends, from + one.minutes);
    const wide = (until - from) * perMinute;
    return {
      planned: one,
      left: (from - axis.from) * perMinute,
      width: wide,
      loose: Math.min(one.spread * perMinute, wide * MOST_LOOSE),
    };
  });
  return { targets: targetsOf(drawn, width), later: own.filter((one) => !isOn(one)) };
}

/** Of a line so much may be its loose end. */
const MOST_LOOSE = 0.6;
/** Least size of a target, in pixels. */
const LEAST_TARGET = 44;

function targetsOf(drawn: readonly Drawn[], width: number): readonly Target[] {
  const targets: { left: number; end: number; jobs: Drawn[] }[] = [];
  for (const job of drawn) {
    const last = targets.at(-1);
    const end = job.left + job.width;
    if (last && job.left < last.end) {
      last.jobs.push(job);
      last.end = Math.max(last.end, end);
    } else {
      targets.push({ left: job.left, end: Math.max(end, job.left + LEAST_TARGET), jobs: [job] });
    }
  }
  // The last one keeps its size at the end of the line.
  return targets.map(({ left, end, jobs }) => {
    const from = Math.min(left, Math.max(0, width - LEAST_TARGET));
    return { left: from, width: Math.max(LEAST_TARGET, Math.min(end, width) - from), jobs };
  });
}

/** So wide a digit of a tag is, and the gap between two tags; measured on the screen's own type. */
const DIGIT = 9;
const GAP = 8;

/** The tags above a target as far as there is room for them, and that others are folded away: how many, if there is room. */
export function tagsAbove(
  tags: readonly number[],
  width: number,
): { readonly shown: readonly number[]; readonly more: string } {
  const wideOf = (some: readonly number[]) =>
    some.reduce((sum, tag) => sum + String(tag).length * DIGIT + GAP, 0);
  if (wideOf(tags) <= width || tags.length < 2) return { shown: tags, more: '' };
  const most = tags.findIndex((_, at) => wideOf(tags.slice(0, at + 1)) + MORE > width);
  const shown = tags.slice(0, Math.max(1, most));
  return { shown, more: most < 1 ? '+' : ` +${tags.length - shown.length}` };
}

/** Room for the number of those that are folded away. */
const MORE = 20;

/** A promise that will hardly hold. */
export function isAtRisk({ promised, chance }: Planned, today: Day): boolean {
  return promised !== null && (promised < today || chance === null || chance < SURE_OF_PROMISE);
}

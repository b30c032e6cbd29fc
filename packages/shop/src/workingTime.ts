import { type Bench, bench, type Stretch } from '@nodo/core';
import { type Day, dayAfter, type WallClock, weekdayOf } from '@nodo/kernel';
import type { DaysOff, ShopProfile, WorkingTime } from './profiles.ts';

/** Minutes of a day on the axis of the benches: 0 is midnight before today. */
const DAY = 1440;

/** Why somebody does not work on a day; undefined when they do. */
export type Absence =
  | { readonly why: 'shop-closed'; readonly words: string }
  | { readonly why: 'off'; readonly words: string }
  | { readonly why: 'not-a-working-day' };

export function absenceOn(
  card: ShopProfile,
  { week, off }: WorkingTime,
  day: Day,
): Absence | undefined {
  const closed = card.closed.find((one) => isWithin(one, day));
  if (closed) return { why: 'shop-closed', words: closed.words };
  const away = off.find((one) => isWithin(one, day));
  if (away) return { why: 'off', words: away.words };
  return week[weekdayOf(day)] ? undefined : { why: 'not-a-working-day' };
}

/** When somebody works; undefined as long as nobody has said so. */
export function workingTimeOf(
  { people }: Pick<ShopProfile, 'people'>,
  person: string,
): WorkingTime | undefined {
  return people[person];
}

/** From when until when somebody works on a day, in minutes from midnight; undefined where they do not. */
export function shiftOn(
  card: ShopProfile,
  person: string,
  day: Day,
): readonly [from: number, until: number] | undefined {
  const time = workingTimeOf(card, person);
  if (!time || absenceOn(card, time, day)) return undefined;
  return time.week[weekdayOf(day)] ?? undefined;
}

/**
 * When somebody works at repairs in the days to come. Only a share of the time does: each
 * shift is shortened to it from its end, and what is past of today is left out. Nobody gets work before their
 * hours are set.
 */
export function benchOf(card: ShopProfile, person: string, now: WallClock, days: number): Bench {
  const time = workingTimeOf(card, person);
  if (!time) return bench(person, []);
  const stretches = Array.from({ length: days }, (_, ahead): Stretch | undefined => {
    const shift = shiftOn(card, person, dayAfter(now.day, ahead));
    if (!shift) return undefined;
    const begins = ahead === 0 ? Math.max(shift[0], now.minute) : shift[0];
    const length = ((shift[1] - begins) * time.share) / 100;
    return length > 0 ? [ahead * DAY + begins, ahead * DAY + begins + length] : undefined;
  });
  return bench(
    person,
    stretches.filter((stretch) => stretch !== undefined),
  );
}

/** The end of a day on the axis. @param ahead days from today */
export function endOfDay(ahead: number): number {
  return (ahead + 1) * DAY;
}

/** An instant of the axis as day and minute; null for what never comes. */
export function clockAt(now: WallClock, instant: number): WallClock | null {
  if (!Number.isFinite(instant)) return null;
  return { day: dayAt(now, instant), minute: Math.round(((instant % DAY) + DAY) % DAY) };
}

/** Which day an instant of the axis lies on. */
export function dayAt(now: WallClock, instant: number): Day {
  return dayAfter(now.day, Math.floor(instant / DAY));
}

function isWithin({ from, until }: DaysOff, day: Day): boolean {
  return from <= day && day <= until;
}

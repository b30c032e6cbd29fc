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

/**
 * When somebody works at repairs in the days to come. Only a share of the time does: each
 * shift is shortened to it from its end, and what is past of today is left out. Nobody gets work before their
 * hours are set.
 */
export function benchOf(card: ShopProfile, person: string, now: WallClock, days: number): Bench {
  const time = workingTimeOf(card, person);
  if (!time) return bench(person, []);
  const stretches = Array.from({ length: days }, (_, ahead): Stretch | undefined => {
    const day = dayAfter(now.day, ahead);
    const shift = time.week[weekdayOf(day)];
    if (!shift || absenceOn(card, time, day)) return undefined;
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

/** Which day an instant of the axis lies on. */
export function dayAt(now: WallClock, instant: number): Day {
  return dayAfter(now.day, Math.floor(instant / DAY));
}

function isWithin({ from, until }: DaysOff, day: Day): boolean {
  return from <= day && day <= until;
}

import * as Calendar from 'temporal-polyfill/fns/Calendar';
import * as Instant from 'temporal-polyfill/fns/Instant';
import * as PlainDate from 'temporal-polyfill/fns/PlainDate';
import * as ZonedDateTime from 'temporal-polyfill/fns/ZonedDateTime';
import type { z } from 'zod';

/**
 * A day of the shop's calendar, as yyyy-mm-dd. It is no instant: which day an instant lies on
 * depends on the shop's time zone ({@link dayOf}).
 */
export type Day = string & z.$brand<'Day'>;

/**
 * A day from its text.
 * @throws RangeError unless it is written yyyy-mm-dd and is in the calendar
 */
export function toDay(text: string): Day {
  const read = asDay(plain(text));
  if (read !== text) throw new RangeError(`not a day: ${text}`);
  return read;
}

/** The same, or undefined. */
export function readDay(text: string): Day | undefined {
  try {
    return toDay(text);
  } catch {
    return undefined;
  }
}

/** Day and minute on the wall of the shop. */
export interface WallClock {
  readonly day: Day;
  /** Minutes since midnight, as the clock shows them; on a day of a clock change some are skipped or come twice. */
  readonly minute: number;
}

/**
 * What the clocks of a time zone show at an instant.
 * @param instant ISO 8601 with its offset
 * @throws RangeError for what is no instant or no zone
 */
export function wallClockAt(instant: string, zone: string): WallClock {
  const zoned = Instant.toZonedDateTimeISO(Instant.fromString(instant), zone);
  return {
    day: asDay(ZonedDateTime.toPlainDate(zoned)),
    minute: zoned.hour * 60 + zoned.minute,
  };
}

/** The day that an instant lies on in a time zone. */
export function dayOf(instant: string, zone: string): Day {
  return wallClockAt(instant, zone).day;
}

/** The instant at which the clocks of a time zone show so; the later one where they show it twice. */
export function instantAt({ day: on, minute }: WallClock, zone: string): string {
  const two = (value: number) => String(value).padStart(2, '0');
  const text = `${on}T${two(Math.floor(minute / 60))}:${two(minute % 60)}[${zone}]`;
  const zoned = ZonedDateTime.fromString(text, Calendar.getISO, { disambiguation: 'later' });
  return Instant.toString(ZonedDateTime.toInstant(zoned));
}

/** The day so many days later, or before. */
export function dayAfter(from: Day, days: number): Day {
  return asDay(PlainDate.addDays(plain(from), days));
}

/** Days of the calendar from one to the other, whatever the clocks do between them. */
export function daysBetween(from: Day, until: Day): number {
  return PlainDate.diffDays(plain(from), plain(until));
}

/** 0 for Monday to 6 for Sunday. */
export function weekdayOf(of: Day): number {
  return PlainDate.dayOfWeek(plain(of)) - 1;
}

/** Whether clocks and calendars know a time zone by this name. */
export function isTimeZone(name: string): boolean {
  try {
    Instant.toZonedDateTimeISO(Instant.fromString('2000-01-01T00:00:00Z'), name);
    return true;
  } catch {
    return false;
  }
}

function plain(of: string): PlainDate.Record {
  return PlainDate.fromString(of, Calendar.getISO);
}

function asDay(date: PlainDate.Record): Day {
  return PlainDate.toString(date) as Day;
}

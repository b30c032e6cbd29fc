import { describe, expect, it } from 'vitest';
import {
  day,
  dayAfter,
  dayOf,
  daysBetween,
  instantAt,
  isTimeZone,
  readDay,
  timeZone,
  toDay,
  wallClockAt,
  weekdayOf,
} from '../src/index.ts';

// Offsets and clock changes after the IANA time zone database: Auckland UTC+13 in summer and +12
// in winter (back on 5 April 2026), Honolulu UTC-10 all year, Berlin forward on 29 March 2026 and
// back on 25 October 2026.
const AUCKLAND = 'Pacific/Auckland';
const HONOLULU = 'Pacific/Honolulu';
const BERLIN = 'Europe/Berlin';

describe('the day of an instant', () => {
  it('is the shop’s, which is not the one of the same instant elsewhere', () => {
    const evening = '2026-03-02T11:30:00.000Z';
    expect(dayOf(evening, AUCKLAND)).toBe('2026-03-03');
    expect(dayOf(evening, BERLIN)).toBe('2026-03-02');
    expect(dayOf('2026-03-02T09:59:00.000Z', HONOLULU)).toBe('2026-03-01');
    expect(dayOf('2026-03-02T10:00:00.000Z', HONOLULU)).toBe('2026-03-02');
  });

  it('is the same however the instant is written', () => {
    expect(dayOf('2026-03-03T00:30:00.000+13:00', AUCKLAND)).toBe('2026-03-03');
    expect(dayOf('2026-03-02T11:30:00.000Z', AUCKLAND)).toBe('2026-03-03');
  });

  it('comes with the minute that the clock on the wall shows', () => {
    expect(wallClockAt('2026-03-02T11:30:00.000Z', AUCKLAND)).toEqual({
      day: '2026-03-03',
      minute: 30,
    });
  });
});

describe('a change of clocks', () => {
  it('skips an hour of the wall clock, or shows it twice', () => {
    const at = (instant: string) => wallClockAt(instant, BERLIN).minute;
    expect([at('2026-03-29T00:59:00Z'), at('2026-03-29T01:00:00Z')]).toEqual([119, 180]);
    expect([at('2026-10-25T00:30:00Z'), at('2026-10-25T01:30:00Z')]).toEqual([150, 150]);
  });

  it('makes no day longer or shorter in the calendar', () => {
    const [before, after] = [toDay('2026-03-28'), toDay('2026-03-30')];
    expect(daysBetween(before, after)).toBe(2);
    expect(dayAfter(before, 2)).toBe(after);
    expect(daysBetween(toDay('2026-10-24'), toDay('2026-10-26'))).toBe(2);
    // Twenty-three hours, and the next day all the same.
    expect(dayOf('2026-03-28T23:30:00Z', BERLIN)).toBe('2026-03-29');
    expect(dayOf('2026-03-29T22:00:00Z', BERLIN)).toBe('2026-03-30');
  });

  it('is met from the wall clock too: the later instant where an hour is skipped or comes twice', () => {
    const at = (day: string, minute: number, zone = BERLIN) =>
      instantAt({ day: toDay(day), minute }, zone);
    expect(at('2026-03-28', 9 * 60)).toBe('2026-03-28T08:00:00Z');
    expect(at('2026-03-30', 9 * 60)).toBe('2026-03-30T07:00:00Z');
    expect(at('2026-03-29', 150)).toBe('2026-03-29T01:30:00Z');
    expect(at('2026-10-25', 150)).toBe('2026-10-25T01:30:00Z');
    expect(at('2026-04-05', 9 * 60, AUCKLAND)).toBe('2026-04-04T21:00:00Z');
    expect(at('2026-04-04', 9 * 60, AUCKLAND)).toBe('2026-04-03T20:00:00Z');
  });
});

describe('the calendar', () => {
  it('counts over months, years and a leap day, forwards and backwards', () => {
    expect(dayAfter(toDay('2026-12-30'), 3)).toBe('2027-01-02');
    expect(dayAfter(toDay('2027-01-02'), -3)).toBe('2026-12-30');
    expect(daysBetween(toDay('2028-02-28'), toDay('2028-03-01'))).toBe(2);
    expect(daysBetween(toDay('2026-03-05'), toDay('2026-03-01'))).toBe(-4);
  });

  it('begins its weeks on Monday', () => {
    // ISO 8601 gives 1 January 2026 as a Thursday.
    expect(weekdayOf(toDay('2026-01-01'))).toBe(3);
    expect(weekdayOf(toDay('2026-01-04'))).toBe(6);
    expect(weekdayOf(toDay('2026-01-05'))).toBe(0);
  });

  it('has no other days', () => {
    for (const text of ['2026-02-29', '2026-13-01', '26-01-01', '2026-01-01T00:00:00Z', '']) {
      expect(() => toDay(text), text).toThrow(RangeError);
      expect(readDay(text)).toBeUndefined();
      expect(day.safeParse(text).success).toBe(false);
    }
  });
});

describe('a time zone', () => {
  it('is one that clocks know by name', () => {
    expect([AUCKLAND, 'UTC', 'Asia/Kolkata'].map(isTimeZone)).toEqual([true, true, true]);
    for (const name of ['', 'Mars/Crater', 'Berlin time']) {
      expect(timeZone.safeParse(name).success, name).toBe(false);
    }
  });
});

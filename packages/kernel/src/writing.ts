import { type Day, daysBetween } from './days.ts';

/** The language that days and money are written in, on the screen and on paper alike. */
export const WRITTEN_IN = 'en-GB';

const PARTS = { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' } as const;
const EPOCH = '1970-01-01' as Day;
const DAY_MS = 24 * 60 * 60 * 1000;
const THIS_YEAR = new Intl.DateTimeFormat(WRITTEN_IN, PARTS);
const OTHER_YEAR = new Intl.DateTimeFormat(WRITTEN_IN, { ...PARTS, year: 'numeric' });

/** A day with its weekday: "Mon 30 Nov", with the year unless it is the one of `today`. */
export function writeDay(day: Day, today?: Day): string {
  const isThisYear = today !== undefined && day.slice(0, 4) === today.slice(0, 4);
  const format = isThisYear ? THIS_YEAR : OTHER_YEAR;
  return format.format(daysBetween(EPOCH, day) * DAY_MS).replaceAll(',', '');
}

/** How many digits the smallest unit of a currency stands behind the point. */
export function moneyDigits(currency: string): number {
  const format = new Intl.NumberFormat(WRITTEN_IN, { style: 'currency', currency });
  return format.resolvedOptions().maximumFractionDigits ?? 2;
}

/** A thing and how many of it: "needle", "2 × needle". */
export function writeCounted(count: number, words: string): string {
  return count === 1 ? words : `${count} × ${words}`;
}

/** An amount with its currency. @param minor in the smallest unit */
export function writeMoney(minor: number, currency: string): string {
  const format = new Intl.NumberFormat(WRITTEN_IN, { style: 'currency', currency });
  return format
    .formatToParts(minor / 10 ** moneyDigits(currency))
    .map(({ type, value }) => (type === 'group' ? GROUP : value))
    .join('');
}

/** The sign of a currency as it stands before its amounts: "€"; its letters where it has none of its own. */
export function currencySign(currency: string): string {
  const format = new Intl.NumberFormat(WRITTEN_IN, { style: 'currency', currency });
  return format.formatToParts(0).find(({ type }) => type === 'currency')?.value ?? currency;
}

/** Between thousands: a space that no line breaks at, never a sign that could be a decimal. Source: ISO 80000-1, 7.3.1. */
export const GROUP = '\u00a0';

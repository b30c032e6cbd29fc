import { type Day, daysBetween } from './days.ts';

/** The languages that papers for customers can be written in. */
export const PAPER_LANGUAGES = ['en', 'de', 'es', 'fr'] as const;
export type PaperLanguage = (typeof PAPER_LANGUAGES)[number];

/** By which rules each writes days and money. */
const LOCALES: Readonly<Record<PaperLanguage, string>> = {
  en: 'en-GB',
  de: 'de-DE',
  es: 'es-ES',
  fr: 'fr-FR',
};

/** The screen's, and that of papers where nothing else was chosen. */
const SCREEN: PaperLanguage = 'en';
export const WRITTEN_IN = LOCALES[SCREEN];

const PARTS = { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' } as const;
const EPOCH = '1970-01-01' as Day;
const DAY_MS = 24 * 60 * 60 * 1000;
const THIS_YEAR = new Intl.DateTimeFormat(WRITTEN_IN, PARTS);

/** Making one takes longer than all it ever writes. */
const withYear = new Map<PaperLanguage, Intl.DateTimeFormat>();
function otherYear(language: PaperLanguage): Intl.DateTimeFormat {
  const known =
    withYear.get(language) ??
    new Intl.DateTimeFormat(LOCALES[language], { ...PARTS, year: 'numeric' });
  withYear.set(language, known);
  return known;
}

/** A day with its weekday: "Mon 30 Nov", with the year unless it is the one of `today`. */
export function writeDay(day: Day, today?: Day): string {
  const isThisYear = today !== undefined && day.slice(0, 4) === today.slice(0, 4);
  const format = isThisYear ? THIS_YEAR : otherYear(SCREEN);
  return format.format(daysBetween(EPOCH, day) * DAY_MS).replaceAll(',', '');
}

/** A day as it stands on a paper, with its year: "Mon 30 Nov 2026", "Mo., 30. Nov. 2026". */
export function writeDayIn(language: PaperLanguage, day: Day): string {
  if (language === SCREEN) return writeDay(day);
  return otherYear(language).format(daysBetween(EPOCH, day) * DAY_MS);
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
export function writeMoney(
  minor: number,
  currency: string,
  language: PaperLanguage = SCREEN,
): string {
  const format = new Intl.NumberFormat(LOCALES[language], { style: 'currency', currency });
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

/** A number as it stands in a sentence. */
export function writeNumber(value: number, language: PaperLanguage): string {
  return new Intl.NumberFormat(LOCALES[language]).format(value);
}

/** Between thousands: a space that no line breaks at, never a sign that could be a decimal. Source: ISO 80000-1, 7.3.1. */
export const GROUP = '\u00a0';

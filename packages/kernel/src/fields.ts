import { z } from 'zod';
import { isTimeZone } from './days.ts';
import { EVERY_ROLE } from './roles.ts';

function isStorable(text: string): boolean {
  return !text.includes('\u0000') && text.isWellFormed();
}

/**
 * Text that people type: trimmed, in any script, at most `most` characters. U+0000 and lone
 * surrogates are refused here, the database can hold neither.
 */
export function humanText(most: number, least = 1): z.ZodType<string, string> {
  return z
    .string()
    .refine(isStorable, { message: 'text-not-storable' })
    .transform((text) => text.trim())
    .pipe(z.string().min(least).max(most));
}

/** An id of the knowledge tables: lower case words joined by hyphens. */
export const tableId = z
  .string()
  .regex(/^[a-z0-9]+(-[a-z0-9]+)*$/)
  .max(60);

/** In small letters, as the database writes it: texts are compared byte by byte. */
export const uuid = z.uuid().toLowerCase();

export const role = z.enum(EVERY_ROLE);

/** A SHA-256 in hex: what tables and photos are named by. */
export const sha256 = z.string().regex(/^[0-9a-f]{64}$/);

/** Years that a calendar, a clock and the database understand alike. */
const isOfOurTime = (text: string): boolean => text >= '1900' && text < '3000';

/** A day of the shop's calendar. */
export const day = z.iso.date().refine(isOfOurTime).brand<'Day'>();

/** A zone of the IANA time zone database, as `Europe/Berlin`. */
export const timeZone = z.string().max(60).refine(isTimeZone, { message: 'no-time-zone' });

/** The code of a currency in ISO 4217, as `EUR`. */
export const currencyCode = z.string().regex(/^[A-Z]{3}$/);

/** Money in the smallest unit of its currency. */
export const minorUnits = z.number().int().min(0).max(1_000_000_000);

/** An instant in ISO 8601 with time zone. */
export const instant = z.iso.datetime({ offset: true }).refine(isOfOurTime);

/** From where a list goes on: the instant and the id of its last row. */
export const cursor = z.string().refine((text) => {
  const [at, id, ...more] = text.split(' ');
  return more.length === 0 && instant.safeParse(at).success && uuid.safeParse(id).success;
});

/** Counts that the database keeps in four bytes: revisions, epochs. */
export const counter = z.number().int().min(0).max(2_147_483_647);

/** Minutes from one instant to another, whatever zones they are written in. */
export function minutesBetween(from: string, until: string): number {
  // eslint-disable-next-line no-restricted-globals -- reads two texts, no clock
  return (Date.parse(until) - Date.parse(from)) / 60_000;
}

/** Whether one instant lies before another. */
export function isBefore(one: string, other: string): boolean {
  return minutesBetween(one, other) > 0;
}

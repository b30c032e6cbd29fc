import {
  mm,
  type SewingHabit,
  type SewnAs,
  type Stitches,
  stitches,
  stitchesSewn,
  threadPerStitch,
} from '@nodo/core';
import type { Ticket } from '@nodo/ticket';
import { readNumber } from '../../../messages/typed.ts';

export const SETTINGS = ['rate', 'duty', 'length', 'width', 'under', 'bobbin', 'week'] as const;
type Setting = (typeof SETTINGS)[number];
/** How somebody sews, as it is typed. */
export type TypedHabit = Readonly<Record<Setting, string>>;

/** The habit that was typed; undefined while a number of it is none or nothing. */
export function habitOf(typed: TypedHabit): SewingHabit | undefined {
  const read = (setting: Setting) => readNumber(typed[setting]) ?? -1;
  const [rate, duty, length, bobbin] = [read('rate'), read('duty'), read('length'), read('bobbin')];
  const [width, under] = [read('width'), read('under')];
  if (Math.min(rate, duty, length, bobbin) <= 0 || Math.min(width, under) < 0) return undefined;
  if (length > 1000 || width > 1000 || under > 1000) return undefined;
  return {
    rate,
    duty: duty / 100,
    stitchLength: length,
    threadPerStitch: threadPerStitch(mm(length), mm(width), mm(under)),
    bobbinMetres: bobbin,
  };
}

/** No needle sews more. */
const MOST_SEWN = 1e9;

/** Stitches from an amount in whatever measure; undefined for none, and for more than a needle can sew. */
export function sewnOf(
  amount: number | undefined,
  as: SewnAs,
  habit: SewingHabit,
): Stitches | undefined {
  if (amount === undefined || amount < 0) return undefined;
  const count = amount * stitchesSewn(1, as, habit);
  return count > MOST_SEWN ? undefined : stitches(count);
}

/** Whether the ticket records a strike, a jam or a broken needle. */
export function hasStruck(ticket: Pick<Ticket, 'answers'> | undefined): boolean {
  const ends = new Set(['needle-strike', 'jam', 'needle-break']);
  return ticket?.answers.some(({ finding, present }) => present && ends.has(finding)) ?? false;
}

/** Counts as they are read: thousands without their last figures, small numbers with a tenth. */
export function roundly(value: number): number {
  if (value >= 10_000) return Math.round(value / 100) * 100;
  return value >= 100 ? Math.round(value) : Math.round(value * 10) / 10;
}

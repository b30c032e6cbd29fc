import { type HangingTension, hangingTension, mm, whereValid } from '@nodo/core';
import { readNumber } from '../../../messages/typed.ts';

export const HANGING_FIELDS = ['grams', 'fall', 'slip', 'free'] as const;

export type HangingField = (typeof HANGING_FIELDS)[number];

/** Weight in grams, lengths in millimetres, as they are typed. */
export type TypedHanging = Readonly<Record<HangingField, string>>;

/** What stands there to begin with: a fall and a length of thread that a hand can do. */
export const HANGING_FIRST: TypedHanging = { grams: '', fall: '25', slip: '', free: '150' };

/** The tension that a hanging test shows. */
export function readHanging(typed: TypedHanging): HangingTension | 'incomplete' | 'impossible' {
  const [grams, fall, slip, free] = HANGING_FIELDS.map((field) => readNumber(typed[field]));
  if (grams === undefined || fall === undefined || slip === undefined || free === undefined) {
    return 'incomplete';
  }
  const given = () => ({ grams, fall: mm(fall), slip: mm(slip), freeThread: mm(free) });
  return whereValid(() => hangingTension(given())) ?? 'impossible';
}

import { CoreError } from '../errors/coreError.ts';
import { positive, type Tex, tex } from '../units/quantities.ts';

/**
 * Tex of a yarn of English cotton number 1: a pound of 453.59237 g in hanks of 840 yards of
 * 0.9144 m. Source: ISO 2947 (590.541247).
 */
const TEX_AT_NE_1 = (453.59237 / (840 * 0.9144)) * 1000;

/**
 * How each unit counts. Direct: the heavier the greater, `tex` of one unit. Indirect: the finer
 * the greater, `tex` at number one. Standing: ISO 1144 for tex, ISO 2947 for denier, Nm and Ne;
 * weight number and synthetic ticket as the trade uses them, from memory.
 */
const UNITS = {
  tex: { counts: 'direct', tex: 1, plies: true },
  dtex: { counts: 'direct', tex: 0.1, plies: true },
  denier: { counts: 'direct', tex: 1 / 9, plies: true },
  Nm: { counts: 'indirect', tex: 1000, plies: true },
  Ne: { counts: 'indirect', tex: TEX_AT_NE_1, plies: true },
  wt: { counts: 'indirect', tex: 1000, plies: false },
  ticket: { counts: 'indirect', tex: 3000, plies: false },
} as const;

export type FinenessUnit = keyof typeof UNITS;

/** Units of a thread's fineness. */
export const FINENESS_UNITS = Object.keys(UNITS) as [FinenessUnit, ...FinenessUnit[]];

/**
 * Whether a label in this unit names the single yarn, so that plies multiply ("Ne 50/3"). Weight
 * and ticket numbers name the finished thread.
 */
export function countsPlies(unit: FinenessUnit): boolean {
  return UNITS[unit].plies;
}

/** What a label says: `Ne 50/3` is number 50, 3 plies. */
export interface Fineness {
  readonly unit: FinenessUnit;
  readonly number: number;
  /** Yarns twisted together; 1 where the number is of the finished thread. */
  readonly plies: number;
}

const MOST_PLIES = 12;

/**
 * Fineness of the finished thread; what twisting shortens is left out (a few per cent).
 * @throws CoreFault `not-above-nothing` for a number that is not; `not-plies` for plies that are
 * no count up to 12, or more than one where the unit names the finished thread; `not-a-fineness`.
 */
export function texOf({ unit, number, plies }: Fineness): Tex {
  checkPlies(unit, plies);
  const { counts, tex: one } = UNITS[unit];
  positive('number', number);
  return tex((counts === 'direct' ? number * one : one / number) * plies);
}

/** The number by which a unit names a thread: the way back from {@link texOf}. */
export function numberIn(unit: FinenessUnit, thread: Tex, plies = 1): number {
  checkPlies(unit, plies);
  const { counts, tex: one } = UNITS[unit];
  return counts === 'direct' ? thread / plies / one : (one * plies) / thread;
}

function checkPlies(unit: FinenessUnit, plies: number): void {
  const most = countsPlies(unit) ? MOST_PLIES : 1;
  if (!Number.isInteger(plies) || plies < 1 || plies > most) {
    throw new CoreError('not-plies', { unit, plies, most });
  }
}

/**
 * Fineness of a thread that was weighed: grams a kilometre, by definition (ISO 1144).
 * @throws CoreFault `not-above-nothing` for a weight or a length that is not.
 */
export function texByWeight(grams: number, metres: number): Tex {
  return tex((positive('grams', grams) / positive('metres', metres)) * 1000);
}

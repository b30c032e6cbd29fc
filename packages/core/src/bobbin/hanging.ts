import { CoreError } from '../errors/coreError.ts';
import { type Millimetres, positive } from '../units/quantities.ts';

/** A force in the trade's unit: the weight of so many grams. */
export type GramForce = number & { readonly unit: 'gf' };

/** No thread holds more; the worst way round of a short slip comes to some thousands. */
const MOST_TENSION = 100_000;

/** @throws CoreFault `not-a-tension` unless finite, not negative and at most {@link MOST_TENSION}. */
export function gramForce(value: number): GramForce {
  if (!Number.isFinite(value) || value < 0 || value > MOST_TENSION) {
    throw new CoreError('not-a-tension', { value });
  }
  return value as GramForce;
}

/** A case with its bobbin that hangs by its own thread. */
export interface HangingTest {
  /** Case with bobbin, in grams. */
  readonly grams: number;
  /** How far hand and case fell together before the hand stopped; nothing when it only hung. */
  readonly fall: Millimetres;
  /** How far the case slid down its thread then. */
  readonly slip: Millimetres;
  /** Thread that hung out below it and could slide through. */
  readonly freeThread: Millimetres;
}

/** How well each was read, as what a reading may be off by either way. */
export interface HangingErrors {
  readonly grams: number;
  readonly fall: number;
  readonly slip: number;
}

/** A kitchen scale and a rule held beside it; ours, no source. */
const USUAL_HANGING_ERRORS: HangingErrors = { grams: 0.5, fall: 3, slip: 3 };

/** The tension that a hanging test gives. */
export type HangingTension =
  | { readonly kind: 'at-least'; readonly tension: GramForce }
  | { readonly kind: 'below'; readonly tension: GramForce }
  | {
      readonly kind: 'measured';
      readonly tension: GramForce;
      /** With every reading off by as much as it may be, the worst way round. */
      readonly least: GramForce;
      readonly most: GramForce;
    };

/**
 * Tension at which the thread slips, by energy: what falls by H and then slides x against the tension
 * has m g (H + x) = T g x, so T = m (1 + H/x). Hanging still says only that T is at least m; sliding
 * without a fall, that it is less. Derived; friction is taken as the same at rest and sliding.
 * @throws CoreFault `not-above-nothing` for a case without weight; `slid-off` when it slid further than
 * its thread is long.
 */
export function hangingTension(
  { grams, fall, slip, freeThread }: HangingTest,
  errors: HangingErrors = USUAL_HANGING_ERRORS,
): HangingTension {
  positive('grams', grams);
  if (slip >= freeThread) throw new CoreError('slid-off', { slip, freeThread });
  if (slip === 0) return { kind: 'at-least', tension: gramForce(grams) };
  if (fall === 0) return { kind: 'below', tension: gramForce(grams) };
  const at = (m: number, h: number, x: number) => gramForce(m * (1 + h / x));
  return {
    kind: 'measured',
    tension: at(grams, fall, slip),
    least: at(
      Math.max(0, grams - errors.grams),
      Math.max(0, fall - errors.fall),
      slip + errors.slip,
    ),
    most: at(grams + errors.grams, fall + errors.fall, Math.max(slip - errors.slip, SHORTEST_SLIP)),
  };
}

/** A shorter slip cannot be distinguished from none. */
const SHORTEST_SLIP = 1;

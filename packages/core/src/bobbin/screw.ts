import { CoreError } from '../errors/coreError.ts';

/** A turn as on a clock face: minutes, clockwise plus; 1 minute is 6 degrees, 15 a quarter turn. */
export type ClockMinutes = number & { readonly unit: 'clock-minutes' };

/** More than two turns at once are no adjustment. */
const MOST_AT_ONCE = 120;

/** @throws CoreFault `not-a-turn` unless finite, not nothing and at most two turns. */
export function clockMinutes(value: number): ClockMinutes {
  if (!Number.isFinite(value) || value === 0 || Math.abs(value) > MOST_AT_ONCE) {
    throw new CoreError('not-a-turn', { value });
  }
  return value as ClockMinutes;
}

/** How far a screw may be turned: common practice. */
export const SCREW_STEP = 5;
const MOST_AT_A_TIME = 15;
const MOST_IN_ALL = 30;

export interface ScrewStand {
  /** Where the slot points now, 0 to 60, as on a clock. */
  readonly now: number;
  /** All turns together, clockwise plus. */
  readonly total: number;
  /** The one turn that leads back to the start. */
  readonly back: number;
  /** Single turns over a quarter, by place. */
  readonly overQuarter: readonly number[];
  /** Further than half a turn from the start at any time: a second opinion is owed. */
  readonly overHalf: boolean;
}

/**
 * Where a screw stands after its turns, and the way back.
 * @param start where the slot pointed before the first turn, 0 to 60 as on a clock.
 * @throws CoreFault `not-on-the-clock` for a start that is not.
 */
export function screwStand(start: number, turns: readonly ClockMinutes[]): ScrewStand {
  if (!Number.isFinite(start) || start < 0 || start > 60) {
    throw new CoreError('not-on-the-clock', { start });
  }
  let total = 0;
  let furthest = 0;
  for (const turn of turns) {
    total += turn;
    furthest = Math.max(furthest, Math.abs(total));
  }
  return {
    now: (((start + total) % 60) + 60) % 60,
    total,
    back: total === 0 ? 0 : -total,
    overQuarter: turns.flatMap((turn, index) => (Math.abs(turn) > MOST_AT_A_TIME ? [index] : [])),
    overHalf: furthest > MOST_IN_ALL,
  };
}

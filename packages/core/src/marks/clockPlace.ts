import { CoreError } from '../errors/coreError.ts';

/** An hour of a clock face around a part, from 0 (at the top) to below 12, fractions allowed. */
export type Hour = number & { readonly unit: 'hour' };

/** @throws CoreFault `not-an-hour` unless finite, at least 0 and below 12. */
export function hourOf(value: number): Hour {
  if (!Number.isFinite(value) || value < 0 || value >= 12) {
    throw new CoreError('not-an-hour', { value });
  }
  return value as Hour;
}

/** A place on a part as hands tell it: towards which hour, and how far out from its middle. */
export interface ClockPlace {
  readonly hour: Hour;
  /** 0 in the middle, 1 at the edge. */
  readonly out: number;
}

/** The same place on a disc of radius 1, x to the right and y down, as a screen counts. */
export interface DiscPoint {
  readonly x: number;
  readonly y: number;
}

export function pointOn({ hour, out }: ClockPlace): DiscPoint {
  const angle = (hour / 6) * Math.PI;
  return { x: out * Math.sin(angle), y: -out * Math.cos(angle) };
}

/** The way back from {@link pointOn}; a point beyond the edge counts as on it. */
export function placeOn({ x, y }: DiscPoint): ClockPlace {
  const turned = (Math.atan2(x, -y) / Math.PI) * 6;
  const hour = turned < 0 ? turned + 12 : turned;
  // So near below the top that rounding makes it a full twelve, it is the top.
  return { hour: hourOf(hour >= 12 ? 0 : hour), out: Math.min(1, Math.hypot(x, y)) };
}

/** How far two places lie apart, in radii of the part. */
export function apart(a: ClockPlace, b: ClockPlace): number {
  const [p, q] = [pointOn(a), pointOn(b)];
  return Math.hypot(p.x - q.x, p.y - q.y);
}

/** Two marks closer than this are one mark, recorded twice: half an hour at the edge. Ours, no source. */
export const ONE_PLACE = 0.26;

/** Those earlier marks that a place may be, the nearest first. */
export function sameAs<Mark extends ClockPlace>(
  place: ClockPlace,
  earlier: readonly Mark[],
): readonly Mark[] {
  return earlier
    .filter((mark) => apart(place, mark) <= ONE_PLACE)
    .sort((a, b) => apart(place, a) - apart(place, b));
}

import { type ClockPlace, pointOn } from './clockPlace.ts';

/** To which side a needle was pushed, as a mark shows: -1 left or back, 1 right or front, 0 neither. */
export interface Lean {
  readonly across: -1 | 0 | 1;
  /** Undefined where the part does not show it. */
  readonly along: -1 | 0 | 1 | undefined;
}

/** Nearer to the needle's line than this, in radii, a mark says nothing of a side. Ours, no source. */
const STRAIGHT = 0.15;

/**
 * The side a mark lies on from where the needle comes down.
 * @param needle where that is on the part.
 * @param showsAlong whether the part, as it is looked at, shows which side is the front.
 */
export function leanOf(mark: ClockPlace, needle: ClockPlace, showsAlong: boolean): Lean {
  const [at, down] = [pointOn(mark), pointOn(needle)];
  return {
    across: side(at.x - down.x),
    along: showsAlong ? side(at.y - down.y) : undefined,
  };
}

function side(distance: number): -1 | 0 | 1 {
  if (Math.abs(distance) <= STRAIGHT) return 0;
  return distance < 0 ? -1 : 1;
}

/** Two marks can be of one needle pushed one way: neither says left where the other says right. */
export function agree(a: Lean, b: Lean): boolean {
  return a.across * b.across !== -1 && (a.along ?? 0) * (b.along ?? 0) !== -1;
}

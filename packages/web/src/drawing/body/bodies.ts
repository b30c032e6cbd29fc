import type { Body } from './body.ts';
import { embroideryHead, overlocker } from './heads.ts';
import { dropIn, dropInMagnet, frontLoading, mini } from './household.ts';
import { roundShankStraight, sideNeedle, straightFast } from './workshop.ts';

/** One body per family of the tables. */
export const BODIES: ReadonlyMap<string, Body> = new Map([
  ['drop-in', dropIn],
  ['drop-in-magnet', dropInMagnet],
  ['front-loading', frontLoading],
  ['side-needle', sideNeedle],
  ['round-shank', embroideryHead],
  ['straight-fast', straightFast],
  ['mini', mini],
  ['overlocker', overlocker],
  ['round-shank-straight', roundShankStraight],
]);

/** The body of a family; a family that somebody added later stands as the commonest kind. */
export function bodyOf(family: string): Body {
  return BODIES.get(family) ?? frontLoading;
}

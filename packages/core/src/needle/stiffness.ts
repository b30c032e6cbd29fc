import { CoreError } from '../errors/coreError.ts';
import { type Millimetres, mm, positive } from '../units/quantities.ts';
import { bladeDiameter, type NeedleSize } from './size.ts';

/** Young's modulus of needle steel, N/mm2. */
const STEEL = 210_000;

/** Free length of the blade below the shank, typical for household needles. */
const BLADE_LENGTH = mm(25);

/** Beyond this share of its length a cantilever no longer bends in proportion. */
const SMALL_DEFLECTION = 0.2;

/**
 * How far the tip of a needle gives way sideways: a round cantilever, F L^3 / (3 E I), I = pi d^4 / 64.
 * Source: any text on strength of materials; the blade is taken as round and as thick all the way.
 * @param force at the tip, in newtons.
 * @throws CoreFault `bends-too-far` where that is no longer small: beyond a fifth of the length it
 * overstates the bend by some per cent (Bisshopp and Drucker 1945).
 */
export function tipDeflection(
  force: number,
  size: NeedleSize,
  length: Millimetres = BLADE_LENGTH,
): Millimetres {
  const d = bladeDiameter(size);
  const deflection =
    (positive('force', force) * length ** 3) / (3 * STEEL * ((Math.PI * d ** 4) / 64));
  if (deflection > SMALL_DEFLECTION * length) {
    throw new CoreError('bends-too-far', { deflection, length });
  }
  return mm(deflection);
}

/** How many times as stiff one needle is as another of the same length: fourth power of the ratio. */
export function stiffnessAgainst(size: NeedleSize, other: NeedleSize): number {
  return (size / other) ** 4;
}

import { CoreFault } from '../fault.ts';

/** A length in millimetres, never negative. */
export type Millimetres = number & { readonly unit: 'mm' };
/** An angle in degrees, at most half a turn to either side. */
export type Degrees = number & { readonly unit: 'deg' };
/** Grams a kilometre, of the finished thread. */
export type Tex = number & { readonly unit: 'tex' };
/** A count of stitches, never negative. */
export type Stitches = number & { readonly unit: 'stitches' };

/** A metre is far more than anything at a needle measures. */
export const mm = quantity<Millimetres>('not-a-length', 0, 1000);
export const degrees = quantity<Degrees>('not-an-angle', -180, 180);
/** From the finest silk to cord that no household needle carries. */
export const tex = quantity<Tex>('not-a-fineness', 1, 2000);
/** More than a machine sews in its life is a slip of the finger. */
export const stitches = quantity<Stitches>('not-a-stitch-count', 0, 1e10);

/**
 * The one checked way to a quantity.
 * @throws CoreFault `code` with what was given and the bounds, unless it lies within them.
 */
function quantity<Quantity extends number>(code: string, least: number, most: number) {
  return (value: number): Quantity => {
    if (!Number.isFinite(value) || value < least || value > most) {
      throw new CoreFault(code, { value, least, most });
    }
    return value as Quantity;
  };
}

/**
 * A number that must be above nothing, such as a weight or a speed.
 * @throws CoreFault `not-above-nothing` with its name, unless finite and positive.
 */
export function positive(name: string, value: number): number {
  if (!Number.isFinite(value) || value <= 0) {
    throw new CoreFault('not-above-nothing', { name, value });
  }
  return value;
}

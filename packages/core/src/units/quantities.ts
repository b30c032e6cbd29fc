import { CoreError } from '../errors/coreError.ts';

/** A length in millimetres, never negative. */
export type Millimetres = number & { readonly unit: 'mm' };
/** An angle in degrees, at most half a turn to either side. */
export type Degrees = number & { readonly unit: 'deg' };
/** Grams a kilometre, of the finished thread. */
export type Tex = number & { readonly unit: 'tex' };
/** A count of stitches, never negative. */
export type Stitches = number & { readonly unit: 'stitches' };

/** A metre is far more than anything at a needle measures. */
export function mm(value: number): Millimetres {
  return within('not-a-length', 0, 1000, value) as Millimetres;
}

export function degrees(value: number): Degrees {
  return within('not-an-angle', -180, 180, value) as Degrees;
}

/** From the finest silk to cord that no household needle carries. */
export function tex(value: number): Tex {
  return within('not-a-fineness', 1, 2000, value) as Tex;
}

/** More than a machine sews in its life is a slip of the finger. */
export function stitches(value: number): Stitches {
  return within('not-a-stitch-count', 0, 1e10, value) as Stitches;
}

/** @throws CoreFault `code` with what was given and the bounds, unless it lies within them. */
function within(code: string, least: number, most: number, value: number): number {
  if (!Number.isFinite(value) || value < least || value > most) {
    throw new CoreError(code, { value, least, most });
  }
  return value;
}

/**
 * A number that must be above nothing, such as a weight or a speed.
 * @throws CoreFault `not-above-nothing` with its name, unless finite and positive.
 */
export function positive(name: string, value: number): number {
  if (!Number.isFinite(value) || value <= 0) {
    throw new CoreError('not-above-nothing', { name, value });
  }
  return value;
}

import { inverse3 } from './linear.ts';
import type { Light } from './picture.ts';

/** More alike than this, beside the fabric, two colours cannot be told apart. Ours. */
export const ALIKE = 0.97;

/** How much of each colour a pixel holds is a weighed sum of how far it is from the fabric. */
export interface Unmixing {
  /** Weights of red, green and blue, for each colour that was asked for. */
  readonly weights: readonly (readonly number[])[];
  /** Standard deviation of each by the fabric's own unevenness, a pixel. */
  readonly spreads: readonly number[];
}

/**
 * Parts a pixel's colour in those of the threads, told as how far each lies from the fabric's, so that what the fabric
 * itself varies in disturbs least (generalised least squares). At most three.
 * @param unlike inverse of the fabric's covariance, by rows
 */
export function unmixing(ends: readonly Light[], unlike: readonly number[]): Unmixing {
  const weighed = ends.map((end) => [0, 1, 2].map((row) => dot3(unlike, row, end)));
  const grams = [0, 1, 2].flatMap((row) =>
    [0, 1, 2].map((column) => {
      const [one, other] = [weighed[row], ends[column]];
      if (!one || !other) return row === column ? 1 : 0;
      return one.reduce((sum, part, at) => sum + part * (other[at] ?? 0), 0);
    }),
  );
  const inverse = inverse3(grams);
  const weights = ends.map((_, row) =>
    [0, 1, 2].map((part) =>
      ends.reduce(
        (sum, __, column) =>
          sum + (inverse[3 * row + column] ?? 0) * (weighed[column]?.[part] ?? 0),
        0,
      ),
    ),
  );
  return { weights, spreads: ends.map((_, row) => Math.sqrt(Math.max(0, inverse[4 * row] ?? 0))) };
}

/** How alike two colours are beside the fabric, from -1 to 1: 1 is one and the same, more or less of it. */
export function likeness(one: Light, other: Light, unlike: readonly number[]): number {
  const sizes = unlikenessOf(one, unlike) * unlikenessOf(other, unlike);
  return sizes > 0 ? product(one, other, unlike) / Math.sqrt(sizes) : 0;
}

/** How far from the fabric a colour is, squared, in standard deviations of what the fabric itself varies in. */
export function unlikenessOf(off: Light, unlike: readonly number[]): number {
  return product(off, off, unlike);
}

function product(one: Light, other: Light, unlike: readonly number[]): number {
  return (
    one[0] * dot3(unlike, 0, other) +
    one[1] * dot3(unlike, 1, other) +
    one[2] * dot3(unlike, 2, other)
  );
}

function dot3(matrix: readonly number[], row: number, [x, y, z]: Light): number {
  return (
    (matrix[3 * row] ?? 0) * x + (matrix[3 * row + 1] ?? 0) * y + (matrix[3 * row + 2] ?? 0) * z
  );
}

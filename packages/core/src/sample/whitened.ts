import { type Light, type Plane, weighed } from './picture.ts';
import type { Strip } from './seamLine.ts';

/** Three numbers a pixel in which the fabric itself varies alike and by one: what differs in them stands out as much as it is unlike. */
export type Whitened = readonly [Plane, Plane, Plane];

/**
 * The rows of a matrix that makes the fabric's own colours vary alike (Cholesky factor of the inverse covariance).
 * @param unlike inverse of the fabric's covariance, by rows
 */
export function whitening(unlike: readonly number[]): readonly (readonly number[])[] {
  const at = (row: number, column: number) => unlike[3 * row + column] ?? 0;
  const a = Math.sqrt(at(0, 0));
  const [b, c] = [at(0, 1) / a, at(0, 2) / a];
  const d = Math.sqrt(Math.max(1e-9, at(1, 1) - b * b));
  const e = (at(1, 2) - b * c) / d;
  const f = Math.sqrt(Math.max(1e-9, at(2, 2) - c * c - e * e));
  return [
    [a, b, c],
    [0, d, e],
    [0, 0, f],
  ];
}

export function whitened({ planes }: Strip, unlike: readonly number[]): Whitened {
  const { width, height } = planes[0];
  return whitening(unlike).map((row) => ({
    width,
    height,
    data: weighed(planes, row),
  })) as unknown as Whitened;
}

/** A colour as such three numbers. */
export type Triple = readonly [number, number, number];

export function times(rows: readonly (readonly number[])[], light: Light): Triple {
  return rows.map((row) =>
    row.reduce((sum, one, at) => sum + one * (light[at] ?? 0), 0),
  ) as unknown as Triple;
}

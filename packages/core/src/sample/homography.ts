import { CoreError } from '../errors/coreError.ts';
import type { Point } from '../linkage/aroundDisc.ts';
import { solved } from './linear.ts';

/** A plane seen from anywhere: nine numbers by rows, the last one 1. */
export type Homography = readonly number[];

/** How the plane of a sample is seen in a picture of it. */
export interface PlaneView {
  /** From millimetres on the plane to places in the picture; a pixel's middle is at its whole numbers. */
  readonly toPicture: Homography;
  /** Pixels a millimetre in the middle of the sample. */
  readonly scale: number;
}

/** The view that takes four points to four others. @throws CoreFault `no-view` where three of them lie in a line. */
export function homographyOf(from: readonly Point[], to: readonly Point[]): Homography {
  const rows: number[][] = [];
  for (const [index, { x, y }] of from.slice(0, 4).entries()) {
    const { x: u, y: v } = to[index] ?? { x: Number.NaN, y: Number.NaN };
    rows.push([x, y, 1, 0, 0, 0, -u * x, -u * y, u]);
    rows.push([0, 0, 0, x, y, 1, -v * x, -v * y, v]);
  }
  const view = solved(rows);
  if (!view) throw new CoreError('no-view', {});
  return [...view, 1];
}

/** Where a point comes to lie. */
export function through(view: Homography, { x, y }: Point): Point {
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0, i = 1] = view;
  const w = g * x + h * y + i;
  return { x: (a * x + b * y + c) / w, y: (d * x + e * y + f) / w };
}

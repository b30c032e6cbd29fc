import { CoreError } from '../errors/coreError.ts';
import type { Point } from '../linkage/aroundDisc.ts';

/** A plane seen from anywhere: nine numbers by rows, the last one 1. */
export type Homography = readonly number[];

/** The view that takes four points to four others. @throws CoreFault `no-view` where three of them lie in a line. */
export function homographyOf(from: readonly Point[], to: readonly Point[]): Homography {
  const rows: number[][] = [];
  for (const [index, { x, y }] of from.slice(0, 4).entries()) {
    const { x: u, y: v } = to[index] ?? { x: Number.NaN, y: Number.NaN };
    rows.push([x, y, 1, 0, 0, 0, -u * x, -u * y, u]);
    rows.push([0, 0, 0, x, y, 1, -v * x, -v * y, v]);
  }
  return [...solved(rows), 1];
}

/** Where a point comes to lie. */
export function through(view: Homography, { x, y }: Point): Point {
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0, i = 1] = view;
  const w = g * x + h * y + i;
  return { x: (a * x + b * y + c) / w, y: (d * x + e * y + f) / w };
}

/** By Gauss, with the largest pivot of each column. Each row ends in its right side. */
function solved(rows: number[][]): readonly number[] {
  const count = rows.length;
  for (let column = 0; column < count; column += 1) {
    let pivot = column;
    for (let row = column + 1; row < count; row += 1)
      if (Math.abs(rows[row]?.[column] ?? 0) > Math.abs(rows[pivot]?.[column] ?? 0)) pivot = row;
    const chosen = rows[pivot] ?? [];
    rows[pivot] = rows[column] ?? [];
    rows[column] = chosen;
    const lead = chosen[column] ?? 0;
    if (!(Math.abs(lead) > 1e-12)) throw new CoreError('no-view', { column });
    for (let row = 0; row < count; row += 1) {
      const other = rows[row];
      if (row === column || !other) continue;
      const times = (other[column] ?? 0) / lead;
      if (times === 0) continue;
      for (let at = column; at <= count; at += 1)
        other[at] = (other[at] ?? 0) - times * (chosen[at] ?? 0);
    }
  }
  return rows.map((row, index) => (row[count] ?? 0) / (row[index] ?? 1));
}

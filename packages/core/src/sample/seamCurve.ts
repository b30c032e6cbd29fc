import type { Point } from '../linkage/aroundDisc.ts';
import { leastSquares } from './linear.ts';
import { quantile } from './spacing.ts';

/** The line that a seam was sewn along, in the unit of the holes' places. */
export interface SeamCurve {
  /** Along it from the first hole to the last. */
  readonly run: number;
  /** Standard deviation of the holes across it, without the stray ones. */
  readonly wander: number;
  /** Which of the places bend it; the others lie too far off it to be holes of this seam. */
  readonly near: readonly number[];
  /** Between the swings; nothing for a straight seam. */
  readonly width: number;
  /** A place on it and which way it runs there: -1 at the first hole, 1 at the last, and beyond them. */
  readonly at: (part: number) => Point & { readonly heading: number };
  /** Between the first hole and the last, straight. */
  readonly chord: number;
  /** How far along it the point lies that is nearest to a place, from about the first hole on. */
  readonly runTo: (place: Point) => number;
}

/** Pieces in which the curve's length is summed. */
const PIECES = 200;
/** So many steps find the nearest point of a curve that hardly bends. */
const FOOT_STEPS = 4;
/** A hole that lies farther off the curve than this, in usual deviations, does not bend it. Ours. */
const OUTLYING = 4;

/**
 * A curve of the third degree through a seam's holes, each side of a zigzag beside it. What the curve takes along of their
 * scatter is counted back (degrees of freedom).
 * @param places of the holes, in order
 * @param sides of each, -1 or 1; all 0 for a straight seam
 */
export function seamCurve(
  places: readonly Point[],
  sides: readonly number[],
): SeamCurve | undefined {
  const [first, last] = [places[0], places.at(-1)];
  if (!first || !last) return undefined;
  const heading = Math.atan2(last.y - first.y, last.x - first.x);
  const [cos, sin] = [Math.cos(heading), Math.sin(heading)];
  const chord = Math.hypot(last.x - first.x, last.y - first.y);
  const half = chord / 2;
  const isZigzag = sides.some((side) => side !== 0);
  const alongs = places.map(({ x, y }) => ((x - first.x) * cos + (y - first.y) * sin) / half - 1);
  const offs = places.map(({ x, y }) => (y - first.y) * cos - (x - first.x) * sin);
  const rows = alongs.map((along, index) => {
    const curve = [1, along, along ** 2, along ** 3];
    return isZigzag ? [...curve, sides[index] ?? 0] : curve;
  });
  const offsOf = (weights: readonly number[]) =>
    rows.map((row, index) => (offs[index] ?? 0) - dot(row, weights));
  const rough = leastSquares(rows, offs);
  if (!rough) return undefined;
  const away = offsOf(rough).map(Math.abs);
  const most = OUTLYING * 1.48 * quantile(away, 0.5) + 1e-9;
  const near = rows.flatMap((_, index) => ((away[index] ?? 0) <= most ? [index] : []));
  const fitted = leastSquares(
    near.map((index) => rows[index] ?? []),
    near.map((index) => offs[index] ?? 0),
  );
  const free = near.length - (rows[0]?.length ?? 0);
  if (!fitted || free < 1) return undefined;
  const off = offsOf(fitted);
  const squares = near.reduce((sum, index) => sum + (off[index] ?? 0) ** 2, 0);
  const [a = 0, b = 0, c = 0, d = 0, side = 0] = fitted;
  const slopeAt = (part: number) => (b + 2 * c * part + 3 * d * part * part) / half;
  const runTo = (part: number) => {
    let run = 0;
    const piece = (part + 1) / PIECES;
    for (let at = 0; at < PIECES; at += 1)
      run += half * piece * Math.hypot(1, slopeAt((at + 0.5) * piece - 1));
    return run;
  };
  const at: SeamCurve['at'] = (part) => {
    const off = a + part * (b + part * (c + part * d));
    const along = (part + 1) * half;
    return {
      x: first.x + along * cos - off * sin,
      y: first.y + along * sin + off * cos,
      heading: heading + Math.atan(slopeAt(part)),
    };
  };
  return {
    run: runTo(alongs.at(-1) ?? 1) - runTo(alongs[0] ?? -1),
    wander: Math.sqrt(squares / free),
    near,
    width: 2 * side,
    chord,
    at,
    runTo: ({ x, y }) => {
      let part = ((x - first.x) * cos + (y - first.y) * sin) / half - 1;
      for (let step = 0; step < FOOT_STEPS; step += 1) {
        const foot = at(part);
        const ahead = (x - foot.x) * Math.cos(foot.heading) + (y - foot.y) * Math.sin(foot.heading);
        part += ahead / half / Math.hypot(1, slopeAt(part));
      }
      return runTo(part);
    },
  };
}

function dot(row: readonly number[], weights: readonly number[]): number {
  return row.reduce((sum, part, at) => sum + part * (weights[at] ?? 0), 0);
}

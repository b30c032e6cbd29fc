import { valueAt } from './picture.ts';
import type { Whitened } from './whitened.ts';

/** A small square piece about a place, three numbers a pixel: all of the first, then of the second, then of the third. */
export interface Patch {
  /** Pixels from the middle to each edge. */
  readonly reach: number;
  readonly values: Float64Array;
}

/** A place on a strip in pixels; mirrored pieces run the other way across the seam. */
export interface PatchPlace {
  readonly u: number;
  readonly v: number;
  readonly side: 1 | -1;
}

export function patchAt(planes: Whitened, { u, v, side }: PatchPlace, reach: number): Patch {
  const size = 2 * reach + 1;
  const values = new Float64Array(3 * size * size);
  let at = 0;
  for (const plane of planes)
    for (let y = -reach; y <= reach; y += 1)
      for (let x = -reach; x <= reach; x += 1, at += 1)
        values[at] = valueAt(plane, u + x, v + side * y);
  return { reach, values };
}

export function meanPatch(planes: Whitened, places: readonly PatchPlace[], reach: number): Patch {
  const size = 2 * reach + 1;
  const values = new Float64Array(3 * size * size);
  for (const place of places) {
    const one = patchAt(planes, place, reach);
    for (let at = 0; at < values.length; at += 1)
      values[at] = (values[at] ?? 0) + (one.values[at] ?? 0) / places.length;
  }
  return { reach, values };
}

/** How much each pixel of a piece counts: its middle most. */
export function bellOf(reach: number, sigma: number): Float64Array {
  const size = 2 * reach + 1;
  return Float64Array.from({ length: size * size }, (_, at) => {
    const [x, y] = [(at % size) - reach, Math.floor(at / size) - reach];
    return Math.exp(-(x * x + y * y) / (2 * sigma * sigma));
  });
}

/** Weighed mean squared difference of two pieces. */
export function misfitOf(one: Patch, other: Patch, bell: Float64Array): number {
  let [sum, whole] = [0, 0];
  const pixels = bell.length;
  for (let at = 0; at < one.values.length; at += 1) {
    const weight = bell[at % pixels] ?? 0;
    const off = (one.values[at] ?? 0) - (other.values[at] ?? 0);
    sum += weight * off * off;
    whole += weight;
  }
  return sum / whole;
}

/** Moved at most so often, and at most so far by one step, in pixels. */
const MOVES = 6;
const MOST_MOVE = 0.8;

/**
 * Moves a place until what lies there fits a piece best (Gauss-Newton).
 * Source: Lucas & Kanade, An iterative image registration technique, 1981.
 */
export function alignedTo(
  planes: Whitened,
  usual: Patch,
  bell: Float64Array,
  from: PatchPlace,
): PatchPlace {
  const { reach } = usual;
  const size = 2 * reach + 1;
  let place = from;
  for (let move = 0; move < MOVES; move += 1) {
    const seen = patchAt(planes, place, reach);
    let [xx, xy, yy, xr, yr] = [1e-6, 0, 1e-6, 0, 0];
    for (let part = 0; part < 3; part += 1)
      for (let y = 1; y < size - 1; y += 1)
        for (let x = 1; x < size - 1; x += 1) {
          const pixel = y * size + x;
          const at = part * size * size + pixel;
          const { values } = seen;
          const slopeX = ((values[at + 1] ?? 0) - (values[at - 1] ?? 0)) / 2;
          const slopeY = ((values[at + size] ?? 0) - (values[at - size] ?? 0)) / 2;
          const weight = bell[pixel] ?? 0;
          const off = (usual.values[at] ?? 0) - (values[at] ?? 0);
          xx += weight * slopeX * slopeX;
          xy += weight * slopeX * slopeY;
          yy += weight * slopeY * slopeY;
          xr += weight * slopeX * off;
          yr += weight * slopeY * off;
        }
    const whole = xx * yy - xy * xy;
    if (!(whole > 1e-9)) return place;
    const clip = (one: number) => Math.min(MOST_MOVE, Math.max(-MOST_MOVE, one));
    const [moveU, moveV] = [clip((xr * yy - yr * xy) / whole), clip((yr * xx - xr * xy) / whole)];
    place = { ...place, u: place.u + moveU, v: place.v + place.side * moveV };
    if (Math.hypot(moveU, moveV) < 0.01) break;
  }
  return place;
}

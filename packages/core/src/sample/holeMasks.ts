import { HOLE_WIDTHS, otherThreadAt } from '../tension/seamPicture.ts';
import { blurredSquare } from './blurredSquare.ts';
import type { Patch } from './patch.ts';
import type { Triple } from './whitened.ts';

/** What a usual hole of a face is fitted with: millimetres, and colours as the patch has them. */
export interface HoleScene {
  readonly patch: Patch;
  /** Pixels a millimetre. */
  readonly scale: number;
  /** How far a leg goes along the seam and across it. */
  readonly leg: readonly [along: number, across: number];
  readonly hole: Triple;
}

/** A usual thread's width, in millimetres. Common practice, no source. */
export const THREAD_WIDTH = 0.25;

/** How a scene is seen: the standard deviation of its blur, and how far aside the hole lies, both in millimetres. */
export interface HoleView {
  readonly soft: number;
  readonly aside: number;
}

/** Places in a pixel at which it is asked what lies there, each way. */
const FINE = 2;
/** Looked at this far beside a leg or hole, in millimetres. */
const BESIDE = 0.4;

/** How much of each pixel of a patch is what. */
export interface Masks {
  readonly own: Float64Array;
  readonly other: Float64Array;
  readonly hole: Float64Array;
}

/**
 * What would be seen of its own thread, the other one, and the hole, before any blur.
 * @param width of the threads, in millimetres
 * @param drawn how far the knot is drawn to this face
 */
export function sharpMasks(
  { patch: { reach }, scale, leg }: HoleScene,
  width: number,
  drawn: number,
  aside: number,
): Masks {
  const size = 2 * reach + 1;
  const masks = {
    own: new Float64Array(size * size),
    other: new Float64Array(size * size),
    hole: new Float64Array(size * size),
  };
  const { dot, along } = otherThreadAt(drawn);
  const radius = HOLE_WIDTHS * width;
  const filled = radius * Math.sqrt(dot);
  const length = Math.hypot(...leg);
  const [dirX, dirY] = [leg[0] / length, leg[1] / length];
  // An edge is as wide as what stands for it.
  const fine = scale * FINE;
  const within = (inside: number) => Math.min(1, Math.max(0, inside * fine + 0.5));
  const part = 1 / (FINE * FINE);
  for (let y = 0; y < size * FINE; y += 1)
    for (let x = 0; x < size * FINE; x += 1) {
      // Both legs go the same way across, one forwards and one back.
      const inX = Math.abs(((x + 0.5) / FINE - 0.5 - reach) / scale);
      const inY = ((y + 0.5) / FINE - 0.5 - reach) / scale - aside;
      const away = Math.sqrt(inX * inX + inY * inY);
      const run = inX * dirX + inY * dirY;
      const onLeg = within(width / 2 - Math.abs(inX * dirY - inY * dirX)) * within(run);
      const drawnOut = along > 0 ? onLeg * within(along * length - run) : 0;
      const other = Math.max(filled > 0 ? within(filled - away) : 0, drawnOut);
      const hole = within(radius - away);
      let own = onLeg * (1 - hole);
      if (dirY > 0) {
        // The next hole's leg comes down beside this one's.
        const nextX = nextHole(leg) - inX;
        own = Math.max(own, within(width / 2 - Math.abs(nextX * dirY - inY * dirX)) * within(inY));
      }
      const at = Math.floor(y / FINE) * size + Math.floor(x / FINE);
      masks.own[at] = (masks.own[at] ?? 0) + part * own * (1 - other);
      masks.other[at] = (masks.other[at] ?? 0) + part * other;
      masks.hole[at] = (masks.hole[at] ?? 0) + part * hole * (1 - other);
    }
  return masks;
}

export function softened(
  { patch: { reach }, scale }: HoleScene,
  { own, other, hole }: Masks,
  { soft }: Pick<HoleView, 'soft'>,
): Masks {
  const blurred = (mask: Float64Array) => blurredSquare(mask, 2 * reach + 1, soft * scale);
  return { own: blurred(own), other: blurred(other), hole: blurred(hole) };
}

/** Which pixels count: about the hole and its legs, and nearer to this hole than to the next. */
export function countedIn({ patch: { reach }, scale, leg }: HoleScene, width: number): Uint32Array {
  const size = 2 * reach + 1;
  const [along, across] = leg;
  const length = Math.hypot(along, across);
  return Uint32Array.from(
    Array.from({ length: size * size }, (_, at) => at).filter((at) => {
      const [x, y] = [((at % size) - reach) / scale, (Math.floor(at / size) - reach) / scale];
      if (Math.abs(x) > nextHole(leg) / 2) return false;
      const run = (Math.abs(x) * along + y * across) / length;
      const off = Math.abs(Math.abs(x) * across - y * along) / length;
      const isNearLeg = run > 0 && off < width / 2 + BESIDE;
      return isNearLeg || Math.hypot(x, y) < HOLE_WIDTHS * width + BESIDE;
    }),
  );
}

/** How far along the seam the next hole at this side lies. */
function nextHole([along, across]: HoleScene['leg']): number {
  return across === 0 ? along : 2 * along;
}

/**
 * What a hole looks like that a straight seam's threads passed: what of it the leg leaves bare, as open as a needle leaves it.
 * @param leg what a leg looks like that passes
 */
export function passedHole(
  { scale, hole }: HoleScene,
  leg: Patch,
  width: number,
  { soft }: HoleView,
): Patch {
  const size = 2 * leg.reach + 1;
  const bare = new Float64Array(size * size);
  for (let y = 0; y < size * FINE; y += 1)
    for (let x = 0; x < size * FINE; x += 1) {
      const inX = ((x + 0.5) / FINE - 0.5 - leg.reach) / scale;
      const inY = Math.abs(((y + 0.5) / FINE - 0.5 - leg.reach) / scale);
      if (inY < width / 2 || inX * inX + inY * inY > (HOLE_WIDTHS * width) ** 2) continue;
      const at = Math.floor(y / FINE) * size + Math.floor(x / FINE);
      bare[at] = (bare[at] ?? 0) + OPEN / (FINE * FINE);
    }
  const soften = blurredSquare(bare, size, soft * scale);
  const values = leg.values.map(
    (value, at) =>
      value + (hole[Math.floor(at / bare.length)] ?? 0) * (soften[at % bare.length] ?? 0),
  );
  return { reach: leg.reach, values };
}

/** A hole that no thread was drawn through closes by about half. Ours. */
const OPEN = 0.5;

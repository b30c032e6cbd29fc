import { HOLE_WIDTHS, otherThreadAt } from '../tension/seamPicture.ts';
import type { Patch } from './patch.ts';

/** What a hole's picture is fitted with: millimetres, and colours as the patch has them. */
export interface HoleScene {
  readonly patch: Patch;
  /** Pixels a millimetre. */
  readonly scale: number;
  /** How far a leg goes along the seam and across it. */
  readonly leg: readonly [along: number, across: number];
  readonly other: Triple;
  readonly hole: Triple;
}

export type Triple = readonly [number, number, number];

/** How far the knot may be drawn to a face, -1 to 1, and how wide the threads and how soft the picture may be, in millimetres. */
export const DRAWN: readonly number[] = Array.from({ length: 57 }, (_, index) => -0.4 + index * 0.025);
export const WIDTHS = [0.92, 0.96, 1, 1.04, 1.08] as const;
const SOFT = [0.02, 0.05, 0.08, 0.12, 0.16, 0.2, 0.25] as const;
/** Places in a pixel at which it is asked what lies there, each way. */
const FINE = 3;
/** Looked at this far beside a leg or hole, in millimetres. */
const BESIDE = 0.4;

/** What fits a hole's picture. */
export interface HoleFit {
  /** Mean squared difference for each of {@link DRAWN}, with the softness that fits best. */
  readonly misfits: readonly number[];
  /** Its own thread's colour as it fits best. */
  readonly own: Triple;
}

/**
 * How badly each picture of a hole fits, and its own thread's colour where it fits best.
 * @param width of the threads, in millimetres
 */
export function fitOfHole(scene: HoleScene, width: number): HoleFit {
  const weights = weightsOf(scene, width);
  const soft = softnessOf(scene, width, weights);
  const fits = DRAWN.map((drawn) => fitOf(scene, masksOf(scene, width, drawn), soft, weights));
  const misfits = fits.map(({ misfit }) => misfit);
  const own = fits[misfits.indexOf(Math.min(...misfits))]?.own ?? [0, 0, 0];
  return { misfits, own };
}

/** The softness of the picture at a few balances; the best of them all. */
function softnessOf(scene: HoleScene, width: number, weights: Float64Array): number {
  let [best, soft] = [Number.POSITIVE_INFINITY, SOFT[0] as number];
  for (const drawn of [-0.4, -0.1, 0.15, 0.4, 0.7, 0.9]) {
    const masks = masksOf(scene, width, drawn);
    for (const one of SOFT) {
      const { misfit } = fitOf(scene, masks, one, weights);
      if (misfit < best) [best, soft] = [misfit, one];
    }
  }
  return soft;
}

/** Which pixels count: about the hole and its legs, and nearer to this hole than to the next. */
function weightsOf({ patch: { reach }, scale, leg }: HoleScene, width: number): Float64Array {
  const size = 2 * reach + 1;
  const [along, across] = leg;
  const length = Math.hypot(along, across);
  const nextHole = across === 0 ? along : 2 * along;
  return Float64Array.from({ length: size * size }, (_, at) => {
    const [x, y] = [((at % size) - reach) / scale, (Math.floor(at / size) - reach) / scale];
    if (Math.abs(x) > nextHole / 2) return 0;
    const run = (Math.abs(x) * along + y * across) / length;
    const off = Math.abs(Math.abs(x) * across - y * along) / length;
    const isNearLeg = run > 0 && off < width / 2 + BESIDE;
    return isNearLeg || Math.hypot(x, y) < HOLE_WIDTHS * width + BESIDE ? 1 : 0;
  });
}

/** How much of each pixel is its own thread, the other one, and the hole. */
function masksOf(
  { patch: { reach }, scale, leg: [along, across] }: HoleScene,
  width: number,
  drawn: number,
): readonly [Float64Array, Float64Array, Float64Array] {
  const size = 2 * reach + 1;
  const masks = [0, 1, 2].map(() => new Float64Array(size * size)) as unknown as readonly [
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  const other = otherThreadAt(drawn);
  const hole = HOLE_WIDTHS * width;
  const dot = hole * Math.sqrt(other.dot);
  const length = Math.hypot(along, across);
  const [dirX, dirY] = [along / length, across / length];
  for (let y = 0; y < size * FINE; y += 1)
    for (let x = 0; x < size * FINE; x += 1) {
      // Both legs go the same way across, one forwards and one back.
      const inX = Math.abs(((x + 0.5) / FINE - 0.5 - reach) / scale);
      const inY = ((y + 0.5) / FINE - 0.5 - reach) / scale;
      const away = Math.hypot(inX, inY);
      const run = inX * dirX + inY * dirY;
      const isOnLeg = run >= 0 && Math.abs(inX * dirY - inY * dirX) <= width / 2;
      const isOther = away <= dot || (isOnLeg && run <= other.along * length);
      const mask = isOther ? masks[1] : away <= hole ? masks[2] : isOnLeg ? masks[0] : undefined;
      if (!mask) continue;
      const at = Math.floor(y / FINE) * size + Math.floor(x / FINE);
      mask[at] = (mask[at] ?? 0) + 1 / (FINE * FINE);
    }
  return masks;
}

/** Other thread and hole as told; its own thread and the fabric about it as they fit best (least squares). */
function fitOf(
  { patch, scale, other, hole }: HoleScene,
  masks: readonly Float64Array[],
  soft: number,
  weights: Float64Array,
): { readonly misfit: number; readonly own: Triple } {
  const size = 2 * patch.reach + 1;
  const [a, b, c] = masks.map((mask) => blurred(mask, size, soft * scale)) as [
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  let [aa, a1, whole] = [1e-9, 0, 1e-9];
  for (let at = 0; at < a.length; at += 1) {
    const [weight, line] = [weights[at] ?? 0, a[at] ?? 0];
    aa += weight * line * line;
    a1 += weight * line;
    whole += weight;
  }
  const own: [number, number, number] = [0, 0, 0];
  let misfit = 0;
  for (let part = 0; part < 3; part += 1) {
    let [ay, y1, yy] = [0, 0, 0];
    for (let at = 0; at < a.length; at += 1) {
      const weight = weights[at] ?? 0;
      if (weight === 0) continue;
      const seen = patch.values[part * a.length + at] ?? 0;
      const left = seen - (other[part] ?? 0) * (b[at] ?? 0) - (hole[part] ?? 0) * (c[at] ?? 0);
      ay += weight * (a[at] ?? 0) * left;
      y1 += weight * left;
      yy += weight * left * left;
    }
    const line = (ay - (a1 * y1) / whole) / (aa - (a1 * a1) / whole);
    const ground = (y1 - a1 * line) / whole;
    own[part] = line;
    misfit += yy - line * ay - ground * y1;
  }
  return { misfit: misfit / (3 * whole), own };
}

/** By a bell; beyond the edge it goes on as at the edge. */
function blurred(mask: Float64Array, size: number, sigma: number): Float64Array {
  if (sigma < 0.2) return mask;
  const reach = Math.ceil(2.6 * sigma);
  const kernel = Array.from({ length: 2 * reach + 1 }, (_, at) =>
    Math.exp(-((at - reach) ** 2) / (2 * sigma * sigma)),
  );
  const whole = kernel.reduce((sum, one) => sum + one, 0);
  let now = mask;
  for (const step of [1, size]) {
    const next = new Float64Array(now.length);
    for (let at = 0; at < now.length; at += 1) {
      const place = step === 1 ? at % size : Math.floor(at / size);
      let sum = 0;
      for (let index = 0; index <= 2 * reach; index += 1) {
        const off = Math.min(size - 1 - place, Math.max(-place, index - reach));
        sum += (kernel[index] ?? 0) * (now[at + off * step] ?? 0);
      }
      next[at] = sum / whole;
    }
    now = next;
  }
  return now;
}

import { type Light, weighed } from './picture.ts';
import type { Strip } from './seamLine.ts';
import { quantile } from './spacing.ts';
import { likeness, type Unmixing, unlikenessOf, unmixing } from './unmix.ts';

/**
 * What most places along the seam that are unlike the fabric have in common: of two colours the one that lies at more of
 * them. The other one, and the holes, come once a stitch, though they may cover more.
 */
export function ownColour(strip: Strip, unlike: readonly number[]): Light {
  const [red, green, blue] = strip.planes;
  const { width } = red;
  const lights = Array.from(
    red.data,
    (one, at): Light => [one, green.data[at] ?? 0, blue.data[at] ?? 0],
  );
  const sizes = lights.map((off) => unlikenessOf(off, unlike));
  // On a sharp picture of an even fabric the faintest edge of a thread is unlike it as well.
  const clear = Math.max(
    SEEN,
    CLEAR *
      quantile(
        sizes.filter((size) => size > SEEN),
        0.9,
      ),
  );
  const seen = lights.flatMap((off, at) =>
    (sizes[at] ?? 0) > clear ? [{ off, column: at % width }] : [],
  );
  let first = meanOf(seen);
  let second = meanOf(seen.filter(({ off }) => likeness(off, first, unlike) < 0.8));
  for (let round = 0; round < 6; round += 1) {
    const isFirst = ({ off }: Seen) =>
      likeness(off, first, unlike) >= likeness(off, second, unlike);
    const [one, other] = [seen.filter(isFirst), seen.filter((pixel) => !isFirst(pixel))];
    if (other.length < 0.05 * seen.length) break;
    [first, second] =
      columnsOf(one) >= columnsOf(other)
        ? [meanOf(one), meanOf(other)]
        : [meanOf(other), meanOf(one)];
  }
  return first;
}

interface Seen {
  readonly off: Light;
  readonly column: number;
}

function columnsOf(pixels: readonly Seen[]): number {
  return new Set(pixels.map(({ column }) => column)).size;
}

/** A pixel as unlike the fabric as this, squared, is a thread's. */
const SEEN = 25;
/** And as this part of what the clearest ones are. */
const CLEAR = 0.2;

function meanOf(pixels: readonly Seen[]): Light {
  return [0, 1, 2].map(
    (part) =>
      pixels.reduce((sum, { off }) => sum + (off[part] ?? 0), 0) / Math.max(1, pixels.length),
  ) as unknown as Light;
}

/** How far a hole in the fabric is from it: dark as this part of it. */
export function holeIn(fabric: Light): Light {
  return fabric.map((part) => (HOLE - 1) * part) as unknown as Light;
}

const HOLE = 0.15;

/** How much of one colour each pixel of the strip holds. */
export function amountOf({ planes }: Strip, { weights }: Unmixing, of: number): Float32Array {
  return weighed(planes, weights[of] ?? []);
}

/** How much each pixel holds that is neither fabric nor of one colour, in standard deviations of the fabric; the least is none. */
export function restOf({ planes }: Strip, colour: Light, unlike: readonly number[]): Float32Array {
  const [red, green, blue] = planes.map(({ data }) => data) as [
    Float32Array,
    Float32Array,
    Float32Array,
  ];
  const [[r = 0, g = 0, b = 0] = []] = unmixing([colour], unlike).weights;
  return red.map((one, at) => {
    const off: Light = [one, green[at] ?? 0, blue[at] ?? 0];
    const amount = r * off[0] + g * off[1] + b * off[2];
    const rest: Light = [
      off[0] - amount * colour[0],
      off[1] - amount * colour[1],
      off[2] - amount * colour[2],
    ];
    return Math.max(0, Math.sqrt(Math.max(0, unlikenessOf(rest, unlike))) - FABRIC);
  });
}

/** The fabric itself is hardly ever more unlike itself than this. */
const FABRIC = 3;

/** How far from the seam's line half of its thread lies, in millimetres: lint and cut ends beside it hardly change that. */
export function lateralSpread(strip: Strip, mass: Float32Array, noise: number): number {
  const { width, height } = strip.planes[0];
  const middle = (height - 1) / 2;
  const away = new Float64Array(Math.ceil(middle) + 1);
  let sum = 0;
  for (let v = 0; v < height; v += 1)
    for (let u = 0; u < width; u += 1) {
      const amount = mass[v * width + u] ?? 0;
      if (amount < Math.max(0.25, 3 * noise)) continue;
      const at = Math.round(Math.abs(v - middle));
      away[at] = (away[at] ?? 0) + amount;
      sum += amount;
    }
  let passed = 0;
  const half = away.findIndex((one) => {
    passed += one;
    return passed >= sum / 2;
  });
  return Math.max(0, half) / strip.scale;
}

/** Sum across a band of the strip at each column, in millimetres. */
export function bandSum(strip: Strip, mass: Float32Array, from: number, to: number): Float64Array {
  const { width, height } = strip.planes[0];
  const middle = (height - 1) / 2;
  const sums = new Float64Array(width);
  for (
    let v = Math.max(0, Math.round(middle + from * strip.scale));
    v <= Math.min(height - 1, middle + to * strip.scale);
    v += 1
  )
    for (let u = 0; u < width; u += 1)
      sums[u] = (sums[u] ?? 0) + (mass[v * width + u] ?? 0) / strip.scale;
  return sums;
}

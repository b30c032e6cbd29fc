import { bandSum } from './amounts.ts';
import type { ReadHole } from './readHole.ts';
import { refused } from './refusal.ts';
import type { Strip } from './seamLine.ts';
import {
  asMarks,
  quantile,
  REGULAR,
  SPACING,
  smoothed,
  spacedMarks,
  spacingOf,
} from './spacing.ts';

/** Half of the band in which a straight seam's thread lies, in millimetres. */
export const BAND = 0.75;

/**
 * Holes of a straight seam: where its own thread dips into the fabric, and where something else shows, a dark hole or the
 * other thread; each counts the more the more regularly it comes.
 * @param mass how much of its own thread each pixel holds
 * @param clear the same, where it stands out
 * @param rest what is neither that nor fabric
 */
export function straightHoles(
  strip: Strip,
  { mass, clear, rest }: Readonly<Record<'mass' | 'clear' | 'rest', Float32Array>>,
): readonly ReadHole[] {
  const { scale } = strip;
  const along = bandSum(strip, mass, -BAND, BAND);
  const usual = quantile([...along], 0.6);
  const signs = [along.map((one) => 1 - one / usual), bandSum(strip, rest, -BAND, BAND)]
    .map((sign) => upwards(smoothed(sign, SMOOTHED * scale)))
    .flatMap((sign) => {
      const found = spacingOf(sign, SPACING.least * scale, SPACING.most * scale);
      return found && found.regular >= REGULAR ? [{ sign, ...found }] : [];
    })
    .toSorted((a, b) => b.regular - a.regular);
  const [first] = signs;
  if (!first) throw refused('not-regular');
  const { spacing } = first;
  // A sign that repeats otherwise tells of something else.
  const agreed = signs.filter((one) => Math.abs(one.spacing / spacing - 1) < 0.06);
  const signal = new Float64Array(along.length);
  const whole = agreed.reduce((sum, one) => sum + one.regular ** 2, 0);
  for (const one of agreed) {
    const marks = asMarks(one.sign, spacing);
    for (let at = 0; at < signal.length; at += 1)
      signal[at] = (signal[at] ?? 0) + (one.regular ** 2 / whole) * (marks[at] ?? 0);
  }
  markEnds(signal, along, usual, spacing);
  const { at, steps } = spacedMarks(signal, spacing);
  const holes = at.map((place, index) => ({
    along: place / scale,
    across: 0,
    steps: steps[index] ?? 0,
  }));
  return withAcross(strip, clear, holes);
}

/** By a bell of this deviation, in millimetres: less than a hole. */
const SMOOTHED = 0.1;

/**
 * A hole in a dark thread holds more of what looks like it, in a light one less: what comes seldom is the hole. Turned so
 * that holes point up, by how far the rare values lie to either side of the usual one.
 */
function upwards(sign: Float64Array): Float64Array {
  const [low, middle, high] = [0.05, 0.5, 0.95].map((part) => quantile([...sign], part)) as [
    number,
    number,
    number,
  ];
  return (high + low - 2 * middle) / (high - low) < DOWNWARDS ? sign.map((one) => -one) : sign;
}

/** Of a signal whose holes surely point down, from -1 to 1. Ours. */
const DOWNWARDS = -0.15;

/** Where a seam begins and where it ends there is a hole: half a hole beyond the first thread that shows. */
function markEnds(signal: Float64Array, along: Float64Array, usual: number, spacing: number): void {
  const steady = smoothed(along, Math.max(1, 0.12 * spacing));
  const isThread = (at: number) => (steady[at] ?? 0) > 0.5 * usual;
  let [first, last] = [0, along.length - 1];
  while (first < last && !isThread(first)) first += 1;
  while (last > first && !isThread(last)) last -= 1;
  const half = Math.round(0.06 * spacing);
  for (let at = 0; at < signal.length; at += 1) {
    const beyond = Math.max(first - half - at, at - last - half);
    if (beyond >= 0) signal[at] = 1 - beyond / signal.length;
  }
}

/** Where the thread crosses each hole: its legs before and after are straight. */
function withAcross(
  strip: Strip,
  mass: Float32Array,
  holes: readonly ReadHole[],
): readonly ReadHole[] {
  const legs = holes
    .slice(1)
    .map((to, index) => legLine(strip, mass, holes[index]?.along ?? 0, to.along));
  return holes.map((hole, index) => {
    const sides = [legs[index - 1], legs[index]].flatMap((leg) => (leg ? [leg(hole.along)] : []));
    return {
      ...hole,
      across: sides.reduce((sum, one) => sum + one, 0) / Math.max(1, sides.length),
    };
  });
}

/** The line of a leg between two holes by its own thread; the middle of it, away from the holes. */
function legLine(strip: Strip, mass: Float32Array, from: number, to: number) {
  const { width, height } = strip.planes[0];
  const middle = (height - 1) / 2;
  const [trim, length] = [0.16, to - from];
  let [n, x, y, xx, xy] = [0, 0, 0, 0, 0];
  for (
    let u = Math.ceil((from + trim * length) * strip.scale);
    u <= (to - trim * length) * strip.scale;
    u += 1
  ) {
    let [sum, moment] = [0, 0];
    for (
      let v = Math.round(middle - BAND * strip.scale);
      v <= middle + BAND * strip.scale;
      v += 1
    ) {
      const amount = mass[v * width + u] ?? 0;
      sum += amount;
      moment += amount * (v - middle);
    }
    if (sum <= 0.3) continue;
    const [at, across] = [u / strip.scale, moment / sum / strip.scale];
    if (Math.abs(across) > BAND) continue;
    n += 1;
    x += at;
    y += across;
    xx += at * at;
    xy += at * across;
  }
  if (n < 3) return undefined;
  const spread = xx - (x * x) / n;
  const slope = spread > 0 ? (xy - (x * y) / n) / spread : 0;
  return (at: number) => y / n + slope * (at - x / n);
}

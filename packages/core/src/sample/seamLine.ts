import type { FlatField } from './flatten.ts';
import { solved } from './linear.ts';
import { boxMean, type Plane, plane, valueAt, weighed } from './picture.ts';
import { longestStretch, quantile } from './spacing.ts';
import type { Unmixing } from './unmix.ts';

/** The seam laid straight: along it from its first thread to its last, across it from left of it to right. */
export interface Strip {
  /** How far from the fabric's colour, in light sent back. */
  readonly planes: readonly [Plane, Plane, Plane];
  readonly scale: number;
  /** Where each column's middle lies in the field, in pixels of it, and which way the seam runs there. */
  readonly line: readonly LinePlace[];
}

export interface LinePlace {
  readonly x: number;
  readonly y: number;
  /** Direction of the seam, in radians. */
  readonly heading: number;
}

/** How far to either side a strip reaches, in millimetres: half of the widest zigzag and some. */
const STRIP_REACH = 4.5;
/** Cells in which the line is sought, in millimetres. */
const CELL = 0.5;
/** What is unlike the fabric by so much, squared, is a thread. Ours. */
export const THREAD_UNLIKE = 14;
const MOST = 80;

/**
 * The line along which a sample is sewn, and the strip about it; nothing where no thread is seen.
 * @param unlike what is taken for thread: how unlike the fabric each pixel is, squared
 */
export function seamStrip(flat: FlatField, unlike = unlikeness(flat)): Strip | undefined {
  const cells = cellsOf(unlike, flat.scale);
  const rough = roughLine(cells);
  if (!rough) return undefined;
  const line = smoothLine(unlike, flat.scale, rough);
  return line && stripOf(flat, line);
}

/** How unlike the fabric each pixel is, with its neighbours; nothing below what the fabric does itself. */
function unlikeness({ planes, fabric, unlike }: FlatField): Plane {
  const { width, height } = planes[0];
  const out = plane(width, height);
  const off = new Float64Array(3);
  for (let y = 1; y < height - 1; y += 1)
    for (let x = 1; x < width - 1; x += 1) {
      const at = y * width + x;
      for (let part = 0; part < 3; part += 1) {
        const { data } = planes[part as 0];
        // A cross of five: the noise of a camera is a pixel's own.
        const mean =
          ((data[at] ?? 0) +
            (data[at - 1] ?? 0) +
            (data[at + 1] ?? 0) +
            (data[at - width] ?? 0) +
            (data[at + width] ?? 0)) /
          5;
        off[part] = mean - (fabric[part] ?? 0);
      }
      let square = 0;
      for (let row = 0; row < 3; row += 1)
        for (let column = 0; column < 3; column += 1)
          square += (off[row] ?? 0) * (unlike[3 * row + column] ?? 0) * (off[column] ?? 0);
      if (square > THREAD_UNLIKE) out.data[at] = Math.min(MOST, square);
    }
  return out;
}

/** What each pixel holds of one colour, as {@link seamStrip} takes it: what the fabric is printed with is no thread. */
export function threadOf(flat: FlatField, { weights, spreads }: Unmixing): Plane {
  const { width, height } = flat.planes[0];
  const [[r = 0, g = 0, b = 0] = []] = weights;
  const none = r * flat.fabric[0] + g * flat.fabric[1] + b * flat.fabric[2];
  const data = weighed(flat.planes, [r, g, b]).map((one) => one - none);
  // The noise of a camera is a pixel's own.
  const even = boxMean({ width, height, data }, 1);
  const least = Math.max(LEAST_OF_THREAD, 2 * (spreads[0] ?? 0));
  for (let at = 0; at < even.data.length; at += 1) {
    const amount = even.data[at] ?? 0;
    even.data[at] = amount > least ? Math.min(MOST, MOST * amount * amount) : 0;
  }
  return even;
}

/** A pixel with its neighbours that holds less of a thread's colour than this holds none. Ours. */
const LEAST_OF_THREAD = 0.2;

interface Cells {
  readonly wide: number;
  readonly tall: number;
  readonly pixels: number;
  readonly mass: Float64Array;
}

function cellsOf({ width, height, data }: Plane, scale: number): Cells {
  const pixels = Math.max(1, Math.round(CELL * scale));
  const [wide, tall] = [Math.floor(width / pixels), Math.floor(height / pixels)];
  const mass = new Float64Array(wide * tall);
  for (let y = 0; y < tall * pixels; y += 1)
    for (let x = 0; x < wide * pixels; x += 1) {
      const cell = Math.floor(y / pixels) * wide + Math.floor(x / pixels);
      mass[cell] = (mass[cell] ?? 0) + Math.sqrt(data[y * width + x] ?? 0) / (pixels * pixels);
    }
  return { wide, tall, pixels, mass };
}

/** The row of cells that holds most thread, column by column, going over at most one row up or down at each. */
function roughLine({
  wide,
  tall,
  mass,
  pixels,
}: Cells): { readonly rows: readonly number[]; readonly pixels: number } | undefined {
  // A zigzag's thread counts for its middle.
  const spread = Math.round(2.5 / CELL);
  const near = new Float64Array(mass.length);
  for (let y = 0; y < tall; y += 1)
    for (let x = 0; x < wide; x += 1)
      for (let off = -spread; off <= spread; off += 1) {
        const from = y + off;
        if (from < 0 || from >= tall) continue;
        const at = y * wide + x;
        near[at] =
          (near[at] ?? 0) +
          (1 - Math.abs(off) / (spread + 1)) * Math.min(0.6, mass[from * wide + x] ?? 0);
      }
  const best = new Float64Array(mass.length);
  const from = new Int8Array(mass.length);
  for (let x = 0; x < wide; x += 1)
    for (let y = 0; y < tall; y += 1) {
      const at = y * wide + x;
      let [most, step] = [x === 0 ? 0 : Number.NEGATIVE_INFINITY, 0];
      if (x > 0)
        for (const off of [0, -1, 1]) {
          const before = y + off;
          if (before < 0 || before >= tall) continue;
          const sum = (best[before * wide + x - 1] ?? 0) - (off === 0 ? 0 : 0.03);
          if (sum > most) [most, step] = [sum, off];
        }
      best[at] = most + (near[at] ?? 0);
      from[at] = step;
    }
  let last = 0;
  for (let y = 1; y < tall; y += 1)
    if ((best[y * wide + wide - 1] ?? 0) > (best[last * wide + wide - 1] ?? 0)) last = y;
  if ((best[last * wide + wide - 1] ?? 0) < 0.05 * wide) return undefined;
  const rows = Array.from({ length: wide }, () => 0);
  for (let x = wide - 1, y = last; x >= 0; x -= 1) {
    rows[x] = y;
    y += from[y * wide + x] ?? 0;
  }
  return { rows, pixels };
}

/** By a weighed parabola over this much to either side, in millimetres: longer than a swing, shorter than a bend. */
const SMOOTHED = 14;
/** How much of the bare fabric stays on a strip beyond its thread, in millimetres. */
const BEYOND = 1;

function smoothLine(
  unlike: Plane,
  scale: number,
  { rows, pixels }: { readonly rows: readonly number[]; readonly pixels: number },
): readonly LinePlace[] | undefined {
  const { width } = unlike;
  const rough = (x: number) =>
    ((rows[Math.min(rows.length - 1, Math.floor(x / pixels))] ?? 0) + 0.5) * pixels;
  const first = middlesOf(unlike, rough, STRIP_REACH * 0.8 * scale);
  const firstEnds = endsOf(first, scale);
  if (!firstEnds) return undefined;
  const guess = curveOf(first, SMOOTHED * scale);
  // Once more without what lies beside the seam: ends of thread, lint.
  const reach =
    Math.min(STRIP_REACH * 0.8, Math.max(0.9, 0.4 + (1.5 * widestSpread(first)) / scale)) * scale;
  const columns = middlesOf(unlike, (x) => guess(x)[0], reach);
  const ends = endsOf(columns, scale);
  if (!ends) return undefined;
  // Some more at either end: what lies beyond the last hole is bare fabric.
  const beyond: readonly [number, number] = [
    Math.max(0, ends[0] - BEYOND * scale),
    Math.min(width - 1, ends[1] + BEYOND * scale),
  ];
  const seam = columns.filter(({ x }) => x >= ends[0] && x <= ends[1]);
  return walked(curveOf(seam, SMOOTHED * scale), beyond);
}

interface Column {
  readonly x: number;
  /** Middle of the thread there, and how far it is spread. */
  readonly y: number;
  readonly spread: number;
  readonly weight: number;
}

/** Middle of what is thread in each column, within a reach of where it should lie. */
function middlesOf(
  { width, height, data }: Plane,
  lineAt: (x: number) => number,
  reach: number,
): readonly Column[] {
  const columns: Column[] = [];
  for (let x = 0; x < width; x += 1) {
    const middle = lineAt(x);
    let [mass, moment, second] = [0, 0, 0];
    for (
      let y = Math.max(0, Math.round(middle - reach));
      y < Math.min(height, middle + reach);
      y += 1
    ) {
      const weight = Math.sqrt(data[y * width + x] ?? 0);
      mass += weight;
      moment += weight * (y - middle);
      second += weight * (y - middle) ** 2;
    }
    if (mass > 0)
      columns.push({
        x,
        y: middle + moment / mass,
        spread: Math.sqrt(second / mass),
        weight: Math.min(mass, 30),
      });
  }
  return columns;
}

/** But for one column in ten, where something else may lie. */
function widestSpread(columns: readonly Column[]): number {
  return quantile(
    columns.map(({ spread }) => spread),
    0.9,
  );
}

/** Where there is no thread for this long, in millimetres, the seam has ended. Ours. */
export const GAP = 8;

/** Shorter than this, in millimetres, it is no seam. Ours. */
const LEAST_SEAM = 8;

/** First and last column of the longest stretch that holds thread without a gap of some stitches. */
function endsOf(columns: readonly Column[], scale: number): readonly [number, number] | undefined {
  const ends = longestStretch(
    columns.map(({ x }) => x),
    GAP * scale,
  );
  return ends && ends[1] - ends[0] > LEAST_SEAM * scale ? ends : undefined;
}

/** Height and slope of the line at any column: fitted at knots, cubic between them. */
type Curve = (x: number) => readonly [y: number, slope: number];

function curveOf(columns: readonly Column[], reach: number): Curve {
  const knots = new Map<number, readonly [y: number, slope: number]>();
  const step = Math.max(4, Math.round(reach / 8));
  const knot = (x: number) => {
    const known = knots.get(x);
    if (known) return known;
    const fitted = parabolaAt(columns, x, reach);
    knots.set(x, fitted);
    return fitted;
  };
  return (x) => {
    const left = Math.floor(x / step) * step;
    const part = (x - left) / step;
    const [[y0, slope0], [y1, slope1]] = [knot(left), knot(left + step)];
    const [a, b] = [2 * part ** 3 - 3 * part ** 2 + 1, part ** 3 - 2 * part ** 2 + part];
    const y = a * y0 + b * step * slope0 + (1 - a) * y1 + (part ** 3 - part ** 2) * step * slope1;
    return [y, (1 - part) * slope0 + part * slope1];
  };
}

/** Walks along the curve by pixels, so that lengths along the seam are true on a bent one too. */
function walked(curve: Curve, [first, last]: readonly [number, number]): readonly LinePlace[] {
  const line: LinePlace[] = [];
  for (let x = first; x <= last; ) {
    const [y, slope] = curve(x);
    const heading = Math.atan(slope);
    line.push({ x, y, heading });
    x += Math.cos(heading);
  }
  return line;
}

/** Height and slope at x of the parabola through what lies near, the nearer the more. */
function parabolaAt(
  points: readonly Column[],
  x: number,
  reach: number,
): readonly [number, number] {
  const sums = new Float64Array(9);
  const right = new Float64Array(3);
  for (const point of points) {
    const away = (point.x - x) / reach;
    if (Math.abs(away) >= 1.4) continue;
    const weight = point.weight * (1 - (away / 1.4) ** 2) ** 2;
    const powers = [1, away, away * away];
    for (let row = 0; row < 3; row += 1) {
      right[row] = (right[row] ?? 0) + weight * (powers[row] ?? 0) * point.y;
      for (let column = 0; column < 3; column += 1)
        sums[3 * row + column] =
          (sums[3 * row + column] ?? 0) + weight * (powers[row] ?? 0) * (powers[column] ?? 0);
    }
  }
  return solvedFor(sums, right, reach);
}

function solvedFor(
  sums: Float64Array,
  right: Float64Array,
  reach: number,
): readonly [number, number] {
  // Hardly any weight on the curvature: it shall not swing out at the ends.
  sums[8] = (sums[8] ?? 0) * 1.001 + 1e-9;
  const rows = [0, 1, 2].map((row) => [...sums.subarray(3 * row, 3 * row + 3), right[row] ?? 0]);
  const [height = Number.NaN, slope = Number.NaN] = solved(rows) ?? [];
  return [height, slope / reach];
}

/** A field laid straight along a line. */
export function stripOf({ planes, scale, fabric }: FlatField, line: readonly LinePlace[]): Strip {
  const half = Math.round(STRIP_REACH * scale);
  const tall = 2 * half + 1;
  const strips = planes.map((from, part) => {
    const strip = plane(line.length, tall);
    for (const [u, { x, y, heading }] of line.entries()) {
      const [sin, cos] = [Math.sin(heading), Math.cos(heading)];
      for (let v = -half; v <= half; v += 1)
        strip.data[(v + half) * line.length + u] =
          valueAt(from, x - v * sin, y + v * cos) - (fabric[part] ?? 0);
    }
    return strip;
  }) as unknown as Strip['planes'];
  return { planes: strips, scale, line };
}

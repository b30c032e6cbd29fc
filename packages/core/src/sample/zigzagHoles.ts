import { bandSum } from './amounts.ts';
import { type ReadHole, stepsTo } from './readHole.ts';
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
  swingSpacing,
} from './spacing.ts';

/** About where the thread turns at either side. */
export function zigzagHoles(
  strip: Strip,
  { clear: mass, rest }: Readonly<Record<'clear' | 'rest', Float32Array>>,
): readonly ReadHole[] {
  const widest = edgesAcross(strip, mass, 0, strip.planes[0].width);
  const swing = swingOf(strip, mass, widest);
  const found = spacingOf(swing, 2 * SHORTEST * strip.scale, 2 * SPACING.most * strip.scale);
  if (!found || found.regular < REGULAR) throw refused('not-regular', { regular: found?.regular });
  const spacing = swingSpacing(swing, found.spacing);
  const edges = usualEdges(strip, mass, spacing);
  const [high, low] = [extremeOf(swing, spacing, 1), extremeOf(swing, spacing, -1)];
  const [middle, half] = [(high + low) / 2, (high - low) / 2];
  const all = [-1, 1]
    .flatMap((side) => {
      const turn = swing.map((one) => Math.min(1, (side * (one - middle)) / half));
      const edge = side < 0 ? edges.left : edges.right;
      const signal = withHoles(strip, rest, turn, edge, spacing);
      const { at } = spacedMarks(signal, spacing);
      return at.map((place) => ({ along: place / strip.scale, side }));
    })
    .toSorted((a, b) => a.along - b.along);
  const stitch = spacing / 2 / strip.scale;
  return all.map(({ along, side }, index) => {
    const next = all[index + 1];
    const across = side < 0 ? edges.left : edges.right;
    return {
      along,
      across,
      steps: next ? stepsTo(next.along - along, stitch, next.side === side ? 'same' : 'other') : 0,
    };
  });
}

/**
 * Where the thread turns and a hole shows as well. Along a skipped stitch the thread stays at its side: only the holes tell
 * where it turned.
 */
function withHoles(
  strip: Strip,
  rest: Float32Array,
  turn: Float64Array,
  edge: number,
  spacing: number,
): Float64Array {
  const shown = smoothed(bandSum(strip, rest, edge - HOLE, edge + HOLE), 0.12 * strip.scale);
  const found = spacingOf(shown, 0.8 * spacing, 1.25 * spacing);
  const weight = found ? MOST_OF_HOLES * Math.min(1, 2 * found.regular) : 0;
  const marks = asMarks(shown, spacing);
  return turn.map((one, at) => {
    const hole = one > 0.4 ? Math.min(1, Math.max(0, marks[at] ?? 0)) : 0;
    return (1 - weight) * one + weight * hole;
  });
}

/** Half of the band in which a side's holes lie, in millimetres. */
const HOLE = 0.8;
/** How much they count at most beside the turns of the thread. Ours. */
const MOST_OF_HOLES = 0.5;

/** Shortest stitch of a zigzag along the seam, in millimetres. */
const SHORTEST = 0.3;

/** Where across the seam its thread lies, column by column, in millimetres; nothing where there is none. */
function swingOf(
  strip: Strip,
  mass: Float32Array,
  { left, right }: { readonly left: number; readonly right: number },
): Float64Array {
  const { width, height } = strip.planes[0];
  const middle = (height - 1) / 2;
  const moments = new Float64Array(width);
  const [first, last] = [
    middle + (left - BESIDE) * strip.scale,
    middle + (right + BESIDE) * strip.scale,
  ];
  for (let v = Math.max(0, Math.round(first)); v <= Math.min(height - 1, last); v += 1)
    for (let u = 0; u < width; u += 1)
      moments[u] =
        (moments[u] ?? 0) + ((mass[v * width + u] ?? 0) * (v - middle)) / strip.scale ** 2;
  const sums = smoothed(bandSum(strip, mass, left - BESIDE, right + BESIDE), 0.14 * strip.scale);
  const usual = quantile([...sums], 0.5);
  return smoothed(moments, 0.14 * strip.scale).map((one, u) => {
    const sum = Math.max(0, sums[u] ?? 0);
    return (one * sum) / (sum * sum + (0.25 * usual) ** 2);
  });
}

/** Beside the outermost threads, in millimetres. */
const BESIDE = 0.4;

/** The usual highest, or lowest, value over a spacing. */
function extremeOf(signal: Float64Array, spacing: number, sign: number): number {
  const tops: number[] = [];
  for (let at = 0; at + spacing <= signal.length; at += spacing)
    tops.push(
      Math.max(
        ...signal.subarray(Math.floor(at), Math.floor(at + spacing)).map((one) => sign * one),
      ),
    );
  return sign * quantile(tops, 0.5);
}

interface Edges {
  readonly left: number;
  readonly right: number;
}

/** Of a usual piece of the seam as long as two stitches: lint beside some of them does not count. */
function usualEdges(strip: Strip, mass: Float32Array, spacing: number): Edges {
  const pieces: Edges[] = [];
  for (let at = 0; at + spacing <= strip.planes[0].width; at += spacing)
    pieces.push(edgesAcross(strip, mass, Math.round(at), Math.round(at + spacing)));
  return {
    left: quantile(
      pieces.map(({ left }) => left),
      0.5,
    ),
    right: quantile(
      pieces.map(({ right }) => right),
      0.5,
    ),
  };
}

/**
 * Middles of the outermost thread at either side of some columns: outwards from the middle of the seam until a quarter of
 * what is usual across is no longer reached.
 */
function edgesAcross(strip: Strip, mass: Float32Array, from: number, to: number): Edges {
  const { width, height } = strip.planes[0];
  const profile = new Float64Array(height);
  for (let v = 0; v < height; v += 1)
    for (let u = from; u < to; u += 1) profile[v] = (profile[v] ?? 0) + (mass[v * width + u] ?? 0);
  const even = smoothed(profile, EVEN * strip.scale);
  const most = Math.max(...even);
  const inner = [...even].filter((one) => one > 0.3 * most);
  const least = 0.25 * quantile(inner, 0.5);
  const middle = (height - 1) / 2;
  const bare = BARE * strip.scale;
  const edge = (way: -1 | 1) => {
    let last = Math.round(middle);
    for (let v = last; v >= 0 && v < height && Math.abs(v - last) <= bare; v += way)
      if ((even[v] ?? 0) >= least) last = v;
    return (last - middle) / strip.scale;
  };
  return { left: edge(-1), right: edge(1) };
}

/** Fabric as wide as this, in millimetres, lies beyond the seam. Ours. */
const BARE = 0.6;
/** A profile across is evened out by a bell of this deviation, in millimetres: no row of noise alone is an edge. Ours. */
const EVEN = 0.1;

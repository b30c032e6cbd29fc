import { bellKernel } from './bell.ts';

/** Marks that come about evenly along a seam, by how strongly each place looks like one. */
export interface Spaced {
  /** Places of the marks, in samples of the signal, finer than whole ones. */
  readonly at: readonly number[];
  /** How many spacings lie between each and the next: more than one where marks are missing. */
  readonly steps: readonly number[];
}

/** Holes are at least and at most so far apart, in millimetres. */
export const SPACING = { least: 0.7, most: 7 } as const;
/** Below this a seam repeats too little to be counted. Ours. */
export const REGULAR = 0.12;

/** Shortest and longest spacing that is looked for as a part of the best: a multiple repeats as well. */
const AS_GOOD = 0.62;
/** Of how like itself a swing is after a multiple of its spacing, what it is after the spacing itself, though some are missing. Ours. */
const LIKE_PART = 0.15;
/** A part of a multiple is met so nearly. Ours. */
const PART_OFF = 0.08;
/** What a missing mark costs against one that is seen, which brings 1; and an uneven spacing, by its spread. Ours. */
const MISSING = 0.5;
const SPREAD = 0.14;
const MOST_STEPS = 6;

/**
 * How strongly a signal repeats, and after how much: the shortest lag at which it is nearly as much like itself as at any.
 * @param least shortest spacing, in samples
 */
export function spacingOf(
  signal: Float64Array,
  least: number,
  most: number,
): { readonly spacing: number; readonly regular: number } | undefined {
  const last = Math.min(Math.floor(most), Math.floor(signal.length / 3));
  const at = likeItselfAt(signal, last);
  if (!at || last <= least) return undefined;
  const peaks: number[] = [];
  for (let lag = Math.max(2, Math.floor(least)); lag <= last; lag += 1)
    if (isPeak(at, lag)) peaks.push(lag);
  const best = Math.max(...peaks.map(at));
  const lag = peaks.find((one) => at(one) >= AS_GOOD * best);
  if (lag === undefined) return undefined;
  return {
    spacing: lag + vertex(at(lag - 1), at(lag), at(lag + 1)),
    regular: Math.min(1, at(lag)),
  };
}

/**
 * The spacing of a signal that swings, where a multiple of it was found because some swings are missing: at a part of its own
 * spacing what swings is unlike itself.
 */
export function swingSpacing(signal: Float64Array, spacing: number): number {
  const at = likeItselfAt(signal, Math.ceil(spacing));
  if (!at) return spacing;
  for (const parts of [4, 3, 2]) {
    const [first, last] = [1 - PART_OFF, 1 + PART_OFF].map((one) => (one * spacing) / parts) as [
      number,
      number,
    ];
    for (let lag = Math.max(2, Math.round(first)); lag <= Math.round(last); lag += 1)
      if (isPeak(at, lag) && at(lag) >= LIKE_PART * at(Math.round(spacing)))
        return lag + vertex(at(lag - 1), at(lag), at(lag + 1));
  }
  return spacing;
}

/** How like itself a signal is so many samples on, from -1 to 1; nothing where it is all alike. */
function likeItselfAt(signal: Float64Array, last: number): ((lag: number) => number) | undefined {
  const length = signal.length;
  const mean = signal.reduce((sum, one) => sum + one, 0) / length;
  const off = signal.map((one) => one - mean);
  const power = off.reduce((sum, one) => sum + one * one, 0) / length;
  if (!(power > 0)) return undefined;
  const alike = Float64Array.from({ length: Math.max(0, last) + 2 }, (_, lag) => {
    let sum = 0;
    for (let at = 0; at + lag < length; at += 1) sum += (off[at] ?? 0) * (off[at + lag] ?? 0);
    return sum / (length - lag) / power;
  });
  return (lag) => alike[lag] ?? 0;
}

function isPeak(at: (lag: number) => number, lag: number): boolean {
  return at(lag) > at(lag - 1) && at(lag) >= at(lag + 1) && at(lag) > 0;
}

/**
 * The marks themselves: as many as show, about evenly apart; where one does not show, its place is passed over.
 * @param signal about 1 where there is a mark, about 0 where there is none
 */
export function spacedMarks(signal: Float64Array, spacing: number): Spaced {
  const peaks = peaksOf(signal, spacing);
  const score: number[] = [];
  const before: number[] = [];
  let end = -1;
  for (const [index, { at, height }] of peaks.entries()) {
    let [best, from] = [0, -1];
    for (let earlier = index - 1; earlier >= 0; earlier -= 1) {
      const gap = at - (peaks[earlier]?.at ?? 0);
      if (gap > (MOST_STEPS + 0.5) * spacing) break;
      const steps = stepsIn(gap, spacing);
      const uneven = (gap - steps * spacing) / (SPREAD * spacing * Math.sqrt(steps));
      const sum = (score[earlier] ?? 0) - 0.5 * uneven * uneven - MISSING * (steps - 1);
      if (sum > best) [best, from] = [sum, earlier];
    }
    score.push(best + Math.min(1.2, height) - 0.25);
    before.push(from);
    if (end < 0 || (score[index] ?? 0) > (score[end] ?? 0)) end = index;
  }
  const chosen: number[] = [];
  for (let at = end; at >= 0; at = before[at] ?? -1) chosen.unshift(peaks[at]?.at ?? 0);
  const steps = chosen.slice(1).map((at, index) => stepsIn(at - (chosen[index] ?? 0), spacing));
  return { at: chosen, steps };
}

function stepsIn(gap: number, spacing: number): number {
  return Math.max(1, Math.round(gap / spacing));
}

/** Local peaks, none lower than one nearer than a third of a spacing. */
function peaksOf(signal: Float64Array, spacing: number) {
  const near = Math.max(1, Math.round(spacing / 3));
  const peaks: { at: number; height: number }[] = [];
  const value = (at: number) => signal[at] ?? Number.NEGATIVE_INFINITY;
  for (let at = 0; at < signal.length; at += 1) {
    const height = value(at);
    if (height < 0.15) continue;
    let isTop = true;
    for (let off = 1; off <= near && isTop; off += 1)
      isTop = height >= value(at + off) && height > value(at - off);
    if (!isTop) continue;
    const inner = at > 0 && at < signal.length - 1;
    peaks.push({ at: at + (inner ? vertex(value(at - 1), height, value(at + 1)) : 0), height });
  }
  return peaks;
}

/** Where a parabola through three even values has its top, from the middle one. */
function vertex(before: number, middle: number, after: number): number {
  const bend = before - 2 * middle + after;
  return bend < 0 ? Math.min(0.5, Math.max(-0.5, (before - after) / (2 * bend))) : 0;
}

/** Smoothed by a bell of so many samples. */
export function smoothed(signal: Float64Array, sigma: number): Float64Array {
  const reach = Math.ceil(2.5 * sigma);
  const kernel = bellKernel(sigma, reach);
  return signal.map((_, at) => {
    let [sum, weight] = [0, 0];
    for (const [place, part] of kernel.entries()) {
      const from = at + place - reach;
      if (from < 0 || from >= signal.length) continue;
      sum += part * (signal[from] ?? 0);
      weight += part;
    }
    return sum / weight;
  });
}

export function quantile(values: readonly number[], part: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.max(0, Math.floor(part * sorted.length)))] ?? 0;
}

/** Scaled so that a usual mark is 1 and what lies between is 0. */
export function asMarks(signal: Float64Array, spacing: number): Float64Array {
  const tops: number[] = [];
  const floors: number[] = [];
  for (let at = 0; at + spacing <= signal.length; at += spacing) {
    const part = [...signal.subarray(Math.floor(at), Math.floor(at + spacing))];
    tops.push(Math.max(...part));
    floors.push(quantile(part, 0.4));
  }
  const [top, floor] = [quantile(tops, 0.5), quantile(floors, 0.5)];
  return signal.map((one) => (one - floor) / Math.max(1e-6, top - floor));
}

/** First and last of the longest stretch of places that lie no farther apart than a gap; of the first such one. */
export function longestStretch(
  places: readonly number[],
  gap: number,
): readonly [first: number, last: number] | undefined {
  let best: readonly [number, number] | undefined;
  let first = places[0] ?? 0;
  for (const [index, at] of places.entries()) {
    const next = places[index + 1];
    if (next !== undefined && next - at <= gap) continue;
    if (!best || at - first > best[1] - best[0]) best = [first, at];
    first = next ?? first;
  }
  return best;
}

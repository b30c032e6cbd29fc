import { type HoleScene, passedHole, THREAD_WIDTH } from './holeMasks.ts';
import { viewOfHole } from './holePicture.ts';
import {
  alignedTo,
  bellOf,
  meanPatch,
  misfitOf,
  type Patch,
  type PatchPlace,
  patchAt,
} from './patch.ts';
import { type ReadHole, type SeamKind, sidesOf, stepsTo } from './readHole.ts';
import { quantile, spacedMarks } from './spacing.ts';
import type { Triple, Whitened } from './whitened.ts';

/** How holes are compared: about each of them, in millimetres, the middle most. Ours. */
const REACH = 0.75;
const BELL = 0.34;
/** Looked for this far beside where it should lie, in millimetres: a straight seam's thread leads to its holes. Ours. */
const BESIDE = { straight: 0.25, zigzag: 0.4, rough: 0.75 } as const;
/** What is less like a usual hole than this, of no stitch 0 and of a usual hole 1, is none. Ours. */
const CAUGHT = 0.45;
/** Farther from where it was than this, in millimetres, it is another one. */
const MOST_OFF = 0.35;
/** As many holes tell what a usual one looks like. */
const LEAST_USUAL = 4;

export interface SeamHoles {
  readonly holes: readonly ReadHole[];
  /** What a usual hole of it looks like; nothing where there were too few. */
  readonly usual: Usual | undefined;
  /** Between the sides of a zigzag, in millimetres; nothing for a straight seam. */
  readonly width: number;
}

/** Of the seam on the strip: a straight one has one side, whose holes are not mirrored. */
export interface SeamSide {
  readonly side: 1 | -1;
  /** Where its holes lie in the middle. */
  readonly across: number;
  /** Where one should lie, so far along the seam; and how far beside it one is looked for. */
  readonly acrossAt: (along: number) => number;
  readonly beside: number;
}

/**
 * Finds each hole again by what a usual one looks like: the mean of all, laid on each other. Where a place on the seam is
 * like it there was a stitch, where it is like a leg that passes there was none.
 * @param dark what a hole's colour is, whitened
 * @param isRough where the holes lie across is hardly known
 */
export function byUsualHole(
  planes: Whitened,
  scale: number,
  before: readonly ReadHole[],
  kind: SeamKind,
  dark: Triple,
  isRough: boolean,
): SeamHoles {
  const sides = seamSides(before, kind, isRough);
  const usual = usualOf(planes, scale, before, sides, dark);
  const holes = usual ? foundAgain(planes, scale, before, sides, usual) : before;
  const [left, right] = seamSides(holes, kind);
  return { holes, usual, width: right ? right.across - left.across : 0 };
}

/** Where the holes of each side lie: half of them to either side of it. */
export function seamSides(
  holes: readonly ReadHole[],
  kind: SeamKind,
  isRough = false,
): readonly [SeamSide, ...SeamSide[]] {
  if (kind === 'straight')
    return [{ side: 1, across: 0, acrossAt: alongThread(holes), beside: BESIDE.straight }];
  const sides = sidesOf(holes, kind);
  const of = (side: -1 | 1) =>
    quantile(
      holes.flatMap(({ across }, index) => (sides[index] === side ? [across] : [])),
      0.5,
    );
  const at = (side: -1 | 1): SeamSide => {
    const across = of(side);
    return {
      side: side === 1 ? -1 : 1,
      across,
      acrossAt: () => across,
      beside: isRough ? BESIDE.rough : BESIDE.zigzag,
    };
  };
  return [at(-1), at(1)];
}

/** Where a straight seam's thread lies, from each hole to the next. */
function alongThread(holes: readonly ReadHole[]): (along: number) => number {
  return (along) => {
    const index = holes.findIndex((one) => one.along > along);
    const [before, after] = [holes[index - 1], holes[index]];
    if (!before || !after) return (index === 0 ? after : holes.at(-1))?.across ?? 0;
    const part = (along - before.along) / (after.along - before.along);
    return before.across + part * (after.across - before.across);
  };
}

/** The side that a hole lies nearest to. */
export function sideOf({ across }: ReadHole, sides: readonly SeamSide[]): SeamSide {
  return sides.reduce((nearest, one) =>
    Math.abs(one.across - across) < Math.abs(nearest.across - across) ? one : nearest,
  );
}

/** What a usual hole looks like, whitened, and how it is compared. */
export interface Usual {
  readonly hole: Patch;
  /** What there is where no stitch was: a hole that a leg passes; of a zigzag bare fabric. */
  readonly none: Patch;
  readonly isBare: boolean;
  readonly bell: Float64Array;
  /** How far the hole lies aside of the middle, in millimetres. */
  readonly aside: number;
}

/** Between stitches that did not skip. */
function inner(holes: readonly ReadHole[]): readonly ReadHole[] {
  const all = holes.slice(1, -1);
  const single = holes.filter((hole, at) => hole.steps === 1 && holes[at - 1]?.steps === 1);
  return single.length >= LEAST_USUAL ? single : all;
}

function usualOf(
  planes: Whitened,
  scale: number,
  holes: readonly ReadHole[],
  sides: readonly SeamSide[],
  dark: Triple,
): Usual | undefined {
  const reach = Math.max(3, Math.round(REACH * scale));
  const middle = (planes[0].height - 1) / 2;
  const placeOf = (along: number, across: number, side: 1 | -1): PatchPlace => ({
    u: along * scale,
    v: middle + across * scale,
    side,
  });
  const taken = inner(holes);
  if (taken.length < LEAST_USUAL) return undefined;
  const bell = bellOf(reach, BELL * scale);
  const at = taken.map((hole) => placeOf(hole.along, hole.across, sideOf(hole, sides).side));
  const first = meanPatch(planes, at, reach);
  const settled = at.map((place) => settledAt(planes, first, bell, place, scale));
  const hole = meanPatch(planes, settled, reach);
  const [left, right] = sides;
  const swing = left && right ? right.across - left.across : 0;
  const scene: HoleScene = { patch: hole, scale, leg: [stitchOf(holes), swing], hole: dark };
  const view = viewOfHole(scene, THREAD_WIDTH);
  if (right) {
    const none = { reach, values: new Float64Array(hole.values.length) };
    return { hole, none, isBare: true, bell, aside: view.aside };
  }
  const legs = holes.flatMap((one, index) => {
    const next = holes[index + 1];
    if (!next || one.steps !== 1) return [];
    return [placeOf((one.along + next.along) / 2, (one.across + next.across) / 2, 1)];
  });
  const none = passedHole(scene, meanPatch(planes, legs, reach), THREAD_WIDTH, view);
  return { hole, none, isBare: false, bell, aside: 0 };
}

function settledAt(
  planes: Whitened,
  usual: Patch,
  bell: Float64Array,
  from: PatchPlace,
  scale: number,
): PatchPlace {
  const to = alignedTo(planes, usual, bell, from);
  return Math.hypot(to.u - from.u, to.v - from.v) < MOST_OFF * scale ? to : from;
}

function foundAgain(
  planes: Whitened,
  scale: number,
  before: readonly ReadHole[],
  sides: readonly SeamSide[],
  usual: Usual,
): readonly ReadHole[] {
  const stitch = stitchOf(before);
  const spacing = stitch * sides.length * scale;
  const marks = sides
    .flatMap((of) => {
      const marked = likeUsual(planes, scale, of, usual).map(
        (one) => (one - CAUGHT) / (1 - CAUGHT),
      );
      return spacedMarks(marked, spacing).at.flatMap((at) => {
        const seen = seenHole(planes, scale, of, usual, at / scale);
        return seen.sure > 0 ? [{ ...seen, of }] : [];
      });
    })
    .toSorted((a, b) => a.along - b.along);
  return marks.map(({ along, across, of }, index) => {
    const next = marks[index + 1];
    const to = sides.length === 1 ? 'straight' : next?.of === of ? 'same' : 'other';
    return { along, across, steps: next ? stepsTo(next.along - along, stitch, to) : 0 };
  });
}

/** Usual length of a stitch along the seam, in millimetres. */
export function stitchOf(holes: readonly ReadHole[]): number {
  const single = holes.flatMap((hole, index) => {
    const next = holes[index + 1];
    return next && hole.steps > 0 ? [(next.along - hole.along) / hole.steps] : [];
  });
  return quantile(single, 0.5);
}

/** One half of a hole counts this much where the other is the better one: beside a skipped stitch one leg goes another way. Ours. */
const WORSE_HALF = 0.3;

/** How like a usual hole each place along a side is, 0 as where no stitch was, 1 as a usual hole. */
function likeUsual(
  planes: Whitened,
  scale: number,
  { side, acrossAt, beside }: SeamSide,
  usual: Usual,
): Float64Array {
  const { reach } = usual.hole;
  const size = 2 * reach + 1;
  const { width, height } = planes[0];
  const { kernel, before, after } = kernelOf(usual);
  const signal = new Float64Array(width);
  for (let u = 0; u < width; u += 1) {
    const across = acrossAt(u / scale);
    const [first, last] = [across - beside, across + beside].map((one) =>
      Math.round((height - 1) / 2 + one * scale),
    ) as [number, number];
    let best = Number.NEGATIVE_INFINITY;
    const [from, to] = [Math.max(-reach, -u), Math.min(reach, width - 1 - u)];
    for (let v = first; v <= last; v += 1) {
      let [left, right] = [0, 0];
      for (let part = 0; part < 3; part += 1) {
        const { data } = planes[part as 0];
        for (let y = -reach; y <= reach; y += 1) {
          const line = Math.min(height - 1, Math.max(0, v + side * y)) * width + u;
          const at = (part * size + y + reach) * size + reach;
          for (let x = from; x < 0; x += 1) left += (kernel[at + x] ?? 0) * (data[line + x] ?? 0);
          for (let x = 0; x <= to; x += 1) right += (kernel[at + x] ?? 0) * (data[line + x] ?? 0);
        }
      }
      const like = mixed((left - before.offset) / before.norm, (right - after.offset) / after.norm);
      best = Math.max(best, like);
    }
    signal[u] = best;
  }
  return signal;
}

/** Where a hole fits best near a place, in millimetres along and across the seam. */
interface SeenHole {
  readonly along: number;
  readonly across: number;
  /** How sure it is that the threads caught there: a logarithm, below nothing where they rather passed. */
  readonly sure: number;
}

/** Holds a place so far along the seam against a usual hole and against a hole that the threads passed. */
export function seenHole(
  planes: Whitened,
  scale: number,
  { side, acrossAt, beside }: SeamSide,
  { hole, none, bell, isBare, aside }: Usual,
  along: number,
): SeenHole {
  const { reach } = hole;
  const middle = (planes[0].height - 1) / 2;
  const [first, last] = [acrossAt(along) - beside, acrossAt(along) + beside];
  /** Of all rows the one where it fits best, and there to a part of a pixel. */
  const bestAs = (as: Patch) => {
    const start: PatchPlace = { u: along * scale, v: Math.round(middle + first * scale), side };
    let best = { place: start, misfit: Number.POSITIVE_INFINITY };
    const tried = (place: PatchPlace) => {
      const misfit = misfitOf(patchAt(planes, place, reach), as, bell);
      if (misfit < best.misfit) best = { place, misfit };
    };
    for (let { v } = start; v <= middle + last * scale; v += 1) tried({ ...start, v });
    tried(settledAt(planes, as, bell, best.place, scale));
    return best;
  };
  const caught = bestAs(hole);
  // Bare fabric is bare everywhere: only there can it be asked whether it is.
  const passed = isBare
    ? misfitOf(patchAt(planes, caught.place, reach), none, bell)
    : bestAs(none).misfit;
  const { u, v } = caught.place;
  return {
    along: u / scale,
    across: (v - middle) / scale + side * aside,
    sure: Math.log((passed + LEAST_MISFIT) / (caught.misfit + LEAST_MISFIT)),
  };
}

/** No two pieces of fabric are more alike, squared, as it varies by one. Ours. */
const LEAST_MISFIT = 0.2;

function mixed(one: number, other: number): number {
  return (1 - WORSE_HALF) * Math.max(one, other) + WORSE_HALF * Math.min(one, other);
}

/** What is summed so that no stitch gives 0 and a usual hole 1 (matched filter), before the middle and from it on. */
function kernelOf({ hole, none, bell }: Usual) {
  const { reach, values } = hole;
  const size = 2 * reach + 1;
  const [before, after] = [
    { norm: 1e-9, offset: 0 },
    { norm: 1e-9, offset: 0 },
  ];
  const kernel = values.map((value, at) => {
    const off = value - (none.values[at] ?? 0);
    const weight = (bell[at % bell.length] ?? 0) * off;
    const half = at % size < reach ? before : after;
    half.norm += weight * off;
    half.offset += weight * (none.values[at] ?? 0);
    return weight;
  });
  return { kernel, before, after };
}

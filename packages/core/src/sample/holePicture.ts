import { HOLE_WIDTHS, otherThreadAt, SEEN_FROM } from '../tension/seamPicture.ts';
import { blurredSquare } from './blurredSquare.ts';
import { solved } from './linear.ts';
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

/** What fits a hole's picture. */
export interface HoleFit {
  /** Mean squared difference for each of {@link DRAWN}. */
  readonly misfits: readonly number[];
  /** Its own thread's colour as it fits best. */
  readonly own: Triple;
}

/** How far the knot may be drawn to a face, -1 to 1: below the first nothing of the other thread is seen. */
export const DRAWN_STEP = 0.025;
export const DRAWN: readonly number[] = Array.from(
  { length: Math.round((1 - SEEN_FROM) / DRAWN_STEP) + 1 },
  (_, index) => SEEN_FROM + index * DRAWN_STEP,
);
/** Those at which the view is sought. */
const SOME_DRAWN = [SEEN_FROM, -0.1, 0.15, 0.4, 0.7, 0.9] as const;
const SOFT = [0.02, 0.045, 0.07, 0.1, 0.13, 0.16, 0.2, 0.24, 0.29, 0.35] as const;
const ASIDE = [-0.4, -0.3, -0.2, -0.1, 0, 0.1, 0.2, 0.3, 0.4] as const;
/** Places in a pixel at which it is asked what lies there, each way. */
const FINE = 2;
/** Looked at this far beside a leg or hole, in millimetres. */
const BESIDE = 0.4;

/** What a scene would show of each thread and of the hole, for each of {@link DRAWN}; and which pixels count. */
export interface DrawnMasks {
  readonly counted: Uint32Array;
  readonly drawn: readonly { readonly masks: Masks; readonly overlaps: Overlaps }[];
}

/** @param width of the threads, in millimetres */
export function drawnMasks(scene: HoleScene, width: number, view: HoleView): DrawnMasks {
  const counted = countedIn(scene, width);
  const drawn = DRAWN.map((one) => {
    const masks = softened(scene, sharpMasks(scene, width, one, view.aside), view);
    return { masks, overlaps: overlapsOf(masks, counted) };
  });
  return { counted, drawn };
}

/** A colour that the other thread may have in a hole, and what it costs to believe so. */
export interface OtherColour {
  readonly colour: Triple;
  /** Added to the logarithm of the misfit. */
  readonly cost: number;
}

/**
 * @param drawn by a scene of the same seam, of whichever of its holes
 * @param others that are tried; without any the other thread has what colour fits best
 */
export function fitOfHole(
  scene: HoleScene,
  { counted, drawn }: DrawnMasks,
  others?: readonly OtherColour[],
): HoleFit {
  const fits = drawn.map(({ masks, overlaps }, index) => {
    const seen = patchSeenBy(scene, masks, counted);
    if (!others)
      return showsOwn(scene, DRAWN[index] ?? 0) ? fitFrom(overlaps, seen, scene.hole) : NO_FIT;
    const tried = others.map(({ colour, cost }) => {
      const { misfit, own } = fitFrom(overlaps, seen, scene.hole, colour);
      return { misfit: misfit * Math.exp(cost), own };
    });
    return tried.reduce((best, next) => (next.misfit < best.misfit ? next : best));
  });
  const misfits = fits.map(({ misfit }) => misfit);
  const own = fits[misfits.indexOf(Math.min(...misfits))]?.own ?? [0, 0, 0];
  return { misfits, own };
}

const NO_FIT = { misfit: Number.POSITIVE_INFINITY, own: [0, 0, 0] } as const;

/**
 * Whether a good part of the legs in the patch would be its own thread: where hardly any is, and the other thread may have
 * any colour, each would be taken for the other.
 */
function showsOwn({ patch: { reach }, scale, leg }: HoleScene, drawn: number): boolean {
  return otherThreadAt(drawn).along * Math.hypot(...leg) < (1 - LEAST_OWN) * (reach / scale);
}

/** Of a leg in the patch, as a part. Ours. */
const LEAST_OWN = 0.45;

/**
 * How a hole is seen, by what fits best at any balance. Across a steep zigzag the legs alone hardly tell where the hole is:
 * there it is sought aside as well.
 */
export function viewOfHole(scene: HoleScene, width: number): BestView {
  const isZigzag = scene.leg[1] > 0;
  const rough = bestView(
    scene,
    width,
    SOME_DRAWN,
    isZigzag ? SOFT.filter((_, index) => index % 3 === 1) : SOFT,
    isZigzag ? ASIDE : [0],
  );
  return finerView(scene, width, rough);
}

/** The same with threads of another width: nothing else changes. */
export function finerView(scene: HoleScene, width: number, rough: BestView): BestView {
  const { soft, aside, drawn } = rough;
  const softs = [0.6, 0.72, 0.85, 0.93, 1, 1.08, 1.18, 1.35].map((part) => part * soft);
  const asides = scene.leg[1] > 0 ? [aside - 0.05, aside, aside + 0.05] : [0];
  return bestView(scene, width, [drawn], softs, asides);
}

export interface BestView extends HoleView {
  readonly drawn: number;
}

function bestView(
  scene: HoleScene,
  width: number,
  drawns: readonly number[],
  softs: readonly number[],
  asides: readonly number[],
): BestView {
  const counted = countedIn(scene, width);
  let best = { misfit: Number.POSITIVE_INFINITY, soft: 0.1, aside: 0, drawn: 0 };
  for (const drawn of drawns.filter((one) => showsOwn(scene, one)))
    for (const aside of asides) {
      const sharp = sharpMasks(scene, width, drawn, aside);
      for (const soft of softs) {
        const masks = softened(scene, sharp, { soft });
        const seen = patchSeenBy(scene, masks, counted);
        const { misfit } = fitFrom(overlapsOf(masks, counted), seen, scene.hole);
        if (misfit < best.misfit) best = { misfit, soft, aside, drawn };
      }
    }
  return best;
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

/** Which pixels count: about the hole and its legs, and nearer to this hole than to the next. */
function countedIn({ patch: { reach }, scale, leg }: HoleScene, width: number): Uint32Array {
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

interface Masks {
  readonly own: Float64Array;
  readonly other: Float64Array;
  readonly hole: Float64Array;
}

/** How much of each pixel is its own thread, the other one, and the hole, before any blur. */
function sharpMasks(
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

function softened(
  { patch: { reach }, scale }: HoleScene,
  { own, other, hole }: Masks,
  { soft }: Pick<HoleView, 'soft'>,
): Masks {
  const blurred = (mask: Float64Array) => blurredSquare(mask, 2 * reach + 1, soft * scale);
  return { own: blurred(own), other: blurred(other), hole: blurred(hole) };
}

/** What two masks, or a mask and the ground, have in common over the pixels that count. */
interface Overlaps {
  readonly pixels: number;
  readonly own: {
    readonly own: number;
    readonly other: number;
    readonly hole: number;
    readonly all: number;
  };
  readonly other: { readonly other: number; readonly hole: number; readonly all: number };
  readonly hole: { readonly hole: number; readonly all: number };
}

function overlapsOf({ own: a, other: b, hole: c }: Masks, counted: Uint32Array): Overlaps {
  let [aa, ab, ac, a1, bb, bc, b1, cc, c1] = [0, 0, 0, 0, 0, 0, 0, 0, 0];
  for (const at of counted) {
    const [one, two, three] = [a[at] ?? 0, b[at] ?? 0, c[at] ?? 0];
    aa += one * one;
    ab += one * two;
    ac += one * three;
    a1 += one;
    bb += two * two;
    bc += two * three;
    b1 += two;
    cc += three * three;
    c1 += three;
  }
  return {
    pixels: counted.length,
    own: { own: aa, other: ab, hole: ac, all: a1 },
    other: { other: bb, hole: bc, all: b1 },
    hole: { hole: cc, all: c1 },
  };
}

/** What one colour of a patch has in common with the masks, with the ground and with itself. */
interface Seen {
  readonly own: number;
  readonly other: number;
  readonly hole: number;
  readonly all: number;
  readonly self: number;
}

function seenBy(
  values: ArrayLike<number>,
  from: number,
  { own: a, other: b, hole: c }: Masks,
  counted: Uint32Array,
): Seen {
  let [own, other, hole, all, self] = [0, 0, 0, 0, 0];
  for (const at of counted) {
    const value = values[from + at] ?? 0;
    own += (a[at] ?? 0) * value;
    other += (b[at] ?? 0) * value;
    hole += (c[at] ?? 0) * value;
    all += value;
    self += value * value;
  }
  return { own, other, hole, all, self };
}

/** Keeps what is hardly seen solvable. */
const RIDGE = { own: 1e-9, other: 1e-3 } as const;

/**
 * The hole as told; its own thread, the fabric about it and, where it is not told, the other thread as they fit best (least
 * squares, from what the masks have in common with each other and with the patch).
 */
function fitFrom(
  overlaps: Overlaps,
  seen: readonly Seen[],
  hole: Triple,
  told?: Triple,
): { readonly misfit: number; readonly own: Triple } {
  const { pixels } = overlaps;
  const [aa, bb] = [overlaps.own.own + RIDGE.own, overlaps.other.other + RIDGE.other];
  const [ab, a1, b1] = [overlaps.own.other, overlaps.own.all, overlaps.other.all];
  const own: [number, number, number] = [0, 0, 0];
  let misfit = 0;
  for (const [part, { own: ya, other: yb, hole: yc, all: y1, self }] of seen.entries()) {
    const [one, dark] = [told?.[part] ?? 0, hole[part] ?? 0];
    // What is left of the patch once the told colours are taken from it.
    const ay = ya - one * ab - dark * overlaps.own.hole;
    const by = yb - one * overlaps.other.other - dark * overlaps.other.hole;
    const ly = y1 - one * b1 - dark * overlaps.hole.all;
    const yy =
      self -
      2 * (one * yb + dark * yc) +
      one * one * overlaps.other.other +
      2 * one * dark * overlaps.other.hole +
      dark * dark * overlaps.hole.hole;
    const rows = told
      ? [
          [aa, a1, ay],
          [a1, pixels, ly],
        ]
      : [
          [aa, a1, ab, ay],
          [a1, pixels, b1, ly],
          [ab, b1, bb, by],
        ];
    const [line = 0, ground = 0, dot = 0] = solved(rows) ?? [];
    own[part] = line;
    misfit += yy - line * ay - ground * ly - dot * by;
  }
  return { misfit: Math.max(0, misfit) / (3 * pixels), own };
}

/** The three colours of a patch, as the masks see them. */
function patchSeenBy(
  { patch: { values } }: HoleScene,
  masks: Masks,
  counted: Uint32Array,
): readonly Seen[] {
  const size = masks.own.length;
  return [0, 1, 2].map((part) => seenBy(values, part * size, masks, counted));
}

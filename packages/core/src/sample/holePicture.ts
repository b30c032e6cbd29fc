import { otherThreadAt, SEEN_FROM } from '../tension/seamPicture.ts';
import {
  misfitWith,
  type Overlaps,
  overlapsOf,
  ownWith,
  type Seen,
  seenBy,
  type Told,
  toldBy,
} from './holeFit.ts';
import { countedIn, type HoleScene, type HoleView, sharpMasks, softened } from './holeMasks.ts';
import type { Triple } from './whitened.ts';

/** How far the knot may be drawn to a face, -1 to 1: below the first nothing of the other thread is seen. */
export const DRAWN_STEP = 0.025;
export const DRAWN: readonly number[] = Array.from(
  { length: Math.round((1 - SEEN_FROM) / DRAWN_STEP) + 1 },
  (_, index) => SEEN_FROM + index * DRAWN_STEP,
);
/** Those at which the view is sought. */
const SOME_DRAWN = [SEEN_FROM, -0.1, 0.15, 0.4, 0.7, 0.9] as const;
const SOFT = [0.02, 0.045, 0.07, 0.1, 0.13, 0.16, 0.2, 0.24, 0.29, 0.35] as const;
const FINER_SOFT = [0.6, 0.72, 0.85, 0.93, 1, 1.08, 1.18, 1.35] as const;
const ASIDE = [-0.4, -0.3, -0.2, -0.1, 0, 0.1, 0.2, 0.3, 0.4] as const;
const FINER_DRAWN = [-0.15, -0.1, -0.05, 0, 0.05, 0.1, 0.15] as const;
const FINER_ASIDE = [-0.06, -0.04, -0.02, 0, 0.02, 0.04, 0.06] as const;

/** What the patch of a scene says if the knot is drawn so far to its face. */
export interface DrawnHole {
  readonly drawn: number;
  readonly overlaps: Overlaps;
  readonly seen: readonly Seen[];
  readonly told: Told;
}

/**
 * For each of {@link DRAWN}.
 * @param width of the threads, in millimetres
 */
export function drawnHoles(scene: HoleScene, width: number, view: HoleView): readonly DrawnHole[] {
  const counted = countedIn(scene, width);
  return DRAWN.map((drawn) => {
    const masks = softened(scene, sharpMasks(scene, width, drawn, view.aside), view);
    const overlaps = overlapsOf(masks, counted);
    const seen = seenBy(scene.patch.values, masks, counted);
    return { drawn, overlaps, seen, told: toldBy(overlaps, seen) };
  });
}

/** A colour that something may have in a hole, and what it costs to believe so. */
export interface GuessedColour {
  readonly colour: Triple;
  readonly cost: number;
}

/** As many pixels of a usual hole's picture as tell something of their own. Ours. */
const TELLING = 25;
/** How dark a hole may be beside what is usual, and the spread of it. Ours. */
const DARK = [0.84, 0.88, 0.92, 0.96, 1, 1.04, 1.08] as const;
const DARK_SPREAD = 0.05;

/**
 * What it costs to believe each of {@link DRAWN}: minus twice the logarithm of how likely it makes what is seen, whatever the
 * other thread's colour of those guessed, and however dark the hole.
 */
export function costsOfHole(
  { hole }: HoleScene,
  drawn: readonly DrawnHole[],
  others: readonly GuessedColour[],
): readonly number[] {
  const holes = DARK.map((dark) => ({
    colour: hole.map((one) => dark * one) as unknown as Triple,
    cost: ((dark - 1) / DARK_SPREAD) ** 2,
  }));
  return drawn.map(({ told }) => {
    const costs = others.flatMap((other) =>
      holes.map(
        (one) =>
          TELLING * Math.log(misfitWith(told, one.colour, other.colour) + 1e-6) +
          other.cost +
          one.cost,
      ),
    );
    return together(costs);
  });
}

/** What it costs to believe that one of several guesses is right, each told by what it costs. */
export function together(costs: readonly number[]): number {
  const least = Math.min(...costs);
  const sum = costs.reduce((all, cost) => all + Math.exp((least - cost) / 2), 0);
  return least - 2 * Math.log(sum);
}

/** The colour of a scene's own thread, as it fits best at any balance. */
export function ownInHole(scene: HoleScene, drawn: readonly DrawnHole[]): Triple {
  let best: { readonly misfit: number; readonly hole?: DrawnHole } = {
    misfit: Number.POSITIVE_INFINITY,
  };
  for (const hole of drawn) {
    if (!showsOwn(scene, hole.drawn)) continue;
    const misfit = misfitWith(hole.told, scene.hole);
    if (misfit < best.misfit) best = { misfit, hole };
  }
  return best.hole ? ownWith(best.hole.overlaps, best.hole.seen, scene.hole) : [0, 0, 0];
}

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
 * there it is sought farther aside.
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
  const { soft, aside, drawn } = softnessOf(scene, width, rough);
  const asides = FINER_ASIDE.map((by) => aside + by);
  const placed = bestView(scene, width, [drawn], [soft], asides);
  const drawns = FINER_DRAWN.map((by) => Math.max(SEEN_FROM, drawn + by));
  const finer = bestView(scene, width, drawns, [placed.soft], [placed.aside]);
  return softnessOf(scene, width, finer);
}

/** The same with threads of another width: only the blur is another. */
export function softnessOf(
  scene: HoleScene,
  width: number,
  { soft, aside, drawn }: BestView,
): BestView {
  const softs = FINER_SOFT.map((part) => part * soft);
  return bestView(scene, width, [drawn], softs, [aside]);
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
        const seen = seenBy(scene.patch.values, masks, counted);
        const misfit = misfitWith(toldBy(overlapsOf(masks, counted), seen), scene.hole);
        if (misfit < best.misfit) best = { misfit, soft, aside, drawn };
      }
    }
  return best;
}

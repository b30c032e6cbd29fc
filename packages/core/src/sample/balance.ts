import { holeIn } from './amounts.ts';
import type { BothFaces } from './bothFaces.ts';
import {
  DRAWN,
  DRAWN_STEP,
  drawnMasks,
  finerView,
  fitOfHole,
  type HoleScene,
  type OtherColour,
  THREAD_WIDTH,
  viewOfHole,
} from './holePicture.ts';
import { asSeenOn } from './looseThread.ts';
import { meanPatch, type PatchPlace } from './patch.ts';
import type { Light } from './picture.ts';
import { aboutHole, sidesOf } from './readHole.ts';
import type { PictureReading } from './readPicture.ts';
import { refused } from './refusal.ts';
import { relit } from './relit.ts';
import type { SampleSide } from './seenStitches.ts';
import { vertex } from './spacing.ts';
import { ALIKE, likeness } from './unmix.ts';
import { type Triple, times, whitened, whitening } from './whitened.ts';

/** A balance as it is read from a sample. */
export interface SampleBalance {
  /** Signed: -1 on top, 0 in the middle, 1 below. */
  readonly balance: number;
  /** About a standard deviation. */
  readonly error: number;
}

/** A thread on fabric is as wide as was told, by this part: its size says how wide it is when round, pressed flat it is wider. Ours. */
const WIDTH_SPREAD = 0.12;
const WIDTHS = [0.8, 0.87, 0.94, 1, 1.06, 1.12, 1.18, 1.25, 1.33] as const;
/** As many pixels of a usual hole's picture as tell something of their own. Ours. */
const FREE = 25;
/** What twice the logarithm of a likelihood loses at one standard deviation. */
const ONE_DEVIATION = 1;
/** No balance is read more finely. Ours. */
const LEAST_ERROR = 0.02;
/** Between stitches that did not skip, in each half of the seam: fewer make no usual one. Ours. */
const LEAST_HOLES = 2;
const BALANCES: readonly number[] = Array.from(
  { length: Math.round(2 / DRAWN_STEP) + 1 },
  (_, index) => -1 + index * DRAWN_STEP,
);

/**
 * Where the knots of a sample lie: the balance with which a hole looks on both faces as the usual hole of each does, all of
 * them laid on each other. Each face tells the colour of its own thread, which is the other one's other.
 * @param width of the threads, in millimetres; a usual thread's where it is not told
 * @throws CoreFault `too-few-stitches`, `one-colour`
 */
export function sampleBalance(faces: BothFaces, width = THREAD_WIDTH): SampleBalance {
  if (isOneColour(faces)) throw refused('one-colour');
  const of = { top: scenesOf(faces.top), bottom: scenesOf(faces.bottom) };
  const scenesWith = (isTaken: (index: number) => boolean) => ({
    top: of.top(isTaken),
    bottom: of.bottom(isTaken),
  });
  const scenes = scenesWith(() => true);
  const views = { top: viewOfHole(scenes.top, width), bottom: viewOfHole(scenes.bottom, width) };
  const seen = WIDTHS.map((part) => {
    const masksOf = (side: SampleSide) => {
      const view = finerView(scenes[side], part * width, views[side]);
      return drawnMasks(scenes[side], part * width, view);
    };
    const masks = { top: masksOf('top'), bottom: masksOf('bottom') };
    // What each thread's colour is its own face tells: as it fits best there it is the other's other.
    const own = (side: SampleSide) => fitOfHole(scenes[side], masks[side]).own;
    const other = {
      top: otherwiseLit(own('bottom'), faces.bottom, faces.top),
      bottom: otherwiseLit(own('top'), faces.top, faces.bottom),
    };
    return { part, masks, other };
  });
  const balanceOf = (these: typeof scenes) => {
    const scores = seen.map(({ part, masks, other }) => {
      const misfits = (side: SampleSide) =>
        fitOfHole(these[side], masks[side], other[side]).misfits;
      return { part, top: misfits('top'), bottom: misfits('bottom') };
    });
    return best(BALANCES.map((balance) => leastOver(scores, balance)));
  };
  const [even, odd] = [true, false].map(
    (isEven) => balanceOf(scenesWith((index) => index % 4 < 2 === isEven)).balance,
  ) as [number, number];
  const { balance, reach } = balanceOf(scenes);
  return { balance, error: Math.max(LEAST_ERROR, reach, Math.abs(even - odd) / 2) };
}

/** Whether both faces show the same thread as their own: sewn with one colour, or drawn over to one side for the most part. */
function isOneColour({ top, bottom }: BothFaces): boolean {
  return likeness(asSeenOn(bottom, top), bottom.own, bottom.unlike) > ALIKE;
}

/** How bright a thread may be in a hole beside the same along a leg, and the spread of it. Ours. */
const BRIGHT = [0.94, 0.97, 1, 1.03, 1.06, 1.09] as const;
const BRIGHT_SPREAD = 0.05;

/**
 * A colour as far as it is from one face's fabric, as far as it is from the other's: a thread in a hole is lit otherwise
 * than along a leg.
 */
function otherwiseLit(
  own: Triple,
  from: PictureReading,
  to: PictureReading,
): readonly OtherColour[] {
  const light = solvedUpper(whitening(from.unlike), own);
  return BRIGHT.map((bright) => {
    const off = relit(light, from, to, bright);
    const cost = ((bright - 1) / BRIGHT_SPREAD) ** 2 / FREE;
    return { colour: times(whitening(to.unlike), off), cost };
  });
}

/** The light that a triangle of rows made three numbers of. */
function solvedUpper(rows: readonly (readonly number[])[], [x, y, z]: Triple): Light {
  const at = (row: number, column: number) => rows[row]?.[column] ?? 0;
  const blue = z / at(2, 2);
  const green = (y - at(1, 2) * blue) / at(1, 1);
  return [(x - at(0, 1) * green - at(0, 2) * blue) / at(0, 0), green, blue];
}

/** Scenes of a face, by which of its holes are taken. */
function scenesOf({ strip, holes, kind, width: swing, unlike, fabric }: PictureReading) {
  const { scale } = strip;
  const planes = whitened(strip, unlike);
  const hole = times(whitening(unlike), holeIn(fabric));
  const about = aboutHole(holes, swing);
  const reach = Math.round(about.reach * scale);
  const sides = sidesOf(holes, kind);
  const middle = (strip.planes[0].height - 1) / 2;
  return (isTaken: (index: number) => boolean): HoleScene => {
    const places = holes.flatMap((one, index): readonly PatchPlace[] => {
      if (one.steps !== 1 || holes[index - 1]?.steps !== 1 || !isTaken(index)) return [];
      // Those of the right side are mirrored, so that all legs go the same ways.
      const side = sides[index] === 1 ? -1 : 1;
      return [{ u: one.along * scale, v: middle + one.across * scale, side }];
    });
    if (places.length < LEAST_HOLES) throw refused('too-few-stitches', { count: places.length });
    const patch = meanPatch(planes, places, Math.max(3, reach));
    return { patch, scale, leg: [about.along, swing], hole };
  };
}

/** How badly a balance fits both faces: the knot is drawn to the top by as much as it is below nothing. */
function leastOver(
  scores: readonly {
    readonly part: number;
    readonly top: readonly number[];
    readonly bottom: readonly number[];
  }[],
  balance: number,
): number {
  const at = (misfits: readonly number[], drawn: number) => {
    const index = Math.round((drawn - (DRAWN[0] ?? 0)) / DRAWN_STEP);
    return FREE * Math.log((misfits[Math.min(DRAWN.length - 1, Math.max(0, index))] ?? 0) + 1e-6);
  };
  return Math.min(
    ...scores.map(
      ({ part, top, bottom }) =>
        at(top, -balance) + at(bottom, balance) + ((part - 1) / WIDTH_SPREAD) ** 2,
    ),
  );
}

/** The balance that fits best, and how far from it the others fit nearly as well. */
function best(scores: readonly number[]): { readonly balance: number; readonly reach: number } {
  const least = Math.min(...scores);
  const at = scores.indexOf(least);
  const [before, after] = [scores[at - 1], scores[at + 1]];
  const finer = before === undefined || after === undefined ? 0 : vertex(-before, -least, -after);
  const near = scores.flatMap((score, index) => (score <= least + ONE_DEVIATION ? [index] : []));
  const reach = Math.max(...near.map((index) => Math.abs(index - at))) * DRAWN_STEP;
  return { balance: (BALANCES[at] ?? 0) + finer * DRAWN_STEP, reach };
}

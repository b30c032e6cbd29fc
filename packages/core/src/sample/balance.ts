import { holeIn } from './amounts.ts';
import { DRAWN, finerView, fitOfHole, type HoleScene, viewOfHole } from './holePicture.ts';
import { meanPatch, type PatchPlace } from './patch.ts';
import type { Light } from './picture.ts';
import { singlePitches } from './readHole.ts';
import type { PictureReading } from './readPicture.ts';
import { refused } from './refusal.ts';
import { vertex } from './spacing.ts';
import { type Triple, times, whitened, whitening } from './whitened.ts';

/** A balance as it is read from a sample. */
export interface SampleBalance {
  /** Signed: -1 on top, 0 in the middle, 1 below. */
  readonly balance: number;
  /** About a standard deviation. */
  readonly error: number;
}

/** Looked at this far about a hole at most, in millimetres, and over this part of a leg. */
const REACH = { most: 1.3, part: 0.46 } as const;
/** A thread is as wide as was told, by this part. Common practice: thread of one size differs by a few in a hundred; no source. */
const WIDTH_SPREAD = 0.05;
const WIDTHS = [0.92, 0.96, 1, 1.04, 1.08] as const;
/** As many pixels of a usual hole's picture as tell something of their own. Ours. */
const FREE = 25;
/** No balance is read more finely. Ours. */
const LEAST_ERROR = 0.02;
/** Between stitches that did not skip, in each half of the seam: fewer make no usual one. Ours. */
const LEAST_HOLES = 2;
const STEP = 0.025;
const BALANCES: readonly number[] = Array.from({ length: 81 }, (_, index) => -1 + index * STEP);

/**
 * Where the knots of a sample lie: the balance with which a hole looks on both faces as the usual hole of each does, all of
 * them laid on each other. Each face tells the colour of its own thread, which is the other one's other.
 * @param width of the threads, in millimetres
 * @throws CoreFault `too-few-stitches`
 */
export function sampleBalance(
  faces: { readonly top: PictureReading; readonly bottom: PictureReading },
  width: number,
): SampleBalance {
  const scenesOf = (isTaken: (index: number) => boolean) => ({
    top: sceneOf(faces.top, isTaken),
    bottom: sceneOf(faces.bottom, isTaken),
  });
  const scenes = scenesOf(() => true);
  const views = { top: viewOfHole(scenes.top, width), bottom: viewOfHole(scenes.bottom, width) };
  const seen = WIDTHS.map((part) => {
    const wide = part * width;
    const finer = (side: Side) => finerView(scenes[side], wide, views[side]);
    const view = { top: finer('top'), bottom: finer('bottom') };
    // What each thread's colour is its own face tells: as it fits best there it is the other's other.
    const own = (side: Side) => fitOfHole(scenes[side], wide, view[side]).own;
    const other = {
      top: otherwiseLit(own('bottom'), faces.bottom, faces.top),
      bottom: otherwiseLit(own('top'), faces.top, faces.bottom),
    };
    return { part, wide, view, other };
  });
  const balanceOf = (of: typeof scenes) => {
    const scores = seen.map(({ part, wide, view, other }) => {
      const misfits = (side: Side) =>
        fitOfHole({ ...of[side], other: other[side] }, wide, view[side]).misfits;
      return { part, top: misfits('top'), bottom: misfits('bottom') };
    });
    return best(BALANCES.map((balance) => leastOver(scores, balance)));
  };
  const [even, odd] = [true, false].map((isEven) =>
    balanceOf(scenesOf((index) => index % 4 < 2 === isEven)),
  ) as [number, number];
  return { balance: balanceOf(scenes), error: Math.max(LEAST_ERROR, Math.abs(even - odd) / 2) };
}

type Side = 'top' | 'bottom';

/** A colour as far as it is from one face's fabric, told as far as it is from the other's. */
function otherwiseLit(own: Triple, from: PictureReading, to: PictureReading): Triple {
  const light = solvedUpper(whitening(from.unlike), own);
  const off = light.map((one, at) => one + (from.fabric[at] ?? 0) - (to.fabric[at] ?? 0));
  return times(whitening(to.unlike), off as unknown as Light);
}

/** The light that a triangle of rows made three numbers of. */
function solvedUpper(rows: readonly (readonly number[])[], [x, y, z]: Triple): Light {
  const at = (row: number, column: number) => rows[row]?.[column] ?? 0;
  const blue = z / at(2, 2);
  const green = (y - at(1, 2) * blue) / at(1, 1);
  return [(x - at(0, 1) * green - at(0, 2) * blue) / at(0, 0), green, blue];
}

function sceneOf(
  { strip, holes, kind, width: swing, unlike, fabric }: PictureReading,
  isTaken: (index: number) => boolean,
): HoleScene {
  const { scale } = strip;
  const pitches = singlePitches(holes);
  const along = pitches.reduce((sum, one) => sum + one, 0) / Math.max(1, pitches.length);
  const reach = Math.round(Math.min(REACH.most, REACH.part * Math.hypot(along, swing)) * scale);
  const middle = holes.reduce((sum, hole) => sum + hole.across, 0) / holes.length;
  const places = holes.flatMap((hole, index): readonly PatchPlace[] => {
    if (hole.steps !== 1 || holes[index - 1]?.steps !== 1 || !isTaken(index)) return [];
    const side = kind === 'zigzag' && hole.across > middle ? -1 : 1;
    const v = (strip.planes[0].height - 1) / 2 + hole.across * scale;
    return [{ u: hole.along * scale, v, side }];
  });
  if (places.length < LEAST_HOLES) throw refused('too-few-stitches', { count: places.length });
  const rows = whitening(unlike);
  return {
    patch: meanPatch(whitened(strip, unlike), places, Math.max(3, reach)),
    scale,
    leg: [along, swing],
    hole: times(rows, holeIn(fabric)),
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
    const index = Math.round((drawn - (DRAWN[0] ?? 0)) / STEP);
    return FREE * Math.log((misfits[Math.min(DRAWN.length - 1, Math.max(0, index))] ?? 0) + 1e-6);
  };
  return Math.min(
    ...scores.map(
      ({ part, top, bottom }) =>
        at(top, -balance) + at(bottom, balance) + ((part - 1) / WIDTH_SPREAD) ** 2,
    ),
  );
}

function best(scores: readonly number[]): number {
  const least = Math.min(...scores);
  const at = scores.indexOf(least);
  const [before, after] = [scores[at - 1], scores[at + 1]];
  const finer = before === undefined || after === undefined ? 0 : vertex(-before, -least, -after);
  return (BALANCES[at] ?? 0) + finer * STEP;
}

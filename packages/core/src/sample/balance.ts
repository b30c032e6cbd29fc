import { holeIn } from './amounts.ts';
import { DRAWN, type HoleScene, misfitsOf, type Triple, WIDTHS } from './holePicture.ts';
import { meanPatch, type PatchPlace } from './patch.ts';
import type { Light } from './picture.ts';
import { singlePitches } from './readHole.ts';
import type { PictureReading } from './readPicture.ts';
import { vertex } from './spacing.ts';
import { whitened, whitening } from './whitened.ts';

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
/** As many pixels of a usual hole's picture as tell something of their own. Ours. */
const FREE = 25;
/** No balance is read more finely. Ours. */
const LEAST_ERROR = 0.02;
const STEP = 0.025;
const BALANCES: readonly number[] = Array.from({ length: 81 }, (_, index) => -1 + index * STEP);

/**
 * Where the knots of a sample lie: the balance with which a hole looks on both faces as the usual hole of each does, all of
 * them laid on each other. Each face tells the colour of its own thread, which is the other one's other.
 * @param width of the threads, in millimetres
 */
export function sampleBalance(
  faces: { readonly top: PictureReading; readonly bottom: PictureReading },
  width: number,
): SampleBalance {
  const fit = (isTaken: (index: number) => boolean) => {
    const [top, bottom] = [
      scoresOf(faces.top, faces.bottom.own, width, isTaken),
      scoresOf(faces.bottom, faces.top.own, width, isTaken),
    ];
    return best(BALANCES.map((balance) => leastOver(top, bottom, balance)));
  };
  const whole = fit(() => true);
  const [even, odd] = [fit((at) => at % 4 < 2), fit((at) => at % 4 >= 2)];
  return { balance: whole, error: Math.max(LEAST_ERROR, Math.abs(even - odd) / 2) };
}

/** How badly each balance fits a face, by width of thread and how far it is drawn to the face. */
function scoresOf(
  face: PictureReading,
  other: Light,
  width: number,
  isTaken: (index: number) => boolean,
): readonly (readonly number[])[] {
  const scene = sceneOf(face, other, width, isTaken);
  return WIDTHS.map((part) =>
    misfitsOf(withWidth(scene, part), part * width).map((misfit) => FREE * Math.log(misfit + 1e-6)),
  );
}

/** A wider thread of the same light a millimetre of its length is fainter. */
function withWidth(scene: HoleScene, part: number): HoleScene {
  const fainter = (colour: Triple) => colour.map((one) => one / part) as unknown as Triple;
  return { ...scene, own: fainter(scene.own), other: fainter(scene.other) };
}

function sceneOf(
  { strip, holes, kind, width: across, unlike, fabric, own }: PictureReading,
  other: Light,
  width: number,
  isTaken: (index: number) => boolean,
): HoleScene {
  const { scale } = strip;
  const pitches = singlePitches(holes);
  const along = pitches.reduce((sum, one) => sum + one, 0) / Math.max(1, pitches.length);
  const reach = Math.round(Math.min(REACH.most, REACH.part * Math.hypot(along, across)) * scale);
  const middle = holes.reduce((sum, hole) => sum + hole.across, 0) / holes.length;
  const places = holes.flatMap((hole, index): readonly PatchPlace[] => {
    if (hole.steps !== 1 || holes[index - 1]?.steps !== 1 || !isTaken(index)) return [];
    const side = kind === 'zigzag' && hole.across > middle ? -1 : 1;
    const v = (strip.planes[0].height - 1) / 2 + hole.across * scale;
    return [{ u: hole.along * scale, v, side }];
  });
  const rows = whitening(unlike);
  const seen = (light: Light, part: number) =>
    rows.map((row) => row.reduce((sum, one, at) => sum + one * (light[at] ?? 0), 0) / part) as
      unknown as Triple;
  return {
    patch: meanPatch(whitened(strip, unlike), places, Math.max(3, reach)),
    scale,
    leg: [along, across],
    own: seen(own, width),
    other: seen(other, width),
    hole: seen(holeIn(fabric), 1),
  };
}

/** The knot is drawn to the top by as much as the balance is below nothing, to the bottom by as much as above. */
function leastOver(
  top: readonly (readonly number[])[],
  bottom: readonly (readonly number[])[],
  balance: number,
): number {
  const at = (scores: readonly number[] | undefined, drawn: number) =>
    scores?.[Math.min(DRAWN.length - 1, Math.max(0, Math.round((drawn - (DRAWN[0] ?? 0)) / STEP)))] ?? 0;
  return Math.min(
    ...WIDTHS.map(
      (part, index) =>
        at(top[index], -balance) + at(bottom[index], balance) + ((part - 1) / WIDTH_SPREAD) ** 2,
    ),
  );
}

function best(scores: readonly number[]): number {
  const least = Math.min(...scores);
  const at = scores.indexOf(least);
  const [before, after] = [scores[at - 1], scores[at + 1]];
  const finer =
    before === undefined || after === undefined ? 0 : vertex(-before, -least, -after);
  return (BALANCES[at] ?? 0) + finer * STEP;
}

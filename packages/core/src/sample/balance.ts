import { holeIn } from './amounts.ts';
import type { BothFaces } from './bothFaces.ts';
import { type HoleScene, THREAD_WIDTH } from './holeMasks.ts';
import {
  costsOfHole,
  DRAWN,
  DRAWN_STEP,
  drawnHoles,
  type GuessedColour,
  ownInHole,
  softnessOf,
  together,
  viewOfHole,
} from './holePicture.ts';
import { inverse3 } from './linear.ts';
import { asSeenOn } from './looseThread.ts';
import { meanPatch, type PatchPlace } from './patch.ts';
import type { Light } from './picture.ts';
import { aboutHole, sidesOf } from './readHole.ts';
import type { PictureReading } from './readPicture.ts';
import { refused } from './refusal.ts';
import { relit } from './relit.ts';
import type { SampleSide } from './seenStitches.ts';
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
const WIDTH_SPREAD = 0.08;
const WIDTHS = [0.8, 0.87, 0.94, 1, 1.06, 1.12, 1.18, 1.25, 1.33] as const;
/**
 * No colour is told more finely than this part of white: a picture keeps colours more coarsely than light, and threads are
 * shaded. Without it the faintest shade would decide on an even fabric. Ours.
 */
const SHADE = 0.03;
/** No balance is read more finely. Ours. */
const LEAST_ERROR = 0.02;
/** Between stitches that did not skip: fewer make no usual one. Ours. */
const LEAST_HOLES = 4;
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
  const [top, bottom] = [shaded(faces.top), shaded(faces.bottom)];
  const scenes = { top: sceneOf(top), bottom: sceneOf(bottom) };
  const views = { top: viewOfHole(scenes.top, width), bottom: viewOfHole(scenes.bottom, width) };
  const costs = WIDTHS.map((part) => {
    const drawnOn = (side: SampleSide) => {
      const view = softnessOf(scenes[side], part * width, views[side]);
      return drawnHoles(scenes[side], part * width, view);
    };
    const drawn = { top: drawnOn('top'), bottom: drawnOn('bottom') };
    // What each thread's colour is its own face tells: as it fits best there it is the other's other.
    const own = (side: SampleSide) => ownInHole(scenes[side], drawn[side]);
    return {
      part,
      top: costsOfHole(scenes.top, drawn.top, otherwiseLit(own('bottom'), bottom, top)),
      bottom: costsOfHole(scenes.bottom, drawn.bottom, otherwiseLit(own('top'), top, bottom)),
    };
  });
  return believed(BALANCES.map((balance) => costOf(costs, balance)));
}

/** A face whose colours are told no more finely than what a thread is shaded by. */
function shaded(face: PictureReading): PictureReading {
  const unlike = inverse3(face.unlike).map((one, at) => one + (at % 4 === 0 ? SHADE ** 2 : 0));
  return { ...face, unlike: inverse3(unlike) };
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
): readonly GuessedColour[] {
  const light = solvedUpper(whitening(from.unlike), own);
  return BRIGHT.map((bright) => {
    const off = relit(light, from, to, bright);
    const cost = ((bright - 1) / BRIGHT_SPREAD) ** 2;
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

/** The usual hole of a face. */
function sceneOf({ strip, holes, kind, width: swing, unlike, fabric }: PictureReading): HoleScene {
  const { scale } = strip;
  const about = aboutHole(holes, swing);
  const sides = sidesOf(holes, kind);
  const middle = (strip.planes[0].height - 1) / 2;
  const places = holes.flatMap((one, index): readonly PatchPlace[] => {
    if (one.steps !== 1 || holes[index - 1]?.steps !== 1) return [];
    // Those of the right side are mirrored, so that all legs go the same ways.
    const side = sides[index] === 1 ? -1 : 1;
    return [{ u: one.along * scale, v: middle + one.across * scale, side }];
  });
  if (places.length < LEAST_HOLES) throw refused('too-few-stitches', { count: places.length });
  const reach = Math.max(3, Math.round(about.reach * scale));
  return {
    patch: meanPatch(whitened(strip, unlike), places, reach),
    scale,
    leg: [about.along, swing],
    hole: times(whitening(unlike), holeIn(fabric)),
  };
}

/** What it costs to believe a balance, whatever the width: the knot is drawn to the top by as much as it is below nothing. */
function costOf(
  costs: readonly {
    readonly part: number;
    readonly top: readonly number[];
    readonly bottom: readonly number[];
  }[],
  balance: number,
): number {
  const at = (side: readonly number[], drawn: number) => {
    const index = Math.round((drawn - (DRAWN[0] ?? 0)) / DRAWN_STEP);
    return side[Math.min(DRAWN.length - 1, Math.max(0, index))] ?? 0;
  };
  return together(
    costs.map(
      ({ part, top, bottom }) =>
        at(top, -balance) + at(bottom, balance) + ((part - 1) / WIDTH_SPREAD) ** 2,
    ),
  );
}

/** The mean of all balances, each as far as it is believed, and how far they spread. */
function believed(costs: readonly number[]): SampleBalance {
  const whole = together(costs);
  const weights = costs.map((cost) => Math.exp((whole - cost) / 2));
  const mean = (of: (balance: number) => number) =>
    weights.reduce((sum, weight, index) => sum + weight * of(BALANCES[index] ?? 0), 0);
  const balance = mean((one) => one);
  const error = Math.sqrt(mean((one) => (one - balance) ** 2));
  return { balance, error: Math.max(LEAST_ERROR, error) };
}

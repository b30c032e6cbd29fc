import { CARD } from '../card.ts';
import type { Light, Picture } from '../picture.ts';
import type { SampleSide } from '../seenStitches.ts';
import { renderSample } from './renderSample.ts';
import { type SampleFace, sampleTexture } from './sampleTexture.ts';
import { type Holes, holesOf } from './sewnSeam.ts';

/** What a made-up sample shows: its figures in millimetres. */
export interface MadeUpSample {
  readonly seed: number;
  readonly stitches: number;
  readonly length: number;
  /** Between the swings; nothing for a straight seam. */
  readonly width: number;
  /** Signed: -1 on top, 0 in the middle, 1 below. */
  readonly balance: number;
  /** Holes at which the threads do not catch. */
  readonly skipped: readonly number[];
  /** Loops of the top thread that hang below. */
  readonly loops?: SampleFace['loops'] | undefined;
}

const FABRIC: Light = [0.72, 0.7, 0.62];
const THREADS: Readonly<Record<SampleSide, Light>> = {
  top: [0.03, 0.14, 0.42],
  bottom: [0.55, 0.07, 0.05],
};
const THREAD_ACROSS = 0.25;
const UNEVEN = { length: 0.015, across: 0.03 };

/** A picture of one side of a made-up sample on its card, as a telephone held by hand takes it. */
export function madeUpSample(made: MadeUpSample, side: SampleSide): Picture {
  const run = made.stitches * made.length;
  const holes = holesOf({
    seed: made.seed,
    stitches: made.stitches,
    length: made.length,
    unevenness: UNEVEN.length,
    width: made.width,
    wander: UNEVEN.across,
    skipped: made.skipped,
    start: { x: (CARD.width - run) / 2, y: CARD.height / 2 },
    aslant: 1.5,
    bend: 4,
  });
  const isTop = side === 'top';
  const face: SampleFace = {
    seed: made.seed + (isTop ? 1 : 2),
    fabric: 'plain',
    fabricColour: FABRIC,
    own: { colour: THREADS[side], width: THREAD_ACROSS },
    other: { colour: THREADS[isTop ? 'bottom' : 'top'] },
    drawn: isTop ? -made.balance : made.balance,
    hairs: 1,
    loops: isTop ? [] : (made.loops ?? []),
  };
  return renderSample(sampleTexture(face, isTop ? holes : turnedOver(holes)), {
    seed: made.seed + (isTop ? 11 : 12),
    scale: 9,
    turned: isTop ? 4 : -5,
    tilted: 7,
    tiltedTo: isTop ? 50 : 130,
    blur: 0.8,
    noise: 0.012,
    falloff: 0.3,
    shadow: false,
  });
}

/** The same holes from the other side of the fabric, turned over about the line of the seam. */
function turnedOver({ holes, caught }: Holes): Holes {
  return { holes: holes.map(({ x, y }) => ({ x, y: CARD.height - y })), caught };
}

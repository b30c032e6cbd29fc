import type { Light } from './picture.ts';
import { singlePitches } from './readHole.ts';
import type { PictureReading } from './readPicture.ts';
import { balanceOfFaces, type SampleBalance, showThrough } from './showThrough.ts';

/** What a seam measures, in millimetres along and across it. */
export interface SeamMeasures {
  readonly kind: 'straight' | 'zigzag';
  /** Of a stitch along the seam: mean, and standard deviation over those that do not skip. */
  readonly length: number;
  readonly spread: number;
  readonly stitches: number;
  /** Which holes the threads did not catch at, counted from the first; and at which swing. */
  readonly skips: readonly number[];
  /** Standard deviation of the holes across the line of the seam. */
  readonly wander: number;
  /** Between the swings; nothing for a straight seam. */
  readonly width: number;
}

export function seamMeasures({ kind, holes, width }: PictureReading): SeamMeasures {
  const stitches = holes.reduce((sum, { steps }) => sum + steps, 0);
  // The first hole and the last show less sharply: there is thread on one side only.
  const inner = holes.slice(1, -1);
  const run = (inner.at(-1)?.along ?? 0) - (inner[0]?.along ?? 0);
  const between = inner.slice(0, -1).reduce((sum, { steps }) => sum + steps, 0);
  let passed = 0;
  const skips = holes.flatMap(({ steps }) => {
    const from = passed;
    passed += steps;
    return Array.from({ length: Math.max(0, steps - 1) }, (_, at) => from + at + 1);
  });
  return {
    kind,
    length: run / Math.max(1, between),
    spread: deviation(singlePitches(inner)),
    stitches,
    skips,
    wander: wanderOf(holes, kind),
    width,
  };
}

/** Of a zigzag each side by itself. */
function wanderOf(holes: PictureReading['holes'], kind: SeamMeasures['kind']): number {
  if (kind === 'straight') return deviation(holes.map(({ across }) => across));
  const middle = holes.reduce((sum, { across }) => sum + across, 0) / holes.length;
  const sides = [true, false].map((isLeft) =>
    holes.flatMap(({ across }) => (across < middle === isLeft ? [across] : [])),
  );
  return Math.sqrt(
    sides.reduce((sum, side) => sum + deviation(side) ** 2 * side.length, 0) / holes.length,
  );
}

function deviation(values: readonly number[]): number {
  const mean = values.reduce((sum, one) => sum + one, 0) / Math.max(1, values.length);
  return Math.sqrt(
    values.reduce((sum, one) => sum + (one - mean) ** 2, 0) / Math.max(1, values.length),
  );
}

/**
 * Where the knots of a sample lie, by the pictures of both its faces: each tells the colour of its own thread.
 * @param width of the threads, in millimetres
 */
export function sampleBalance(
  faces: { readonly top: PictureReading; readonly bottom: PictureReading },
  width: number,
): SampleBalance {
  const shown = (face: PictureReading, other: Light) =>
    showThrough(face, face.fabric, other, width);
  return balanceOfFaces({
    top: shown(faces.top, faces.bottom.own),
    bottom: shown(faces.bottom, faces.top.own),
  });
}

import { singlePitches } from './readHole.ts';
import type { PictureReading } from './readPicture.ts';
import { refused } from './refusal.ts';
import { curveOf } from './straightened.ts';

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

/** @throws CoreFault `too-few-stitches` */
export function seamMeasures(reading: PictureReading): SeamMeasures {
  const { kind, strip, holes } = reading;
  const stitches = holes.reduce((sum, { steps }) => sum + steps, 0);
  const curve = curveOf(strip, holes, kind);
  if (!curve) throw refused('too-few-stitches', { count: stitches });
  let passed = 0;
  const skips = holes.flatMap(({ steps }) => {
    const from = passed;
    passed += steps;
    return Array.from({ length: Math.max(0, steps - 1) }, (_, at) => from + at + 1);
  });
  return {
    kind,
    length: curve.run / strip.scale / stitches,
    spread: deviation(singlePitches(holes)),
    stitches,
    skips,
    wander: curve.wander / strip.scale,
    width: curve.width / strip.scale,
  };
}

function deviation(values: readonly number[]): number {
  const mean = values.reduce((sum, one) => sum + one, 0) / Math.max(1, values.length);
  return Math.sqrt(
    values.reduce((sum, one) => sum + (one - mean) ** 2, 0) / Math.max(1, values.length),
  );
}

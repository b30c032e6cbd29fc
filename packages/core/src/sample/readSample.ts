import { sidesOf } from './readHole.ts';
import type { PictureReading } from './readPicture.ts';
import { refused } from './refusal.ts';
import { curveOf, inField } from './straightened.ts';

/** What a seam measures, in millimetres along and across it. */
export interface SeamMeasures {
  readonly kind: 'straight' | 'zigzag';
  /** Of a stitch along the seam. */
  readonly length: number;
  /** Standard deviation of the stitches that do not skip; of a zigzag about the mean of those that go the same way. */
  readonly spread: number;
  /** By how much a zigzag's stitches to one side are longer along the seam than those back, as they lie on this face. */
  readonly unequal: number;
  /** How far along the seam each hole lies. */
  readonly alongs: readonly number[];
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
  const sides = sidesOf(holes, kind);
  const curve = curveOf(strip, holes, kind);
  if (!curve) throw refused('too-few-stitches', { count: stitches });
  let passed = 0;
  const skips = holes.flatMap(({ steps }) => {
    const from = passed;
    passed += steps;
    return Array.from({ length: Math.max(0, steps - 1) }, (_, at) => from + at + 1);
  });
  const alongs = holes.map((hole) => curve.runTo(inField(strip, hole)) / strip.scale);
  const pitches = holes.flatMap(({ steps }, index) =>
    steps === 1 && index + 1 < holes.length
      ? [{ pitch: (alongs[index + 1] ?? 0) - (alongs[index] ?? 0), from: sides[index] ?? 0 }]
      : [],
  );
  const ways = ([-1, 0, 1] as const).map((way) =>
    pitches.flatMap(({ pitch, from }) => (from === way ? [pitch] : [])),
  );
  const [fromLeft = [], , fromRight = []] = ways;
  return {
    kind,
    length: curve.run / strip.scale / stitches,
    spread: spreadWithin(ways),
    unequal: fromLeft.length > 0 && fromRight.length > 0 ? mean(fromLeft) - mean(fromRight) : 0,
    alongs,
    stitches,
    skips,
    wander: curve.wander / strip.scale,
    width: curve.width / strip.scale,
  };
}

/** Standard deviation of values about the mean of their own group. */
function spreadWithin(groups: readonly (readonly number[])[]): number {
  const used = groups.filter((group) => group.length > 0);
  const squares = used.map((group) => {
    const middle = mean(group);
    return group.reduce((sum, one) => sum + (one - middle) ** 2, 0);
  });
  const free = used.reduce((sum, group) => sum + group.length - 1, 0);
  return Math.sqrt(squares.reduce((sum, one) => sum + one, 0) / Math.max(1, free));
}

function mean(values: readonly number[]): number {
  return values.reduce((sum, one) => sum + one, 0) / Math.max(1, values.length);
}

import type { Point } from '../linkage/aroundDisc.ts';
import { through } from './homography.ts';
import { type ReadHole, sidesOf } from './readHole.ts';
import type { PictureReading } from './readPicture.ts';
import type { SeamMeasures } from './readSample.ts';
import { inField } from './straightened.ts';

/** Which side of the fabric a picture shows: the upper one, or the bobbin's. */
export const SAMPLE_SIDES = ['top', 'bottom'] as const;
export type SampleSide = (typeof SAMPLE_SIDES)[number];

/** Which way the needle had swung, to the one who sews. */
export const SWINGS = ['left', 'right'] as const;
export type Swing = (typeof SWINGS)[number];

/** A hole that the threads passed. */
export interface SkippedHole {
  /** About where it lies in the picture, in pixels. */
  readonly place: Point;
  /** Nothing of a straight seam. */
  readonly swing: Swing | undefined;
}

/** From one hole that the threads caught at to the next: one stitch, or more where it skipped. */
export interface SeenStitch {
  /** Its holes in the picture, in pixels. */
  readonly from: Point;
  readonly to: Point;
  /** Millimetres along the seam. */
  readonly length: number;
  readonly skipped: readonly SkippedHole[];
}

/**
 * The stitches of a face, in order. The card's arrow says which way the seam was sewn; the fabric moves away from the one
 * who sews, so that from above the left swing lies to the right of that arrow, and on the underside to its left.
 */
export function seenStitches(
  reading: PictureReading,
  { alongs }: Pick<SeamMeasures, 'alongs'>,
  side: SampleSide,
): readonly SeenStitch[] {
  const { holes, kind } = reading;
  const sides = sidesOf(holes, kind);
  const left = side === 'top' ? 1 : -1;
  const usual = { [-1]: acrossAt(holes, sides, -1), 1: acrossAt(holes, sides, 1) };
  return holes.flatMap((hole, index): readonly SeenStitch[] => {
    const next = holes[index + 1];
    if (!next) return [];
    const skipped = passed(hole, sides[index] ?? 0).map((at, before): SkippedHole => {
      const part = (before + 1) / hole.steps;
      const between = hole.across + part * (next.across - hole.across);
      const along = hole.along + part * (next.along - hole.along);
      return {
        place: inPicture(reading, { ...hole, along, across: at === 0 ? between : usual[at] }),
        swing: at === 0 ? undefined : at === left ? 'left' : 'right',
      };
    });
    const length = (alongs[index + 1] ?? 0) - (alongs[index] ?? 0);
    return [{ from: inPicture(reading, hole), to: inPicture(reading, next), length, skipped }];
  });
}

function inPicture({ strip, view, corner }: PictureReading, hole: ReadHole): Point {
  const { x, y } = inField(strip, hole);
  return through(view.toPicture, { x: corner.x + x / strip.scale, y: corner.y + y / strip.scale });
}

/** How far across the holes of one side lie, in the mean. */
function acrossAt(holes: readonly ReadHole[], sides: readonly number[], side: -1 | 1): number {
  const those = holes.filter((_, index) => sides[index] === side);
  return those.reduce((sum, { across }) => sum + across, 0) / Math.max(1, those.length);
}

/** Sides of the holes that were passed after one: they go from side to side. */
function passed({ steps }: ReadHole, side: -1 | 0 | 1): readonly (-1 | 0 | 1)[] {
  return Array.from({ length: Math.max(0, steps - 1) }, (_, at) =>
    side === 0 ? 0 : at % 2 === 0 ? (-side as -1 | 1) : side,
  );
}

import { measureAgain, type Repetition, skipsAgain } from './everyNth.ts';
import { leastSquares } from './linear.ts';
import { sidesOf } from './readHole.ts';
import type { PictureReading } from './readPicture.ts';
import type { SeamMeasures } from './readSample.ts';

/** What can come again along a seam. */
export type PatternOf = 'skips' | 'length' | 'through';

/** A wave that is lower is not looked into: millimetres of a stitch, square millimetres of thread. Ours. */
const LEAST = { length: 0.05, through: 0.02 } as const;

export interface SeamPattern extends Repetition {
  readonly of: PatternOf;
}

/**
 * What comes again on a face after a number of stitches: its skips, the length of its stitches, how much of the other thread
 * shows. What a zigzag does at every other stitch is its swing.
 * @param through square millimetres of the other thread about each hole, where they are known
 */
export function seamPatterns(
  { skips, stitches, alongs }: SeamMeasures,
  { holes, kind }: Pick<PictureReading, 'holes' | 'kind'>,
  through: readonly number[] | undefined,
): readonly SeamPattern[] {
  const sides = sidesOf(holes, kind);
  /** A value for each stitch, as they were sewn; none where it skipped. */
  const sewn = (measured: (index: number) => number | undefined) =>
    holes
      .slice(0, -1)
      .flatMap(({ steps }, index) => [
        { value: steps === 1 ? measured(index) : undefined, side: sides[index] ?? 0 },
        ...Array.from({ length: steps - 1 }, () => ({ value: undefined, side: 0 as const })),
      ]);
  const lengths = sewn((index) => (alongs[index + 1] ?? 0) - (alongs[index] ?? 0));
  const shown = through && sewn((index) => through[index]);
  const found: readonly (readonly [PatternOf, Repetition | undefined])[] = [
    ['skips', skipsAgain(skips, stitches)],
    ['length', measureAgain(aboutNothing(lengths), LEAST.length)],
    ['through', shown && measureAgain(aboutNothing(shown), LEAST.through)],
  ];
  return found.flatMap(([of, repetition]) => (repetition ? [{ of, ...repetition }] : []));
}

interface Sewn {
  readonly value: number | undefined;
  readonly side: -1 | 0 | 1;
}

/** Values about the mean and the even change of those at their own side; nothing where there is none. */
function aboutNothing(sewn: readonly Sewn[]): readonly number[] {
  const lines = new Map(([-1, 0, 1] as const).map((side) => [side, lineThrough(sewn, side)]));
  return sewn.map(({ value, side }, at) =>
    value === undefined ? 0 : value - (lines.get(side)?.(at) ?? value),
  );
}

function lineThrough(sewn: readonly Sewn[], side: Sewn['side']) {
  const those = sewn.flatMap((one, at) =>
    one.side === side && one.value !== undefined ? [{ at, value: one.value }] : [],
  );
  const fit = leastSquares(
    those.map(({ at }) => [1, at]),
    those.map(({ value }) => value),
  );
  const [mean, change] = fit ?? [];
  if (mean === undefined || change === undefined) return undefined;
  return (at: number) => mean + change * at;
}

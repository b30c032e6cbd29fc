import { measureAgain, type Repetition, skipsAgain } from './everyNth.ts';
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
  const middle = (sewn.length - 1) / 2;
  const lines = new Map(
    ([-1, 0, 1] as const).map((side) => {
      let [count, sum, moment, far] = [0, 0, 0, 0];
      for (const [at, one] of sewn.entries()) {
        if (one.side !== side || one.value === undefined) continue;
        count += 1;
        sum += one.value;
        moment += one.value * (at - middle);
        far += (at - middle) ** 2;
      }
      const mean = sum / Math.max(1, count);
      return [side, (at: number) => mean + (far > 0 ? moment / far : 0) * (at - middle)] as const;
    }),
  );
  return sewn.map(({ value, side }, at) =>
    value === undefined ? 0 : value - (lines.get(side)?.(at) ?? 0),
  );
}

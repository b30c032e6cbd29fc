import { CoreError } from '../errors/coreError.ts';
import { type Millimetres, mm } from '../units/quantities.ts';

/** Blade diameter in hundredths of a millimetre: 80 is 0.80 mm. */
export type NeedleSize = number & { readonly unit: 'Nm' };

/** Thinner or thicker than this no needle for these machines is made. */
const THINNEST = 50;
const THICKEST = 180;

/**
 * @throws CoreFault `not-a-needle-size` below 50 or above 180: a needle of 3 mm is none.
 */
export function needleSize(hundredths: number): NeedleSize {
  if (!Number.isFinite(hundredths) || hundredths < THINNEST || hundredths > THICKEST) {
    throw new CoreError('not-a-needle-size', {
      value: hundredths,
      least: THINNEST,
      most: THICKEST,
    });
  }
  return hundredths as NeedleSize;
}

/** Sizes as packets carry them, with the second number of the pair. Common practice. */
export const SIZE_PAIRS: readonly (readonly [metric: number, other: number])[] = [
  [60, 8],
  [65, 9],
  [70, 10],
  [75, 11],
  [80, 12],
  [90, 14],
  [100, 16],
  [110, 18],
  [120, 19],
];

/** Both numbers of a size as packets carry them, "80/12"; the metric one alone where it has no pair. */
export function sizeName(size: number): string {
  const pair = SIZE_PAIRS.find(([metric]) => metric === size);
  return pair ? `${pair[0]}/${pair[1]}` : String(size);
}

export function bladeDiameter(size: NeedleSize): Millimetres {
  return mm(size / 100);
}

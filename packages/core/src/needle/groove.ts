import { type Millimetres, positive } from '../units/quantities.ts';
import { type NeedleSize, needleSize, SIZE_PAIRS } from './size.ts';

/** A thread of this share of the blade lies in its groove: below it wanders, above it stands out. From memory. */
export const GROOVE_SHARE = { least: 0.2, most: 0.33 } as const;

/** Share of the blade's diameter that a thread takes. */
export function grooveShare(thread: Millimetres, size: NeedleSize): number {
  return (positive('thread', thread) * 100) / size;
}

/** Needles, thinnest and thickest, in whose groove the thread lies; not rounded to sizes that are sold. */
export function sizesForThread(thread: Millimetres): readonly [number, number] {
  const across = positive('thread', thread) * 100;
  return [across / GROOVE_SHARE.most, across / GROOVE_SHARE.least];
}

/** Sizes that are sold, the thinnest first. */
export const SOLD_SIZES: readonly NeedleSize[] = SIZE_PAIRS.map(([metric]) => needleSize(metric));

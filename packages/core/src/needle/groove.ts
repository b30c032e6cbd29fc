import type { EyeHold } from '../stitch/bentStrand.ts';
import { type Millimetres, positive } from '../units/quantities.ts';
import { type NeedleSize, needleSize, SIZE_PAIRS } from './size.ts';

/** A thread of this share of the blade lies in its groove: below it wanders, above it stands out. From memory. */
export const GROOVE_SHARE = { least: 0.2, most: 0.33 } as const;

/** What of the blade's width its eye and its groove take; from memory. */
export const OPENING_SHARE = 0.42;
/** A thread that fills so much of the eye is held upright by it, and frays in it; ours. */
const FILLS_EYE = 0.85;

/** How a thread lies in a needle. */
export interface ThreadInNeedle {
  /** Share of the blade's diameter that it takes. */
  readonly groove: number;
  readonly lies: 'wanders' | 'lies' | 'stands-out';
  /** Share of the eye's width that it takes. */
  readonly eye: number;
  readonly hold: EyeHold;
}

/** Whether a thread lies in its groove, and how the eye holds it. */
export function threadInNeedle(thread: Millimetres, size: NeedleSize): ThreadInNeedle {
  const groove = grooveShare(thread, size);
  const eye = groove / OPENING_SHARE;
  return {
    groove,
    lies:
      groove < GROOVE_SHARE.least ? 'wanders' : groove > GROOVE_SHARE.most ? 'stands-out' : 'lies',
    eye,
    hold: eye >= FILLS_EYE ? 'upright' : 'swivels',
  };
}

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

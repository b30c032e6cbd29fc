import type { Point } from '../linkage/aroundDisc.ts';

/**
 * The card that a sample is photographed on, in millimetres from its upper left corner. The sample covers the frame; the
 * marks at the corners stay free. Our own layout.
 */
export const CARD = {
  width: 110,
  height: 74,
  /** Middles of the marks, clockwise from the upper left; the first is the one with the hollow dot. */
  marks: [
    { x: 9, y: 9 },
    { x: 101, y: 9 },
    { x: 101, y: 65 },
    { x: 9, y: 65 },
  ] as const satisfies readonly Point[],
  /** Radii of a mark: a ring, a dot in it, and what is hollow in the first one's dot. */
  ring: { outer: 5, inner: 3.4 },
  dot: 2,
  hollow: 0.9,
  /** What the sample covers. */
  frame: { left: 8, top: 18, right: 102, bottom: 56 },
  /** Which way the seam was sewn: printed clear of the bare paper that the light is taken from. */
  arrow: { left: 20, right: 36, y: 5 },
  /** A line to check the print by. */
  check: { left: 30, right: 80, y: 67 },
} as const;

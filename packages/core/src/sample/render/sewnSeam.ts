import { seeded } from '../../chance/seeded.ts';
import type { Point } from '../../linkage/aroundDisc.ts';

/** How a made-up seam was sewn. Lengths in millimetres, along and across the card's frame. */
export interface SewnSeam {
  readonly seed: number;
  readonly stitches: number;
  /** Of a stitch along the seam. */
  readonly length: number;
  /** Spread of the lengths, as a part. */
  readonly unevenness: number;
  /** Between the swings of a zigzag; nothing for a straight seam. */
  readonly width: number;
  /** Spread of the holes across the seam. */
  readonly wander: number;
  /** Holes at which the threads did not catch. */
  readonly skipped: readonly number[];
  readonly start: Point;
  /** Of the seam against the card's long side, in degrees. */
  readonly aslant: number;
  /** How much its direction changes over the whole seam, in degrees. */
  readonly bend: number;
}

/** Where the needle went through, in order, and where the threads caught. */
export interface Holes {
  readonly holes: readonly Point[];
  readonly caught: readonly boolean[];
}

/** The holes of a seam: along an arc, each off it by its swing and its wander. */
export function holesOf(seam: SewnSeam): Holes {
  const random = seeded(seam.seed);
  const holes: Point[] = [];
  let [x, y] = [seam.start.x, seam.start.y];
  for (let index = 0; index <= seam.stitches; index += 1) {
    const heading = radians(seam.aslant + seam.bend * (index / seam.stitches - 0.5));
    const swing = index % 2 === 0 ? -seam.width / 2 : seam.width / 2;
    const across = swing + seam.wander * normal(random);
    holes.push({ x: x - across * Math.sin(heading), y: y + across * Math.cos(heading) });
    const length = seam.length * (1 + seam.unevenness * normal(random));
    x += length * Math.cos(heading);
    y += length * Math.sin(heading);
  }
  return { holes, caught: holes.map((_, index) => !seam.skipped.includes(index)) };
}

export function radians(degrees: number): number {
  return (degrees * Math.PI) / 180;
}

/** Drawn from a normal distribution. Source: Box & Muller 1958. */
export function normal(random: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

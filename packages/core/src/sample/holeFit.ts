import type { Masks } from './holeMasks.ts';
import { solved } from './linear.ts';
import type { Triple } from './whitened.ts';

/** Threads, hole, and the fabric about them, which may be lit otherwise above the seam than below it. */
const [OWN, OTHER, HOLE, FABRIC, LIT] = [0, 1, 2, 3, 4] as const;
const PARTS = 5;
/** What is as it fits best, whatever the other thread and the hole look like. */
const FREE: readonly number[] = [OWN, FABRIC, LIT];
/** Keeps what is hardly seen solvable. */
const RIDGE = { own: 1e-9, other: 1e-3 } as const;

/** What each two parts of a picture of a hole have in common over the pixels that count, by rows. */
export type Overlaps = Float64Array;

export function overlapsOf(masks: Masks, counted: Uint32Array): Overlaps {
  const sums = new Float64Array(PARTS * PARTS);
  const partsAt = partsOf(masks);
  for (const pixel of counted) {
    const parts = partsAt(pixel);
    for (let one = 0; one < PARTS; one += 1)
      for (let other = one; other < PARTS; other += 1) {
        const at = one * PARTS + other;
        sums[at] = (sums[at] ?? 0) + (parts[one] ?? 0) * (parts[other] ?? 0);
      }
  }
  for (let one = 0; one < PARTS; one += 1)
    for (let other = 0; other < one; other += 1)
      sums[one * PARTS + other] = sums[other * PARTS + one] ?? 0;
  return sums;
}

function partsOf({ own, other, hole }: Masks): (pixel: number) => ArrayLike<number> {
  const size = Math.sqrt(own.length);
  const middle = (size - 1) / 2;
  const parts = new Float64Array(PARTS).fill(1);
  return (pixel) => {
    parts[OWN] = own[pixel] ?? 0;
    parts[OTHER] = other[pixel] ?? 0;
    parts[HOLE] = hole[pixel] ?? 0;
    parts[LIT] = (Math.floor(pixel / size) - middle) / middle;
    return parts;
  };
}

/** What one colour of a patch has in common with each part, and with itself. */
export interface Seen {
  readonly parts: Float64Array;
  readonly self: number;
}

/** @param values of the patch's pixels: all of the first colour, then of the second, then of the third */
export function seenBy(values: Float64Array, masks: Masks, counted: Uint32Array): readonly Seen[] {
  const size = masks.own.length;
  const partsAt = partsOf(masks);
  const seen = [0, 1, 2].map(() => ({ parts: new Float64Array(PARTS), self: 0 }));
  for (const pixel of counted) {
    const parts = partsAt(pixel);
    for (const [colour, sums] of seen.entries()) {
      const value = values[colour * size + pixel] ?? 0;
      for (let part = 0; part < PARTS; part += 1)
        sums.parts[part] = (sums.parts[part] ?? 0) + (parts[part] ?? 0) * value;
      sums.self += value * value;
    }
  }
  return seen;
}

/**
 * What a patch tells of the other thread and of the hole once its own thread and the fabric are as they fit best (least
 * squares; the Schur complement of the two).
 */
export interface Told {
  /** What the other thread and the hole have in common with themselves and each other. */
  readonly other: number;
  readonly hole: number;
  readonly both: number;
  /** Of each colour: what they have in common with the patch, and the patch with itself. */
  readonly colours: readonly {
    readonly other: number;
    readonly hole: number;
    readonly self: number;
  }[];
  readonly pixels: number;
}

export function toldBy(overlaps: Overlaps, seen: readonly Seen[]): Told {
  const common = commonIn(overlaps);
  const ofOther = fitted(overlaps, FREE, (part) => common(part, OTHER));
  const ofHole = fitted(overlaps, FREE, (part) => common(part, HOLE));
  const taken = (fits: readonly number[], of: (part: number) => number) =>
    FREE.reduce((sum, part, index) => sum + (fits[index] ?? 0) * of(part), 0);
  return {
    other: common(OTHER, OTHER) - taken(ofOther, (part) => common(part, OTHER)),
    hole: common(HOLE, HOLE) - taken(ofHole, (part) => common(part, HOLE)),
    both: common(OTHER, HOLE) - taken(ofOther, (part) => common(part, HOLE)),
    colours: seen.map(({ parts, self }) => {
      const of = (part: number) => parts[part] ?? 0;
      return {
        other: of(OTHER) - taken(ofOther, of),
        hole: of(HOLE) - taken(ofHole, of),
        self: self - taken(fitted(overlaps, FREE, of), of),
      };
    }),
    pixels: common(FABRIC, FABRIC),
  };
}

/**
 * Mean squared difference of a patch from what would be seen.
 * @param dark the hole's colour
 * @param thread the other thread's; without it the one that fits best
 */
export function misfitWith(told: Told, dark: Triple, thread?: Triple): number {
  const { other, hole, both, colours, pixels } = told;
  let misfit = 0;
  for (const [index, colour] of colours.entries()) {
    const inHole = dark[index] ?? 0;
    const drawn = thread
      ? (thread[index] ?? 0)
      : (colour.other - inHole * both) / (other + RIDGE.other);
    misfit +=
      colour.self -
      2 * (drawn * colour.other + inHole * colour.hole) +
      drawn * drawn * other +
      2 * drawn * inHole * both +
      inHole * inHole * hole;
  }
  return Math.max(0, misfit) / (3 * pixels);
}

/** The colour of its own thread as it fits best, with the other thread's as that fits best. */
export function ownWith(overlaps: Overlaps, seen: readonly Seen[], dark: Triple): Triple {
  const common = commonIn(overlaps);
  return seen.map(({ parts }, colour) => {
    const left = (part: number) => (parts[part] ?? 0) - (dark[colour] ?? 0) * common(part, HOLE);
    return fitted(overlaps, [OWN, OTHER, FABRIC, LIT], left)[0] ?? 0;
  }) as unknown as Triple;
}

function commonIn(overlaps: Overlaps): (one: number, other: number) => number {
  return (one, other) => overlaps[one * PARTS + other] ?? 0;
}

/** How much of each part makes the sides that are asked for. */
function fitted(
  overlaps: Overlaps,
  free: readonly number[],
  side: (part: number) => number,
): readonly number[] {
  const common = commonIn(overlaps);
  const ridge = (part: number) => (part === OWN ? RIDGE.own : part === OTHER ? RIDGE.other : 0);
  const rows = free.map((one) => [
    ...free.map((other) => common(one, other) + (one === other ? ridge(one) : 0)),
    side(one),
  ]);
  return solved(rows) ?? free.map(() => 0);
}

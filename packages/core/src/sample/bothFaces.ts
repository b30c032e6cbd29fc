import { leastSquares } from './linear.ts';
import type { ReadHole } from './readHole.ts';
import type { PictureReading } from './readPicture.ts';
import { SAMPLE_SIDES, type SampleSide } from './seenStitches.ts';
import { quantile } from './spacing.ts';
import { type SeamSide, seamSides, seenHole, sideOf, stitchOf } from './usualHole.ts';
import { whitened } from './whitened.ts';

/** Both faces of one sample. */
export type BothFaces = Readonly<Record<SampleSide, PictureReading>>;

/** The same with the skips that both agree on. */
export interface AgreedFaces extends BothFaces {
  /** Holes at which each face surely shows something else: they may not show the same seam, or one lay the other way round. */
  readonly atOdds: number;
}

/** The first hole of one face may be so many after the first of the other. */
const MOST_SHIFT = 12;
/** Holes of one number lie within this part of a stitch of each other on both faces, and so many in a hundred of them. Ours. */
const TOGETHER = { off: 0.3, part: 0.9, least: 6 } as const;
/** A hole that one face alone shows is looked for on the other this far about its place, in parts of a stitch. Ours. */
const LOOKED = [-0.12, -0.06, 0, 0.06, 0.12] as const;

/** As a logarithm, a face that is surer than this of what it shows is not overruled by the other one. Ours. */
const SURE = 0.7;

/**
 * Skips as both faces tell them together: a stitch that was skipped is so on both. Where one shows a hole that the threads
 * caught at and the other does not, both are looked at again there, and the surer one is believed (likelihoods multiply). Where
 * both are sure of something else, or the faces do not lie on each other, they are left as they are.
 */
export function agreedFaces(faces: BothFaces): AgreedFaces {
  const match = matchOf(faces);
  const disputed = match ? disputedIn(match) : [];
  if (!match || disputed.length === 0) return { ...faces, atOdds: 0 };
  const [top, bottom] = [lookedAt(faces.top), lookedAt(faces.bottom)];
  if (!top || !bottom) return { ...faces, atOdds: 0 };
  let atOdds = 0;
  const found = { top: new Map(match.top), bottom: new Map(match.bottom) };
  for (const number of disputed) {
    const [above, below] = [match.top.get(number), match.bottom.get(number)];
    const seen = {
      top: above ? top.again(above) : top.about(number, match.onTop(below?.along ?? 0), match.top),
      bottom: below
        ? bottom.again(below)
        : bottom.about(number, match.onBottom(above?.along ?? 0), match.bottom),
    };
    const sures = [seen.top.sure, seen.bottom.sure];
    if (Math.min(...sures) < -SURE && Math.max(...sures) > SURE) {
      atOdds += 1;
      continue;
    }
    const isCaught = seen.top.sure + seen.bottom.sure > 0;
    for (const side of SAMPLE_SIDES)
      if (!isCaught) found[side].delete(number);
      else if (!found[side].has(number)) found[side].set(number, seen[side].hole);
  }
  return {
    atOdds,
    top: { ...faces.top, holes: holesOf(found.top) },
    bottom: { ...faces.bottom, holes: holesOf(found.bottom) },
  };
}

/** Holes by their number along the seam, those that were passed counted. */
type Numbered = ReadonlyMap<number, ReadHole>;

interface Match {
  readonly top: Numbered;
  readonly bottom: Numbered;
  /** How far along one face lies what is so far along the other, in millimetres. */
  readonly onTop: (along: number) => number;
  readonly onBottom: (along: number) => number;
}

/** Numbers of the holes that one face alone shows, of those that both could. */
function disputedIn({ top, bottom }: Pick<Match, SampleSide>): readonly number[] {
  const [first, last] = [
    Math.max(Math.min(...top.keys()), Math.min(...bottom.keys())),
    Math.min(Math.max(...top.keys()), Math.max(...bottom.keys())),
  ];
  return [...new Set([...top.keys(), ...bottom.keys()])]
    .filter((number) => number >= first && number <= last)
    .filter((number) => top.has(number) !== bottom.has(number));
}

/** Which hole of one face is which of the other: by the count with which most lie on each other. */
function matchOf({ top, bottom }: BothFaces): Match | undefined {
  if (top.kind !== bottom.kind) return undefined;
  const above = numbered(top.holes, 0);
  // Of two counts that fit alike the smaller one.
  const tries = Array.from({ length: 2 * MOST_SHIFT + 1 }, (_, index) => index - MOST_SHIFT)
    .toSorted((a, b) => Math.abs(a) - Math.abs(b))
    .flatMap((shift) => {
      const below = numbered(bottom.holes, shift);
      const pairs = [...above].flatMap(([number, hole]) => {
        const other = below.get(number);
        return other ? [[hole.along, other.along] as const] : [];
      });
      if (pairs.length < TOGETHER.least) return [];
      const middle = pairs.reduce((sum, [along]) => sum + along, 0) / pairs.length;
      const line = leastSquares(
        pairs.map(([along]) => [1, along - middle]),
        pairs.map(([, along]) => along),
      );
      const [start = 0, slope = 1] = line ?? [];
      if (!line || Math.abs(slope - 1) > MOST_STRETCH) return [];
      const offs = pairs.map(([one, other]) => Math.abs(start + slope * (one - middle) - other));
      return [{ below, pairs: pairs.length, start, slope, middle, offs }];
    });
  const stitch = stitchOf(top.holes);
  const unlike = ({ offs, pairs }: (typeof tries)[number]) => {
    const missed = above.size + bottom.holes.length - 2 * pairs;
    return (
      missed + offs.reduce((sum, off) => sum + Math.min(1, off / (TOGETHER.off * stitch)) ** 2, 0)
    );
  };
  const [best] = tries.toSorted((a, b) => unlike(a) - unlike(b));
  if (!best || quantile(best.offs, TOGETHER.part) > TOGETHER.off * stitch) return undefined;
  const { start, slope, middle, below } = best;
  return {
    top: above,
    bottom: below,
    onBottom: (along) => start + slope * (along - middle),
    onTop: (along) => middle + (along - start) / slope,
  };
}

/** Two pictures of one seam differ by no more in their scale. Ours. */
const MOST_STRETCH = 0.05;

function numbered(holes: readonly ReadHole[], from: number): Numbered {
  let number = from;
  return new Map(
    holes.map((hole) => {
      const entry = [number, hole] as const;
      number += hole.steps;
      return entry;
    }),
  );
}

function holesOf(found: Numbered): readonly ReadHole[] {
  const entries = [...found].toSorted(([a], [b]) => a - b);
  return entries.map(([number, hole], index) => ({
    ...hole,
    steps: (entries[index + 1]?.[0] ?? number) - number,
  }));
}

/** A face as it is looked at once more; nothing where too few holes told what a usual one looks like. */
function lookedAt({ strip, usual, holes, kind, unlike }: PictureReading) {
  if (!usual) return undefined;
  const planes = whitened(strip, unlike);
  const sides = seamSides(holes, kind);
  const [left, right = left] = sides;
  const stitch = stitchOf(holes);
  const seenAt = (along: number, of: SeamSide) => {
    const { sure, ...place } = seenHole(planes, strip.scale, of, usual, along);
    return { sure, hole: { ...place, steps: 1 } };
  };
  return {
    /** A hole that it shows. */
    again: (hole: ReadHole) => ({ sure: seenAt(hole.along, sideOf(hole, sides)).sure, hole }),
    /** A hole that it does not show, so far along it; from side to side of a zigzag they take turns. */
    about: (number: number, along: number, shown: Numbered) => {
      const [[known, hole] = [number, undefined]] = shown;
      const start = hole ? sideOf(hole, sides) : left;
      const isSame = (number - known) % 2 === 0;
      const of = isSame === (start === left) ? left : right;
      const tries = LOOKED.map((part) => seenAt(along + part * stitch, of));
      return tries.reduce((best, next) => (next.sure > best.sure ? next : best));
    },
  };
}

import {
  type LooseThread,
  type SampleBalance,
  type SampleSide,
  type SeamPattern,
  type Swing,
  seamPatterns,
} from '@nodo/core';
import {
  type KeptFace,
  type KeptSample,
  SAMPLE_FIGURES,
  SAMPLE_VALUES,
  type SampleValue,
} from '@nodo/ticket';
import { readNumber, readWhole } from '../../../messages/typed.ts';
import type { FaceRead } from '../../../workers/sample.worker.ts';

/** The sides that were read. */
export type Reads = readonly (readonly [SampleSide, FaceRead])[];

/** What somebody typed over the figures of one side, as far as they did. */
export type TypedFigures = Readonly<Partial<Record<SampleValue, string>>>;

/** No figure of a sample is larger, in millimetres. */
const MOST_MILLIMETRES = 50;
/** Nor does loose thread cover more of one picture, in square millimetres. */
const MOST_LOOSE = 1000;
const MOST_STITCHES = 1000;

/** A figure as it was read; undefined where it was not looked for. */
export function figureRead(
  { seam }: FaceRead,
  figure: SampleValue,
  loose: LooseThread | undefined,
): number | undefined {
  if (figure === 'stitches') return seam.stitches;
  if (figure === 'skips') return seam.skips.length;
  if (figure === 'loose') return loose && looseArea(loose);
  return hundredths(seam[figure]);
}

/** A figure as it stands, typed or read; undefined where what is typed is none, or nothing was read. */
export function figureOf(
  read: FaceRead,
  typed: TypedFigures,
  figure: SampleValue,
  loose: LooseThread | undefined,
): number | undefined {
  const text = typed[figure];
  if (text === undefined) return figureRead(read, figure, loose);
  const isWhole = figure === 'stitches' || figure === 'skips';
  const value = isWhole ? readWhole(text) : readNumber(text);
  const least = figure === 'stitches' ? 1 : 0;
  return value !== undefined && value >= least && value <= mostOf(read, typed, figure)
    ? value
    : undefined;
}

/** No hole is skipped that is none. */
function mostOf(read: FaceRead, typed: TypedFigures, figure: SampleValue): number {
  if (figure === 'stitches') return MOST_STITCHES;
  if (figure === 'skips') return figureOf(read, typed, 'stitches', undefined) ?? MOST_STITCHES;
  return figure === 'loose' ? MOST_LOOSE : MOST_MILLIMETRES;
}

/** One side as it is kept; undefined while something typed is no figure. */
export function faceOf(
  read: FaceRead,
  typed: TypedFigures,
  looseRead?: LooseThread,
): KeptFace | undefined {
  const of = (figure: SampleValue) => figureOf(read, typed, figure, looseRead);
  const [stitches, skips, loose] = [of('stitches'), of('skips'), of('loose')];
  const [length, spread, width, wander] = SAMPLE_FIGURES.map(of);
  const byHand = SAMPLE_VALUES.filter((figure) => typed[figure] !== undefined);
  if (
    stitches === undefined ||
    skips === undefined ||
    skips > stitches ||
    length === undefined ||
    spread === undefined ||
    width === undefined ||
    wander === undefined ||
    (typed.loose !== undefined && loose === undefined)
  )
    return undefined;
  const swings = swingsSkipped(read);
  const skippedAt = read.seam.skips.map((at, index) => {
    const swing = swings[index];
    return swing === undefined ? { at } : { at, swing };
  });
  return {
    stitches,
    skips,
    // By hand it is only said how many they are.
    skippedAt: typed.skips === undefined ? skippedAt : [],
    length,
    spread,
    wander,
    width,
    ...(loose !== undefined && { loose }),
    byHand,
  };
}

/** The balance as it stands, typed or read; undefined where there is none, `false` where what is typed is none. */
export function balanceOf(
  read: SampleBalance | undefined,
  typed: string | undefined,
): KeptSample['balance'] | false {
  if (typed !== undefined && typed.trim() !== '') {
    const value = readNumber(typed.replace('−', '-'));
    return value !== undefined && Math.abs(value) <= 1 ? { value } : false;
  }
  if (!read) return undefined;
  return { value: hundredths(read.balance), error: hundredths(read.error) };
}

/** Square millimetres of thread that hangs loose beside the seam. */
function looseArea({ loops }: LooseThread): number {
  return hundredths(loops.reduce((sum, { area }) => sum + area, 0));
}

/** Square millimetres of the other thread that show at a usual hole: the median. */
export function usualThrough({ through }: LooseThread): number | undefined {
  const middle = through?.toSorted((a, b) => a - b)[through.length >> 1];
  return middle === undefined ? undefined : hundredths(Math.max(0, middle));
}

/** What comes again on a side. */
export function patternsOf(read: FaceRead, loose: LooseThread | undefined): readonly SeamPattern[] {
  return seamPatterns(read.seam, read.reading, loose?.through);
}

/** How many holes were skipped at each swing. */
export function skipsBySwing(read: FaceRead): Readonly<Record<Swing, number>> {
  const swings = swingsSkipped(read);
  const at = (swing: Swing) => swings.filter((one) => one === swing).length;
  return { left: at('left'), right: at('right') };
}

function swingsSkipped({ stitches }: FaceRead): readonly (Swing | undefined)[] {
  return stitches.flatMap(({ skipped }) => skipped.map(({ swing }) => swing));
}

/** Two thirds of the full speed of a household machine: common practice. */
export const USUAL_RATE = 600;
export const RATES = { least: 10, most: 10_000 } as const;

/** By how much a zigzag's stitches to the left are longer along the seam than those to the right. */
export function longerToTheLeft({ seam }: FaceRead, side: SampleSide): number {
  // On the card the holes of the right swing lie above those of the left, and turned over below them.
  return hundredths(side === 'top' ? seam.unequal : -seam.unequal);
}

function hundredths(value: number): number {
  return Math.round(100 * value) / 100;
}

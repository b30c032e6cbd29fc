import { Transformer } from '@napi-rs/image';
import {
  agreedFaces,
  type PictureReading,
  readPicture,
  SAMPLE_SIDES,
  type SampleSide,
  sampleBalance,
  seamMeasures,
} from '@nodo/core';
import { spreadOf } from '../scripts/lib/spread.mjs';
import { type BenchCase, benchCase, CONDITIONS, type Condition } from './sample/cases.ts';
import { photograph, type Shown } from './sample/secondRenderer.ts';
import { speedBesideOpenCv } from './sample/speed.ts';

/** Samples of each condition; each is photographed from both sides. Seeds that nobody tuned anything on. */
const SEEDS = { first: 1701, count: 12 } as const;
/** As a telephone keeps its pictures. */
const JPEG_QUALITY = 88;
/** What a thread of the standard sample measures across, in millimetres, as far as the reader is told. */
const TOLD_WIDTH = 0.25;

export const sampleBenches = [
  ...CONDITIONS.map((condition) => ({
    name: `sample/${condition}`,
    run: () => judged(condition),
  })),
  { name: 'sample/speed', run: speedBesideOpenCv },
];

interface Face {
  readonly refused?: string;
  readonly isKind?: boolean;
  readonly lengthOff?: number;
  readonly wanderOff?: number;
  readonly widthOff?: number | undefined;
  readonly skips?: number;
  readonly found: number;
  readonly falsely: number;
}

function judged(condition: Condition) {
  const cases = Array.from({ length: SEEDS.count }, (_, index) =>
    benchCase(condition, SEEDS.first + index),
  );
  const faces: Face[] = [];
  const balances: number[] = [];
  const noBalance: string[] = [];
  for (const one of cases) {
    const [top, bottom] = [readingOf(one, 'top'), readingOf(one, 'bottom')];
    if (typeof top === 'string' || typeof bottom === 'string') {
      for (const face of [top, bottom])
        faces.push(
          typeof face === 'string' ? { refused: face, found: 0, falsely: 0 } : faceOf(one, face),
        );
      continue;
    }
    const both = agreedFaces({ top, bottom });
    faces.push(...SAMPLE_SIDES.map((side) => faceOf(one, both[side])));
    const balance = orCode(() => sampleBalance(both, TOLD_WIDTH).balance);
    if (typeof balance === 'string') noBalance.push(balance);
    else balances.push(Math.abs(balance - one.balance));
  }
  const seen = faces.filter(({ refused }) => refused === undefined);
  const skips = sum(cases.map(({ skipped }) => skipped.length)) * 2;
  const skipsRead = sum(seen.map((face) => face.skips ?? 0));
  const stitches = sum(cases.map(({ stitches }) => stitches)) * 2;
  return {
    pictures: faces.length,
    refused: counted(faces.flatMap(({ refused }) => refused ?? [])),
    rightKind: share(seen.filter(({ isKind }) => isKind).length, seen.length),
    lengthWithin2Percent: share(
      seen.filter(({ lengthOff }) => (lengthOff ?? 1) <= 0.02).length,
      seen.length,
    ),
    lengthOff95: spread(seen.map(({ lengthOff }) => lengthOff ?? 1)),
    skips,
    skipsRead,
    skipsFound: share(sum(seen.map(({ found }) => found)), skipsRead),
    skipsFoundOfAll: share(sum(seen.map(({ found }) => found)), skips),
    falseSkips: share(sum(seen.map(({ falsely }) => falsely)), stitches),
    balanceRefused: counted(noBalance),
    balanceWithin05: share(balances.filter((off) => off <= 0.05).length, balances.length),
    balanceOff95: spread(balances),
    wanderOff95: spread(seen.map(({ wanderOff }) => wanderOff ?? 1)),
    widthOff95: spread(seen.flatMap(({ widthOff }) => widthOff ?? [])),
  };
}

/** What was read of a face, or why nothing was. */
function readingOf(one: BenchCase, side: SampleSide): PictureReading | string {
  const { scene, camera } = one.faces[side];
  return orCode(() => readPicture(asJpeg(photograph(scene, camera))));
}

/** What was asked for, or the core's code for why there is none. */
function orCode<Answer>(answer: () => Answer): Answer | string {
  try {
    return answer();
  } catch (error) {
    if (error instanceof Error && 'code' in error) return String(error.code);
    throw error;
  }
}

function faceOf(one: BenchCase, reading: PictureReading): Face {
  const seam = seamMeasures(reading);
  return {
    isKind: seam.kind === one.kind,
    lengthOff: Math.abs(seam.length / one.length - 1),
    wanderOff: Math.abs(seam.wander - one.wander),
    widthOff: one.kind === 'zigzag' ? Math.abs(seam.width - one.width) : undefined,
    skips: one.skipped.length,
    ...skipsOf(seam.skips, one.skipped),
  };
}

/** Written as JPEG, with the colours kept more coarsely than the light, and read again. */
function asJpeg({ width, height, data }: Shown): Shown {
  const file = Transformer.fromRgbaPixels(data, width, height).jpegSync(JPEG_QUALITY);
  const rgb = new Transformer(file).rawPixelsSync();
  const channels = rgb.length / (width * height);
  const pixels = new Uint8ClampedArray(4 * width * height).fill(255);
  for (let at = 0; at < width * height; at += 1)
    for (let part = 0; part < 3; part += 1) pixels[4 * at + part] = rgb[channels * at + part] ?? 0;
  return { width, height, data: pixels };
}

/** The first hole may have been counted or not: by the count that fits best. */
function skipsOf(said: readonly number[], truly: readonly number[]) {
  const fits = [-1, 0, 1].map((shift) => {
    const found = said.filter((at) => truly.includes(at + shift)).length;
    return { found, falsely: said.length - found };
  });
  return (
    fits.toSorted((a, b) => b.found - b.falsely - (a.found - a.falsely))[0] ?? {
      found: 0,
      falsely: 0,
    }
  );
}

function sum(values: readonly number[]): number {
  return values.reduce((all, one) => all + one, 0);
}

function share(part: number, all: number): number {
  return all === 0 ? 0 : Number((part / all).toFixed(4));
}

/** What 95 of a hundred stay within. */
function spread(values: readonly number[]): number | undefined {
  return values.length === 0 ? undefined : spreadOf([...values], 4)(0.95);
}

function counted(codes: readonly string[]): Readonly<Record<string, number>> {
  const counts: Record<string, number> = {};
  for (const code of codes) counts[code] = (counts[code] ?? 0) + 1;
  return counts;
}

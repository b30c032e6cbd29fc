import { createRequire } from 'node:module';
import { agreedFaces, type PictureReading, readPicture, sampleBalance } from '@nodo/core';
import type * as OpenCv from '@techstark/opencv-js';
import { spreadOf } from '../../scripts/lib/spread.mjs';
import { type BenchCase, benchCase } from './cases.ts';
import { photograph, type Shown } from './secondRenderer.ts';

/** Of the usual 12 megapixels of a telephone, four to three. */
const PIXELS = 12e6;
/** A zigzag and a straight seam. */
const SEEDS = [901, 902, 903, 904] as const;
const ROUNDS = 5;

/** How long a picture takes beside OpenCV's threshold (Otsu) and components of the same picture, in one run. */
export async function speedBesideOpenCv() {
  const { cv } = await openCv();
  const results = SEEDS.map((seed) => besideOpenCv(cv, benchCase('near', seed)));
  return {
    megapixels: results.map(({ pixels }) => Number((pixels / 1e6).toFixed(1))),
    kinds: results.map(({ kind }) => kind),
    readMs: results.map(({ readMs }) => Math.round(readMs)),
    openCvMs: results.map(({ openCvMs }) => Math.round(openCvMs)),
    ratio: results.map(({ readMs, openCvMs }) => Number((readMs / openCvMs).toFixed(2))),
    bothSidesMs: results.map(({ bothMs }) => Math.round(bothMs)),
  };
}

function besideOpenCv(cv: typeof OpenCv, one: BenchCase) {
  const [top, bottom] = [photo(one, 'top'), photo(one, 'bottom')];
  let read: PictureReading | undefined;
  const times = Array.from({ length: ROUNDS }, () => ({
    read: millisecondsOf(() => {
      read = readPicture(top);
    }),
    openCv: millisecondsOf(() => componentsByOpenCv(cv, top)),
  }));
  const faces = read && { top: read, bottom: readPicture(bottom) };
  const usual = (of: 'read' | 'openCv') =>
    spreadOf(
      times.map((time) => time[of]),
      1,
    )(0.5);
  return {
    kind: one.kind,
    pixels: top.width * top.height,
    readMs: usual('read'),
    openCvMs: usual('openCv'),
    bothMs: millisecondsOf(() => faces && sampleBalance(agreedFaces(faces))),
  };
}

/** The case photographed from so near that the picture has as many pixels as a telephone's. */
function photo({ faces }: BenchCase, side: 'top' | 'bottom'): Shown {
  const { scene, camera } = faces[side];
  const { width, height } = photograph(scene, { ...camera, pixelsPerMm: 6, blur: 0 });
  const pixelsPerMm = 6 * Math.sqrt(PIXELS / (width * height));
  return photograph(scene, { ...camera, pixelsPerMm, blur: 1.2 });
}

function componentsByOpenCv(cv: typeof OpenCv, { width, height, data }: Shown): number {
  const from = new cv.Mat(height, width, cv.CV_8UC4);
  (from.data as Uint8Array).set(data);
  const [grey, mask, labels, stats, middles] = [0, 1, 2, 3, 4].map(() => new cv.Mat()) as [
    OpenCv.Mat,
    OpenCv.Mat,
    OpenCv.Mat,
    OpenCv.Mat,
    OpenCv.Mat,
  ];
  cv.cvtColor(from, grey, Number(cv.COLOR_RGBA2GRAY));
  cv.threshold(grey, mask, 0, 255, Number(cv.THRESH_BINARY_INV) + Number(cv.THRESH_OTSU));
  const count = cv.connectedComponentsWithStats(mask, labels, stats, middles, 8);
  for (const one of [from, grey, mask, labels, stats, middles]) one.delete();
  return count;
}

function millisecondsOf(work: () => unknown): number {
  const started = performance.now();
  work();
  return performance.now() - started;
}

/** It says `then` of itself, so that whoever awaits it waits for ever: it is awaited in a box. */
async function openCv(): Promise<{ readonly cv: typeof OpenCv }> {
  const cv = createRequire(import.meta.url)('@techstark/opencv-js') as typeof OpenCv;
  await new Promise<void>((ready) => {
    if ('Mat' in cv) ready();
    else Object.assign(cv, { onRuntimeInitialized: ready });
  });
  return { cv };
}

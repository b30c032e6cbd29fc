import { createRequire } from 'node:module';
import type * as OpenCv from '@techstark/opencv-js';
import { beforeAll, describe, expect, it } from 'vitest';
import {
  madeUpSample,
  readPicture,
  sampleBalance,
  seamMeasures,
  seeded,
  seenStitches,
} from '../src/index.ts';
import { findCard } from '../src/sample/findCard.ts';
import { homographyOf, through } from '../src/sample/homography.ts';
import { leastSquares } from '../src/sample/linear.ts';
import { alignedTo, bellOf, patchAt } from '../src/sample/patch.ts';
import {
  byteOfLight,
  LIGHT_OF_BYTE,
  type Light,
  type Picture,
  plane,
} from '../src/sample/picture.ts';
import { renderSample, type Shot, viewOf } from '../src/sample/render/renderSample.ts';
import { type SampleFace, sampleTexture } from '../src/sample/render/sampleTexture.ts';
import { type Holes, holesOf, type SewnSeam } from '../src/sample/render/sewnSeam.ts';
import { seamCurve } from '../src/sample/seamCurve.ts';
import { componentsOf, otsuThreshold } from '../src/sample/threshold.ts';
import { whitening } from '../src/sample/whitened.ts';

// Independent: OpenCV 4.5.2, as @techstark/opencv-js. It says `then` of itself, so that whoever awaits it waits for ever.
const cv = createRequire(import.meta.url)('@techstark/opencv-js') as typeof OpenCv;
beforeAll(
  () =>
    new Promise<void>((ready) => {
      if ('Mat' in cv) ready();
      else Object.assign(cv, { onRuntimeInitialized: ready });
    }),
);

/** A grey picture of soft blots, by seed. */
function blots(seed: number, width: number, height: number): Uint8Array {
  const random = seeded(seed);
  const middles = Array.from(
    { length: 12 },
    () => [random() * width, random() * height, 4 + 9 * random()] as const,
  );
  return Uint8Array.from({ length: width * height }, (_, at) => {
    const [x, y] = [at % width, Math.floor(at / width)];
    const near = middles.some(([cx, cy, r]) => Math.hypot(x - cx, y - cy) < r);
    return (near ? 60 : 170) + 70 * (random() - 0.5);
  });
}

describe('what is dark and what is light', () => {
  it.each([1, 2, 3])('is parted as by OpenCV’s threshold after Otsu: blots %i', (seed) => {
    const [width, height] = [96, 64];
    const grey = blots(seed, width, height);
    const histogram = new Array<number>(256).fill(0);
    for (const value of grey) histogram[value] = (histogram[value] ?? 0) + 1;
    const threshold = otsuThreshold(histogram);
    const from = cv.matFromArray(height, width, cv.CV_8UC1, [...grey]);
    const to = new cv.Mat();
    cv.threshold(from, to, 0, 255, Number(cv.THRESH_BINARY) + Number(cv.THRESH_OTSU));
    // On a plateau the numbers may differ, the masks do not.
    expect([...grey].map((value) => (value > threshold ? 255 : 0))).toEqual([
      ...(to.data as Uint8Array),
    ]);
    from.delete();
    to.delete();
  });

  it.each([4, 5])('falls into the components that OpenCV finds: blots %i', (seed) => {
    const [width, height] = [96, 64];
    const mask = blots(seed, width, height).map((value) => (value < 110 ? 1 : 0));
    const from = cv.matFromArray(height, width, cv.CV_8UC1, [...mask]);
    const [labels, stats, middles] = [new cv.Mat(), new cv.Mat(), new cv.Mat()];
    const count = cv.connectedComponentsWithStats(from, labels, stats, middles, 8);
    const theirs = Array.from({ length: count - 1 }, (_, index) => {
      const at = (index + 1) * 5;
      const [left = 0, top = 0, wide = 0, tall = 0, area = 0] = stats.data32S.slice(at, at + 5);
      const [x = 0, y = 0] = middles.data64F.slice(2 * (index + 1), 2 * (index + 1) + 2);
      return { area, x, y, left, top, right: left + wide - 1, bottom: top + tall - 1 };
    });
    const order = (one: { top: number; left: number; area: number }) =>
      1e6 * one.top + 1e3 * one.left + one.area;
    const ours = componentsOf(mask, width, height).toSorted((a, b) => order(a) - order(b));
    expect(ours).toHaveLength(theirs.length);
    for (const [index, their] of theirs.toSorted((a, b) => order(a) - order(b)).entries()) {
      const { x, y, ...rest } = ours[index] ?? { x: 0, y: 0 };
      expect(rest).toEqual({
        area: their.area,
        left: their.left,
        top: their.top,
        right: their.right,
        bottom: their.bottom,
      });
      expect(Math.hypot(x - their.x, y - their.y)).toBeLessThan(1e-9);
    }
    for (const one of [from, labels, stats, middles]) one.delete();
  });
});

describe('a plane seen aslant', () => {
  const corners = [
    { x: 102, y: 80 },
    { x: 415, y: 64 },
    { x: 440, y: 298 },
    { x: 75, y: 310 },
  ];
  const flat = [
    { x: 0, y: 0 },
    { x: 200, y: 0 },
    { x: 200, y: 100 },
    { x: 0, y: 100 },
  ];

  it('takes the worked point where it was computed to lie, and as OpenCV does', () => {
    const view = homographyOf(corners, flat);
    const at = through(view, { x: 250, y: 200 });
    expect(at.x).toBeCloseTo(96.694781, 5);
    expect(at.y).toBeCloseTo(58.801776, 5);
    const points = (of: typeof corners) =>
      cv.matFromArray(
        4,
        1,
        cv.CV_32FC2,
        of.flatMap(({ x, y }) => [x, y]),
      );
    const theirs = cv.getPerspectiveTransform(points(corners), points(flat));
    for (const [index, value] of view.entries())
      expect(value).toBeCloseTo(theirs.data64F[index] ?? 0, 6);
  });

  it('comes back to where it was, and is refused where three corners lie in a line', () => {
    const there = homographyOf(corners, flat);
    const back = homographyOf(flat, corners);
    const { x, y } = through(back, through(there, { x: 300, y: 150 }));
    expect([x, y].map((one) => Number(one.toFixed(9)))).toEqual([300, 150]);
    const line = [
      { x: 0, y: 0 },
      { x: 1, y: 1 },
      { x: 2, y: 2 },
      { x: 3, y: 3 },
    ];
    expect(() => homographyOf(line, flat)).toThrow(expect.objectContaining({ code: 'no-view' }));
  });
});

it('light and the bytes that stand for it come back to each other', () => {
  for (const byte of [0, 1, 10, 11, 127, 254, 255])
    expect(byteOfLight(LIGHT_OF_BYTE[byte] ?? 0)).toBe(byte);
  // Source: IEC 61966-2-1: half of the light is byte 188.
  expect(byteOfLight(0.5)).toBe(188);
});

const SEAM: SewnSeam = {
  seed: 5,
  stitches: 26,
  length: 2.5,
  unevenness: 0.02,
  width: 0,
  wander: 0.05,
  skipped: [9, 17],
  start: { x: 18, y: 36 },
  aslant: 2,
  bend: 8,
};
const SHOT: Shot = {
  seed: 3,
  scale: 9,
  turned: 8,
  tilted: 12,
  tiltedTo: 40,
  blur: 0.7,
  noise: 0.015,
  falloff: 0.4,
  shadow: true,
};
const RED: Light = [0.55, 0.03, 0.05];
const BLUE: Light = [0.03, 0.1, 0.5];

function face(drawn: number, of: Partial<SampleFace> = {}): SampleFace {
  const ends = { own: { colour: RED, width: 0.25 }, other: { colour: BLUE } };
  return {
    seed: 1,
    fabric: 'plain',
    fabricColour: [0.72, 0.7, 0.62],
    ...ends,
    drawn,
    hairs: 2,
    ...of,
  };
}
const turnedOver = ({ holes, caught }: Holes): Holes => ({
  holes: holes.map(({ x, y }) => ({ x, y: 74 - y })),
  caught,
});
const photo = (of: SampleFace, holes: Holes, shot: Partial<Shot> = {}): Picture =>
  renderSample(sampleTexture(of, holes), { ...SHOT, ...shot });

describe('the card in a picture', () => {
  it.each([0, 90, 172])('is found turned by %i degrees, to a tenth of a millimetre', (turned) => {
    const shot = { ...SHOT, turned };
    const found = findCard(photo(face(0), holesOf(SEAM), { turned }));
    if (!found) throw new Error('not found');
    const { toPicture } = viewOf(shot);
    for (const at of [
      { x: 10, y: 20 },
      { x: 55, y: 37 },
      { x: 100, y: 54 },
    ]) {
      const [truly, seen] = [through(toPicture, at), through(found.toPicture, at)];
      expect(Math.hypot(truly.x - seen.x, truly.y - seen.y) / SHOT.scale).toBeLessThan(0.1);
    }
  });

  it('is missed where a mark is covered, and told so', () => {
    const picture = photo(face(0), holesOf(SEAM), { turned: 0, tilted: 0 });
    const data = Uint8ClampedArray.from(picture.data);
    for (let y = 0; y < 200; y += 1)
      data.fill(120, 4 * y * picture.width, 4 * (y * picture.width + 200));
    const covered = { ...picture, data };
    expect(findCard(covered)).toBeUndefined();
    expect(() => readPicture(covered)).toThrow(expect.objectContaining({ code: 'no-card' }));
    expect(() => readPicture({ ...picture, width: 3 })).toThrow(
      expect.objectContaining({ code: 'not-a-picture' }),
    );
  });
});

describe('a sewn sample', () => {
  it('straight: its length, skips, wander and balance are read from both faces', () => {
    const holes = holesOf(SEAM);
    const balance = 0.3;
    const faces = {
      top: readPicture(photo(face(-balance), holes)),
      bottom: readPicture(
        photo(
          face(balance, { own: { colour: BLUE, width: 0.25 }, other: { colour: RED } }),
          turnedOver(holes),
          { turned: -6 },
        ),
      ),
    };
    for (const reading of Object.values(faces)) {
      const seam = seamMeasures(reading);
      expect(seam).toMatchObject({ kind: 'straight', stitches: 26, skips: [9, 17] });
      expect(Math.abs(seam.length / 2.5 - 1)).toBeLessThan(0.02);
      expect(Math.abs(seam.wander - 0.05)).toBeLessThan(0.05);
    }
    const read = sampleBalance(faces, 0.25);
    expect(Math.abs(read.balance - balance)).toBeLessThan(0.05);
    expect(read.error).toBeLessThan(0.1);
  });

  it('zigzag: its width, length, wander, balance and the swing that skips', () => {
    const balance = -0.4;
    const holes = holesOf({
      ...SEAM,
      stitches: 40,
      length: 1.6,
      width: 3.2,
      unevenness: 0,
      skipped: [15, 28],
    });
    const shot = { scale: 11, tilted: 6 };
    const faces = {
      top: readPicture(photo(face(-balance), holes, shot)),
      bottom: readPicture(
        photo(
          face(balance, { own: { colour: BLUE, width: 0.25 }, other: { colour: RED } }),
          turnedOver(holes),
          shot,
        ),
      ),
    };
    for (const reading of Object.values(faces)) {
      const read = seamMeasures(reading);
      expect(read).toMatchObject({ kind: 'zigzag', stitches: 40, skips: [15, 28] });
      expect(Math.abs(read.length / 1.6 - 1)).toBeLessThan(0.01);
      expect(Math.abs(read.width - 3.2)).toBeLessThan(0.1);
      expect(Math.abs(read.wander - 0.05)).toBeLessThan(0.02);
    }
    expect(Math.abs(sampleBalance(faces, 0.25).balance - balance)).toBeLessThan(0.05);
  });

  it('in a thread as dark as its holes: they are what comes seldom', () => {
    const own = { colour: [0.25, 0.05, 0.4] as const, width: 0.25 };
    const picture = photo(face(-0.3, { own, fabric: 'speckled' }), holesOf(SEAM));
    expect(seamMeasures(readPicture(picture))).toMatchObject({ stitches: 26, skips: [9, 17] });
  });

  it('in thread of the fabric’s own colour is refused', () => {
    const fabricColour: Light = [0.5, 0.45, 0.4];
    const own = { colour: [0.49, 0.44, 0.4] as const, width: 0.25 };
    const picture = photo(
      face(-0.6, { fabricColour, own, fabric: 'twill', hairs: 0 }),
      holesOf({ ...SEAM, skipped: [] }),
    );
    expect(() => readPicture(picture)).toThrow(expect.objectContaining({ code: 'fabric-colour' }));
  });
});

describe('the stitches of a sample in its picture', () => {
  const stitchesIn = (picture: Picture, side: 'top' | 'bottom') => {
    const reading = readPicture(picture);
    return seenStitches(reading, seamMeasures(reading), side);
  };
  const made = { seed: 7, stitches: 30, length: 2, width: 3, balance: 0.1, skipped: [11, 18] };

  it('lie where they were sewn, and what was skipped is told by the swing on both sides alike', () => {
    for (const side of ['top', 'bottom'] as const) {
      const picture = madeUpSample(made, side);
      const seen = stitchesIn(picture, side);
      // At either end there is only one leg to tell a hole by.
      const count = seen.reduce((sum, { skipped }) => sum + skipped.length + 1, 0);
      expect(count).toBeGreaterThanOrEqual(28);
      expect(count).toBeLessThanOrEqual(30);
      // Hole 0 is up on the card, which from above is right of the way it was sewn.
      expect(seen.flatMap(({ skipped }) => skipped.map(({ swing }) => swing))).toEqual([
        'left',
        'right',
      ]);
      // At each hole the other thread or the dark of it: never the fabric beside.
      const light = ({ x, y }: { readonly x: number; readonly y: number }) => {
        const at = 4 * (Math.round(y) * picture.width + Math.round(x));
        return (picture.data[at] ?? 0) + (picture.data[at + 1] ?? 0) + (picture.data[at + 2] ?? 0);
      };
      const mean = (values: readonly number[]) =>
        values.reduce((sum, one) => sum + one, 0) / values.length;
      const at = mean(seen.map(({ from }) => light(from)));
      const beside = mean(seen.map(({ from }) => light({ x: from.x, y: from.y - 40 * 3 })));
      expect(at).toBeLessThan(0.6 * beside);
    }
  });
});

describe('the line that a seam was sewn along', () => {
  // 30 degrees of a circle of 120 mm; alternately half a millimetre in and out.
  const places = Array.from({ length: 20 }, (_, index) => {
    const angle = (index / 19) * (Math.PI / 6);
    const radius = 120 + (index % 2 === 0 ? -0.5 : 0.5);
    return { x: radius * Math.sin(angle), y: 120 - radius * Math.cos(angle), side: index % 2 };
  });

  it('is as long as the arc, and its swings are as far apart as they are', () => {
    const sides = places.map(({ side }) => (side === 0 ? 1 : -1));
    const curve = seamCurve(places, sides);
    // Pi / 6 x 120 = 62.8319.
    expect(Math.abs((curve?.run ?? 0) / 62.8319 - 1)).toBeLessThan(0.005);
    expect(Math.abs(curve?.width ?? 0)).toBeCloseTo(1, 1);
    expect(curve?.wander).toBeLessThan(0.1);
  });

  it('of a straight seam counts back what it takes along of the scatter', () => {
    const random = seeded(4);
    const mean = (count: number) => {
      let squares = 0;
      for (let trial = 0; trial < 400; trial += 1) {
        const holes = Array.from({ length: count }, (_, x) => ({
          x,
          y: 0.1 * (random() + random() + random() + random() - 2) * Math.sqrt(3),
        }));
        squares +=
          (seamCurve(
            holes,
            holes.map(() => 0),
          )?.wander ?? 0) **
            2 /
          400;
      }
      return Math.sqrt(squares);
    };
    expect(mean(10)).toBeGreaterThan(0.095);
    expect(mean(10)).toBeLessThan(0.105);
  });

  it('is none through too few holes', () => {
    expect(seamCurve(places.slice(0, 4), [0, 0, 0, 0])).toBeUndefined();
    expect(seamCurve([], [])).toBeUndefined();
  });
});

describe('what it is computed with', () => {
  it('least squares: an exact line comes back, rows that say one thing only do not', () => {
    const rows = [0, 1, 2, 3].map((x) => [1, x]);
    const [at = 0, slope = 0] =
      leastSquares(
        rows,
        rows.map(([, x = 0]) => 3 - 2 * x),
      ) ?? [];
    expect(at).toBeCloseTo(3, 12);
    expect(slope).toBeCloseTo(-2, 12);
    expect(
      leastSquares(
        [
          [1, 1],
          [2, 2],
        ],
        [1, 2],
      ),
    ).toBeUndefined();
  });

  it('whitening: what is unlike by the covariance is as long as it is unlike', () => {
    const unlike = [4, 1, 0, 1, 3, -1, 0, -1, 2];
    const off = [0.3, -0.2, 0.5] as const;
    const square = off.reduce<number>(
      (sum, one, row) =>
        sum +
        off.reduce<number>((all, two, at) => all + one * two * (unlike[3 * row + at] ?? 0), 0),
      0,
    );
    const long = whitening(unlike).map((row) =>
      row.reduce((sum, one, at) => sum + one * (off[at] ?? 0), 0),
    );
    expect(long.reduce((sum, one) => sum + one * one, 0)).toBeCloseTo(square, 12);
  });

  it('a place is moved to where a piece fits, to a part of a pixel', () => {
    const spot = (x: number, y: number) => {
      const one = plane(40, 40);
      for (let at = 0; at < 1600; at += 1)
        one.data[at] = Math.exp(-(((at % 40) - x) ** 2 + (Math.floor(at / 40) - y) ** 2) / 8);
      return one;
    };
    const usual = patchAt([spot(20, 20), spot(20, 20), spot(20, 20)], { u: 20, v: 20, side: 1 }, 6);
    const planes = [spot(21.3, 19.4), spot(21.3, 19.4), spot(21.3, 19.4)] as const;
    const found = alignedTo(planes, usual, bellOf(6, 4), { u: 20, v: 20, side: 1 });
    expect(found.u).toBeCloseTo(21.3, 1);
    expect(found.v).toBeCloseTo(19.4, 1);
  });
});

import { describe, expect, it } from 'vitest';
import { agreedFaces, type PictureReading, readPicture, seamMeasures } from '../src/index.ts';
import type { ReadHole } from '../src/sample/readHole.ts';
import { renderSample, type Shot } from '../src/sample/render/renderSample.ts';
import { sampleTexture } from '../src/sample/render/sampleTexture.ts';
import { type Holes, holesOf } from '../src/sample/render/sewnSeam.ts';

const SHOT: Shot = {
  seed: 12,
  scale: 9,
  turned: 5,
  tilted: 4,
  tiltedTo: 70,
  blur: 0.8,
  noise: 0.015,
  falloff: 0.2,
  shadow: false,
};
const GREEN = [0.03, 0.3, 0.09] as const;
const VIOLET = [0.25, 0.05, 0.4] as const;
const SKIPPED = [7, 16];

function facesOf(width: number, isBottomReversed = false) {
  const holes = holesOf({
    seed: 51,
    stitches: 26,
    length: 2.4,
    unevenness: 0.03,
    wander: 0.04,
    width,
    skipped: SKIPPED,
    start: { x: 21, y: 37 },
    aslant: 1,
    bend: 2,
  });
  const turned: Holes = { ...holes, holes: holes.holes.map(({ x, y }) => ({ x, y: 74 - y })) };
  const reversed: Holes = {
    holes: turned.holes.map(({ x, y }) => ({ x: 104 - x, y })).reverse(),
    caught: [...turned.caught].reverse(),
  };
  const read = (side: 'top' | 'bottom') => {
    const isTop = side === 'top';
    const texture = sampleTexture(
      {
        seed: isTop ? 61 : 62,
        fabric: 'plain',
        fabricColour: [0.72, 0.7, 0.62],
        own: { colour: isTop ? GREEN : VIOLET, width: 0.25 },
        other: { colour: isTop ? VIOLET : GREEN },
        drawn: 0,
        hairs: 2,
      },
      isTop ? holes : isBottomReversed ? reversed : turned,
    );
    return readPicture(renderSample(texture, { ...SHOT, seed: isTop ? 12 : 13 }));
  };
  return { top: read('top'), bottom: read('bottom') };
}

/** As if the reader had passed over a hole that the threads caught at. */
function without({ holes, ...face }: PictureReading, at: number): PictureReading {
  const merged = holes.map((hole, index) =>
    index === at - 1 ? { ...hole, steps: hole.steps + (holes[at]?.steps ?? 0) } : hole,
  );
  return { ...face, holes: merged.filter((_, index) => index !== at) };
}

/** As if it had taken a hole that was passed for one that the threads caught at. */
function withFalse({ holes, ...face }: PictureReading): PictureReading {
  const at = holes.findIndex(({ steps }) => steps === 2);
  const [before, from, to] = [holes[at - 1], holes[at], holes[at + 1]];
  if (!before || !from || !to) throw new Error('no skip was read');
  const between: ReadHole = {
    along: (from.along + to.along) / 2,
    // Where a zigzag would have turned.
    across: before.across,
    steps: 1,
  };
  return {
    ...face,
    holes: [...holes.slice(0, at), { ...from, steps: 1 }, between, ...holes.slice(at + 1)],
  };
}

const skipsOf = (face: PictureReading) => seamMeasures(face).skips;

describe.each([
  ['straight', 0],
  ['zigzag', 3],
])('skips as both faces of a %s seam tell them', (_, width) => {
  const faces = facesOf(width);

  it('stay where both agree', () => {
    expect(skipsOf(faces.top)).toEqual(SKIPPED);
    expect(skipsOf(faces.bottom)).toEqual(SKIPPED);
    const { top, bottom, atOdds } = agreedFaces(faces);
    expect([skipsOf(top), skipsOf(bottom), atOdds]).toEqual([SKIPPED, SKIPPED, 0]);
  });

  it('are none where one face passed over a hole that the other shows', () => {
    const poor = { ...faces, top: without(faces.top, 11) };
    expect(skipsOf(poor.top)).not.toEqual(SKIPPED);
    const { top, bottom } = agreedFaces(poor);
    expect([skipsOf(top), skipsOf(bottom)]).toEqual([SKIPPED, SKIPPED]);
    const [found, truly] = [top.holes[11], faces.top.holes[11]];
    expect(Math.abs((found?.along ?? 0) - (truly?.along ?? 9))).toBeLessThan(0.1);
    expect(Math.abs((found?.across ?? 0) - (truly?.across ?? 9))).toBeLessThan(0.15);
  });

  it('are found where one face shows a hole too many', () => {
    const poor = { ...faces, bottom: withFalse(faces.bottom) };
    expect(skipsOf(poor.bottom)).toEqual(SKIPPED.slice(1));
    const { top, bottom } = agreedFaces(poor);
    expect([skipsOf(top), skipsOf(bottom)]).toEqual([SKIPPED, SKIPPED]);
  });

  it('are held against each other where one face was read in part', () => {
    const part = { ...faces.bottom, holes: faces.bottom.holes.slice(9) };
    const { top, bottom } = agreedFaces({ top: without(faces.top, 18), bottom: part });
    expect(skipsOf(top)).toEqual(SKIPPED);
    expect(bottom.holes).toEqual(part.holes);
  });
});

it('a skip stays where the faces are at odds, as when one lay the other way round', () => {
  const faces = facesOf(0, true);
  const apart = [skipsOf(faces.top), skipsOf(faces.bottom)];
  expect(apart).toEqual([SKIPPED, [10, 19]]);
  const { top, bottom, atOdds } = agreedFaces(faces);
  expect([skipsOf(top), skipsOf(bottom)]).toEqual(apart);
  expect(atOdds).toBe(4);
});

it('faces of different seams are left as they are', () => {
  const faces = { top: facesOf(0).top, bottom: facesOf(3).bottom };
  expect(agreedFaces(faces)).toEqual({ ...faces, atOdds: 0 });
});

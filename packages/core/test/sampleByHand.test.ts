import { describe, expect, it } from 'vitest';
import {
  type PointedAt,
  readPicture,
  sampleBalance,
  seamMeasures,
  seenStitches,
} from '../src/index.ts';
import { CARD } from '../src/sample/card.ts';
import { through } from '../src/sample/homography.ts';
import { renderSample, type Shot, viewOf } from '../src/sample/render/renderSample.ts';
import { type SampleFace, sampleTexture } from '../src/sample/render/sampleTexture.ts';
import { type Holes, holesOf } from '../src/sample/render/sewnSeam.ts';

const SHOT: Shot = {
  seed: 5,
  scale: 9,
  turned: 6,
  tilted: 0,
  tiltedTo: 0,
  blur: 0.8,
  noise: 0.012,
  falloff: 0.3,
  shadow: false,
};
const RED = [0.55, 0.07, 0.05] as const;
const BLUE = [0.03, 0.14, 0.42] as const;
const FACE: SampleFace = {
  seed: 71,
  fabric: 'plain',
  fabricColour: [0.72, 0.7, 0.62],
  own: { colour: BLUE, width: 0.25 },
  other: { colour: RED },
  drawn: -0.1,
  hairs: 1,
};
const SEAM = {
  seed: 72,
  stitches: 24,
  length: 2.5,
  unevenness: 0.015,
  width: 0,
  wander: 0.03,
  skipped: [7],
  start: { x: 25, y: 37 },
  aslant: 1,
  bend: 0,
};
const seam = holesOf(SEAM);

/** The line that the card is checked by stands for a ruler; the seam's ends are shown about a millimetre off. */
function ruled(shot: Shot, holes: Holes = seam): PointedAt {
  const { toPicture } = viewOf(shot);
  const seen = (x: number, y: number) => through(toPicture, { x, y });
  const [first, last] = [holes.holes[0], holes.holes.at(-1)] as const;
  return {
    ruler: {
      marks: [seen(CARD.check.left, CARD.check.y), seen(CARD.check.right, CARD.check.y)],
      millimetres: CARD.check.right - CARD.check.left,
      ends: [
        seen((first?.x ?? 0) - 1, (first?.y ?? 0) + 0.6),
        seen((last?.x ?? 0) + 1, (last?.y ?? 0) - 0.7),
      ],
    },
  };
}

describe('a picture without the card', () => {
  it('is measured by two marks of a ruler and about the ends of the seam', () => {
    const picture = renderSample(sampleTexture(FACE, seam), SHOT);
    const byRuler = readPicture(picture, ruled(SHOT));
    const byCard = seamMeasures(readPicture(picture));
    const measures = seamMeasures(byRuler);
    expect(measures.length / SEAM.length).toBeCloseTo(1, 2);
    expect(measures.length / byCard.length).toBeCloseTo(1, 2);
    expect([measures.stitches, ...measures.skips]).toEqual([SEAM.stitches, ...SEAM.skipped]);
    // What is drawn over the picture lies on the holes.
    const first = seenStitches(byRuler, measures, 'top')[0]?.from;
    const truly = through(viewOf(SHOT).toPicture, seam.holes[0] ?? { x: 0, y: 0 });
    expect(Math.hypot((first?.x ?? 0) - truly.x, (first?.y ?? 0) - truly.y)).toBeLessThan(0.3 * 9);
  });

  it('taken aslant is nearly as good where ruler and seam run alike, for both are seen shortened', () => {
    const aslant = { ...SHOT, turned: 0, tilted: 20, tiltedTo: 0 };
    const picture = renderSample(sampleTexture(FACE, seam), aslant);
    // Ruler and seam run alike and are shortened alike: only the perspective is left.
    const { length } = seamMeasures(readPicture(picture, ruled(aslant)));
    expect(Math.abs(length / SEAM.length - 1)).toBeLessThan(0.02);
  });

  it('gives the balance of both sides, by the fabric as what they have in common', () => {
    const turned: Holes = { ...seam, holes: seam.holes.map(({ x, y }) => ({ x, y: 74 - y })) };
    const under = {
      ...FACE,
      own: { ...FACE.own, colour: RED },
      other: { colour: BLUE },
      drawn: 0.1,
    };
    // From below there was half as much light.
    const top = renderSample(sampleTexture(FACE, seam), SHOT);
    const dim = renderSample(sampleTexture({ ...under, seed: 73 }, turned), { ...SHOT, seed: 6 });
    const bottom = { ...dim, data: dim.data.map((one, at) => (at % 4 === 3 ? one : 0.7 * one)) };
    const { balance } = sampleBalance({
      top: readPicture(top, ruled(SHOT)),
      bottom: readPicture(bottom, ruled(SHOT, turned)),
    });
    expect(Math.abs(balance - 0.1)).toBeLessThan(0.06);
  });

  it('is refused where the marks are one, or the seam does not lie on the picture', () => {
    const picture = { width: 400, height: 300, data: new Uint8ClampedArray(4 * 400 * 300) };
    const at = (x: number, y: number) => ({ x, y });
    const refusal = (ruler: PointedAt['ruler']) => {
      try {
        readPicture(picture, { ruler });
      } catch (error) {
        return (error as { code?: string }).code;
      }
      return undefined;
    };
    const marks = [at(100, 280), at(300, 280)] as const;
    const ends = [at(60, 100), at(340, 100)] as const;
    expect(refusal({ marks: [at(9, 9), at(9, 9)], millimetres: 50, ends })).toBe('not-on-picture');
    expect(refusal({ marks, millimetres: 20, ends: [at(1, 1), at(399, 1)] })).toBe(
      'not-on-picture',
    );
    expect(refusal({ marks, millimetres: 50, ends })).toBe('too-coarse');
    expect(refusal({ marks, millimetres: 20, ends })).toBe('no-seam');
  });
});

describe('the colour of the thread', () => {
  const picture = renderSample(sampleTexture({ ...FACE, drawn: 0.4 }, seam), SHOT);
  const { toPicture } = viewOf(SHOT);
  const [one, next] = seam.holes;
  const onLeg = {
    x: ((one?.x ?? 0) + (next?.x ?? 0)) / 2,
    y: ((one?.y ?? 0) + (next?.y ?? 0)) / 2,
  };

  it('can be pointed at, and the seam is read as before', () => {
    const pointed = seamMeasures(
      readPicture(picture, { thread: through(toPicture, { ...onLeg, y: onLeg.y + 0.3 }) }),
    );
    const found = seamMeasures(readPicture(picture));
    expect(pointed.skips).toEqual(found.skips);
    expect(pointed.length).toBeCloseTo(found.length, 2);
  });

  it('is not that of the fabric, and lies on the sample', () => {
    const beside = through(toPicture, { x: onLeg.x, y: onLeg.y + 5 });
    expect(() => readPicture(picture, { thread: beside })).toThrow(
      expect.objectContaining({ code: 'not-a-thread' }),
    );
    expect(() => readPicture(picture, { thread: { x: 0, y: 0 } })).toThrow(
      expect.objectContaining({ code: 'not-on-picture' }),
    );
  });
});

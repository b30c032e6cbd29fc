import { describe, expect, it } from 'vitest';
import {
  asSeenOn,
  fisherChance,
  looseThread,
  measureAgain,
  readPicture,
  seamPatterns,
  seeded,
  skipsAgain,
  turnsAfter,
} from '../src/index.ts';
import { renderSample, type Shot } from '../src/sample/render/renderSample.ts';
import { type SampleFace, sampleTexture } from '../src/sample/render/sampleTexture.ts';
import { type Holes, holesOf, normal } from '../src/sample/render/sewnSeam.ts';
import { HOLE_WIDTHS, otherThreadAt } from '../src/tension/seamPicture.ts';

const SHOT: Shot = {
  seed: 8,
  scale: 9,
  turned: 4,
  tilted: 6,
  tiltedTo: 40,
  blur: 0.8,
  noise: 0.012,
  falloff: 0.3,
  shadow: false,
};
const RED = [0.55, 0.07, 0.05] as const;
const BLUE = [0.03, 0.14, 0.42] as const;
const SEAM = {
  seed: 31,
  stitches: 28,
  length: 2.5,
  unevenness: 0.015,
  wander: 0.03,
  skipped: [],
  start: { x: 20, y: 37 },
  aslant: 1,
  bend: 2,
};

function facesOf(width: number, drawn: number, loops: SampleFace['loops'] = []) {
  const holes = holesOf({ ...SEAM, width });
  const turned: Holes = { ...holes, holes: holes.holes.map(({ x, y }) => ({ x, y: 74 - y })) };
  const face = {
    seed: 41,
    fabric: 'plain',
    fabricColour: [0.72, 0.7, 0.62],
    hairs: 3,
  } as const;
  const top: SampleFace = {
    ...face,
    own: { colour: BLUE, width: 0.25 },
    other: { colour: RED },
    drawn: -drawn,
  };
  const bottom: SampleFace = {
    ...face,
    seed: 42,
    own: { colour: RED, width: 0.25 },
    other: { colour: BLUE },
    drawn,
    loops,
  };
  return {
    top: readPicture(renderSample(sampleTexture(top, holes), SHOT)),
    bottom: readPicture(renderSample(sampleTexture(bottom, turned), { ...SHOT, seed: 9 })),
  };
}

describe('the other thread on a face', () => {
  it.each([
    ['straight', 0],
    ['zigzag', 4],
  ])('is measured about each hole, as it was drawn: %s', (_, width) => {
    const { top, bottom } = facesOf(width, 0.6);
    const { through, loops } = looseThread(bottom, asSeenOn(bottom, top));
    // What the renderer fills of a hole, as a part of its area.
    const truly = otherThreadAt(0.6).dot * Math.PI * (HOLE_WIDTHS * 0.25) ** 2;
    const inner = (through ?? []).slice(1, -1).toSorted((a, b) => a - b);
    expect(inner.length).toBeGreaterThan(20);
    expect(Math.abs((inner[inner.length >> 1] ?? 0) - truly)).toBeLessThan(0.03);
    const above = looseThread(top, asSeenOn(top, bottom)).through ?? [];
    const middle = above.toSorted((a, b) => a - b)[above.length >> 1] ?? 1;
    expect(Math.abs(middle)).toBeLessThan(0.03);
    expect(loops).toEqual([]);
  });

  it('that hangs in loops is told by what they cover, and where; lint is not taken for them', () => {
    const rings = [
      { hole: 6, across: 3 },
      { hole: 20, across: 4 },
    ];
    const { top, bottom } = facesOf(0, 0.6, rings);
    const { loops } = looseThread(bottom, asSeenOn(bottom, top));
    expect(loops).toHaveLength(2);
    for (const [index, { hole, across }] of rings.entries()) {
      const loop = loops.toSorted((a, b) => a.along - b.along)[index];
      // A ring of thread, without the piece of it that lies in the seam's own band.
      const turn = Math.acos(1 - (2 * 0.75) / across);
      const covered = (across / 2) * (2 * Math.PI - 2 * turn) * 0.25;
      expect(Math.abs((loop?.area ?? 0) / covered - 1)).toBeLessThan(0.3);
      expect(Math.abs((loop?.along ?? 0) - hole * SEAM.length)).toBeLessThan(0.6);
    }
  });
});

describe('what comes again along a seam', () => {
  it('is so many stitches apart where it skips', () => {
    expect(skipsAgain([5, 14, 23, 32], 40)?.stitches).toBe(9);
    // One of them fell out, one more came by chance.
    expect(skipsAgain([5, 14, 20, 23, 41, 50], 60)?.stitches).toBe(9);
    // (1/9)^3 for three to lie with the first, for each of the twelve numbers tried.
    expect(skipsAgain([5, 14, 23, 32], 40)?.chance).toBeCloseTo(12 / 9 ** 3, 6);
  });

  it('is not said of skips that lie anyhow, or of too few', () => {
    expect(skipsAgain([], 40)).toBeUndefined();
    expect(skipsAgain([5, 14], 40)).toBeUndefined();
    const random = seeded(7);
    const said = Array.from({ length: 400 }, () => {
      const skips = Array.from({ length: 60 }, (_, at) => at).filter(() => random() < 0.08);
      return skipsAgain(skips, 60);
    }).filter((one) => one !== undefined);
    expect(said.length / 400).toBeLessThan(0.05);
  });

  it('is a wave in what is measured, told in stitches', () => {
    const random = seeded(3);
    const values = Array.from(
      { length: 60 },
      (_, at) => 0.1 * Math.sin((2 * Math.PI * at) / 8.4) + 0.05 * normal(random),
    );
    const found = measureAgain(values, 0.02);
    expect(found?.stitches).toBeCloseTo(8.4, 0);
    expect(found?.chance).toBeLessThan(0.001);
    const noise = Array.from({ length: 400 }, () =>
      measureAgain(
        Array.from({ length: 50 }, () => normal(random)),
        0,
      ),
    ).filter((one) => one !== undefined);
    expect(noise.length / 400).toBeLessThan(0.08);
    // What is too small for anybody is not said, however regular.
    expect(
      measureAgain(
        values.map((one) => one / 10),
        0.02,
      ),
    ).toBeUndefined();
    expect(
      measureAgain(
        Array.from({ length: 30 }, () => 0),
        0.02,
      ),
    ).toBeUndefined();
  });

  it('on a seam is told of its skips, its lengths and the other thread, with a zigzag’s swings apart', () => {
    const stitches = 36;
    // Every sixth is skipped; between them the stitches to the left are the longer ones, as sewn.
    const skips = [4, 10, 16, 22, 28, 34];
    const caught = Array.from({ length: stitches + 1 }, (_, at) => at).filter(
      (at) => !skips.includes(at),
    );
    const holes = caught.map((at, index) => ({
      along: 2 * at,
      across: at % 2 === 0 ? -2 : 2,
      steps: (caught[index + 1] ?? at) - at,
    }));
    const alongs = caught.map((at) => 2 * at + (at % 2 === 0 ? 0 : 0.2));
    const seam = {
      kind: 'zigzag',
      length: 2,
      spread: 0,
      unequal: 0.4,
      alongs,
      stitches,
      skips,
      wander: 0,
      width: 4,
    } as const;
    const found = seamPatterns(seam, { holes, kind: 'zigzag' }, undefined);
    expect(found.map(({ of, stitches: after }) => [of, after])).toEqual([['skips', 6]]);
    const random = seeded(9);
    const through = caught.map(
      (at) => 0.1 + 0.06 * Math.cos((2 * Math.PI * at) / 9) + 0.01 * normal(random),
    );
    const shown = seamPatterns(seam, { holes, kind: 'zigzag' }, through);
    expect(shown.find(({ of }) => of === 'through')?.stitches).toBeCloseTo(9, 0);
  });

  it.each([
    // Fisher 1929, table of the five-percent points; from memory.
    [5, 0.68377],
    [10, 0.44495],
    [20, 0.2704],
  ])('has the chance that Fisher tabled: %i waves', (waves, part) => {
    expect(fisherChance(part, waves)).toBeCloseTo(0.05, 4);
  });

  it('points to the bobbin, to a spool that was measured, or to neither', () => {
    // Nine stitches of 2.5 mm draw off 22 to 29 mm: a bobbin nearly empty turns once in 25.
    expect(turnsAfter({ stitches: 9 }, 2.5, undefined).turns).toEqual(['bobbin']);
    expect(turnsAfter({ stitches: 30 }, 2.5, 28).turns).toEqual(['spool']);
    expect(turnsAfter({ stitches: 20 }, 2.5, 18).turns).toEqual(['bobbin', 'spool']);
    expect(turnsAfter({ stitches: 3 }, 2.5, 30).turns).toEqual([]);
  });
});

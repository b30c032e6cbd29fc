import { describe, expect, it } from 'vitest';
import { misfitWith, overlapsOf, ownWith, seenBy, toldBy } from '../src/sample/holeFit.ts';
import { type HoleScene, type Masks, sharpMasks, softened } from '../src/sample/holeMasks.ts';
import {
  costsOfHole,
  DRAWN,
  drawnHoles,
  ownInHole,
  together,
  viewOfHole,
} from '../src/sample/holePicture.ts';
import { leastSquares } from '../src/sample/linear.ts';
import type { Triple } from '../src/sample/whitened.ts';

const WIDTH = 0.25;
const REACH = 9;
const SIZE = 2 * REACH + 1;
const OWN: Triple = [-20, 6, 3];
const OTHER: Triple = [4, -18, 9];
const DARK: Triple = [-16, -17, -15];

function sceneOf(values: Float64Array, leg: HoleScene['leg']): HoleScene {
  return { patch: { reach: REACH, values }, scale: 9, leg, hole: DARK };
}

/** What masks and colours make, on a fabric that is a little brighter above the seam than below it. */
function painted({ own, other, hole }: Masks, dark = 1): Float64Array {
  const pixels = own.length;
  return Float64Array.from({ length: 3 * pixels }, (_, index) => {
    const [colour, at] = [Math.floor(index / pixels), index % pixels];
    const row = Math.floor(at / SIZE) / SIZE;
    return (
      (own[at] ?? 0) * (OWN[colour] ?? 0) +
      (other[at] ?? 0) * (OTHER[colour] ?? 0) +
      dark * (hole[at] ?? 0) * (DARK[colour] ?? 0) +
      0.4 -
      1.2 * row
    );
  });
}

/** A usual hole with its knot drawn to this face, as a camera would see it. */
function drawnTo(drawn: number, leg: HoleScene['leg'], { soft = 0.11, aside = 0, dark = 1 } = {}) {
  const empty = sceneOf(new Float64Array(3 * SIZE * SIZE), leg);
  const masks = softened(empty, sharpMasks(empty, WIDTH, drawn, aside), { soft });
  return sceneOf(painted(masks, dark), leg);
}

function guessed(costs: readonly number[]): number {
  return DRAWN[costs.indexOf(Math.min(...costs))] ?? Number.NaN;
}

describe('a picture of a hole', () => {
  it.each([
    [[2.5, 0], 0.3],
    [[2.5, 0], 0.8],
    [[1.2, 3], -0.1],
    [[1.2, 3], 0.55],
  ] as const)('with legs of %j is known by how far the knot is drawn, %f', (leg, drawn) => {
    const scene = drawnTo(drawn, leg);
    const view = viewOfHole(scene, WIDTH);
    expect(Math.abs(view.soft - 0.11)).toBeLessThan(0.012);
    expect(Math.abs(view.aside)).toBeLessThan(0.021);
    const holes = drawnHoles(scene, WIDTH, view);
    expect(
      Math.abs(guessed(costsOfHole(scene, holes, [{ colour: OTHER, cost: 0 }])) - drawn),
    ).toBeLessThan(0.03);
    for (const [index, part] of ownInHole(scene, holes).entries())
      expect(Math.abs(part - (OWN[index] ?? 0))).toBeLessThan(1);
  });

  it('is found where it lies aside of its place', () => {
    const scene = drawnTo(0.4, [1.2, 3], { aside: 0.14 });
    expect(Math.abs(viewOfHole(scene, WIDTH).aside - 0.14)).toBeLessThan(0.021);
  });

  it('tells the same however dark the hole is', () => {
    const scene = drawnTo(0.3, [2.5, 0], { dark: 0.9 });
    const holes = drawnHoles(scene, WIDTH, viewOfHole(scene, WIDTH));
    const costs = costsOfHole(scene, holes, [{ colour: OTHER, cost: 0 }]);
    expect(Math.abs(guessed(costs) - 0.3)).toBeLessThan(0.03);
  });

  it('tells nothing of the other thread below where it is first seen', () => {
    const scene = drawnTo(-0.9, [2.5, 0]);
    const holes = drawnHoles(scene, WIDTH, viewOfHole(scene, WIDTH));
    expect(guessed(costsOfHole(scene, holes, [{ colour: OTHER, cost: 0 }]))).toBeLessThan(-0.3);
  });
});

describe('what fits it', () => {
  const scene = drawnTo(0.5, [2.5, 0]);
  const sharp = sharpMasks(scene, WIDTH, 0.35, 0.02);
  const masks = softened(scene, sharp, { soft: 0.09 });
  const counted = Uint32Array.from({ length: SIZE * SIZE }, (_, at) => at);
  const seen = seenBy(scene.patch.values, masks, counted);
  const overlaps = overlapsOf(masks, counted);
  const valueAt = (colour: number, at: number) =>
    scene.patch.values[colour * SIZE * SIZE + at] ?? 0;
  const lit = (at: number) => Math.floor(at / SIZE) / REACH - 1;
  const at = (mask: Float64Array, pixel: number) => mask[pixel] ?? 0;

  /** The same by rows of one pixel each. */
  function byPixels(colour: number, told: boolean) {
    const rows = [...counted].map((pixel) => [
      at(masks.own, pixel),
      1,
      lit(pixel),
      ...(told ? [] : [at(masks.other, pixel)]),
    ]);
    const values = [...counted].map(
      (pixel) =>
        valueAt(colour, pixel) -
        at(masks.hole, pixel) * (DARK[colour] ?? 0) -
        (told ? at(masks.other, pixel) * (OTHER[colour] ?? 0) : 0),
    );
    const weights = leastSquares(rows, values) ?? [];
    const misfit = rows.reduce((sum, row, index) => {
      const fit = row.reduce((all, part, column) => all + part * (weights[column] ?? 0), 0);
      return sum + ((values[index] ?? 0) - fit) ** 2;
    }, 0);
    return { own: weights[0] ?? 0, misfit };
  }

  it('with the other thread told is what least squares over the pixels say', () => {
    const misfit = misfitWith(toldBy(overlaps, seen), DARK, OTHER);
    const each = [0, 1, 2].map((colour) => byPixels(colour, true).misfit);
    const mean = each.reduce((sum, one) => sum + one, 0) / (3 * counted.length);
    expect(misfit).toBeGreaterThan(0.01);
    expect(misfit).toBeCloseTo(mean, 6);
  });

  it('with any other thread as well, and so is its own colour', () => {
    const each = [0, 1, 2].map((colour) => byPixels(colour, false));
    const mean = each.reduce((sum, one) => sum + one.misfit, 0) / (3 * counted.length);
    expect(misfitWith(toldBy(overlaps, seen), DARK)).toBeCloseTo(mean, 3);
    for (const [colour, own] of ownWith(overlaps, seen, DARK).entries())
      expect(own).toBeCloseTo(each[colour]?.own ?? Number.NaN, 2);
  });
});

describe('guesses together', () => {
  it('cost as much as their likelihoods make, added', () => {
    const costs = [3, 4, 9];
    const likelihood = costs.reduce((sum, cost) => sum + Math.exp(-cost / 2), 0);
    expect(together(costs)).toBeCloseTo(-2 * Math.log(likelihood), 12);
    // Also where each alone is too unlikely for a number.
    expect(together([5000, 5000])).toBeCloseTo(5000 - 2 * Math.log(2), 9);
  });
});

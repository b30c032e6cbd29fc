import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  countsPlies,
  eyePasses,
  FIBRES,
  FINENESS_UNITS,
  mm,
  numberIn,
  stitchLength,
  tex,
  texByWeight,
  texOf,
  texOfDiameter,
  threadDiameter,
  threadPerStitch,
} from '../src/index.ts';

const unit = fc.constantFrom(...FINENESS_UNITS);
const fibre = fc.constantFrom(...FIBRES);
const thread = fc.double({ min: 2, max: 1000, noNaN: true });

describe('the fineness of thread', () => {
  // ISO 1144 and ISO 2947; the metric ticket from memory, its number confirmed by arithmetic.
  it.each([
    ['tex', 40],
    ['dtex', 400],
    ['denier', 360],
    ['Nm', 25],
    ['Ne', 14.7635312],
    ['ticket', 75],
    ['wt', 25],
  ] as const)('40 tex is %s %d', (name, number) => {
    expect(numberIn(name, tex(40))).toBeCloseTo(number, 6);
    expect(texOf({ unit: name, number, plies: 1 })).toBeCloseTo(40, 6);
  });

  it('is 590.541247 tex at English cotton number one (ISO 2947)', () => {
    expect(texOf({ unit: 'Ne', number: 1, plies: 1 })).toBeCloseTo(590.541247, 6);
  });

  // Handbook of the trade, common practice.
  it.each([
    [{ unit: 'wt', number: 50, plies: 1 }, 20],
    [{ unit: 'ticket', number: 120, plies: 1 }, 25],
    [{ unit: 'Ne', number: 50, plies: 3 }, 35.43],
  ] as const)('reads a label %o', (label, expected) => {
    expect(texOf(label)).toBeCloseTo(expected, 2);
  });

  it('comes back from every unit, with plies where they count', () => {
    fc.assert(
      fc.property(unit, thread, fc.integer({ min: 1, max: 12 }), (name, value, count) => {
        const plies = countsPlies(name) ? count : 1;
        const number = numberIn(name, tex(value), plies);
        expect(texOf({ unit: name, number, plies })).toBeCloseTo(value, 8);
      }),
    );
  });

  it('is grams a kilometre when it is weighed (ISO 1144)', () => {
    expect(texByWeight(0.25, 10)).toBe(25);
  });

  it.each([
    ['a fineness of nothing', () => tex(0), 'not-a-fineness'],
    ['a label of nothing', () => texOf({ unit: 'tex', number: 0, plies: 1 }), 'not-above-nothing'],
    ['a weight below nothing', () => texByWeight(-1, 10), 'not-above-nothing'],
    ['no length', () => texByWeight(1, 0), 'not-above-nothing'],
    ['half a ply', () => texOf({ unit: 'Ne', number: 50, plies: 1.5 }), 'not-plies'],
    ['plies of a finished thread', () => texOf({ unit: 'wt', number: 50, plies: 3 }), 'not-plies'],
    ['a rope', () => texOf({ unit: 'Nm', number: 0.1, plies: 1 }), 'not-a-fineness'],
  ])('refuses %s', (_what, reckon, code) => {
    expect(reckon).toThrow(expect.objectContaining({ code }));
  });
});

describe('the diameter of thread', () => {
  // Derived in the handbook for polyester of 1380 kg/m3 and packing .60; 40 tex also computed apart
  // as 248.01 micrometres.
  it.each([
    [20, 0.175],
    [25, 0.196],
    [30, 0.215],
    [40, 0.248],
    [60, 0.304],
    [105, 0.402],
  ])('of %d tex is %d mm', (fine, across) => {
    expect(threadDiameter(tex(fine), 'polyester')).toBeCloseTo(across, 3);
  });

  it('is 248.01 micrometres at 40 tex', () => {
    expect(threadDiameter(tex(40), 'polyester') * 1000).toBeCloseTo(248.01, 2);
  });

  it("agrees with Peirce's rule for cotton yarn, 1/(28 sqrt(Ne)) inch (1937), at its packing", () => {
    const peirce = (25.4 / (28 * Math.sqrt(30))) * 1000;
    expect(peirce).toBeCloseTo(165.62, 2);
    // Peirce reckons with a specific volume of 1.1 cm3/g, which is a packing of 1/(1.1 * 1.52).
    const own = threadDiameter(
      texOf({ unit: 'Ne', number: 30, plies: 1 }),
      'cotton',
      1 / (1.1 * 1.52),
    );
    expect(own * 1000).toBeCloseTo(peirce, 0);
  });

  it('comes back, and grows with the thread', () => {
    fc.assert(
      fc.property(thread, thread, fibre, (one, other, of) => {
        const across = threadDiameter(tex(one), of);
        expect(texOfDiameter(across, of)).toBeCloseTo(one, 8);
        if (one > other + 1e-6) expect(across).toBeGreaterThan(threadDiameter(tex(other), of));
      }),
    );
  });
});

describe('the thread a stitch uses', () => {
  it('is 2.8 m a metre of seam for both threads at 4 stitches a cm in 1 mm (rectangle model)', () => {
    const each = threadPerStitch(mm(2.5), mm(0), mm(1));
    expect((2 * each) / 2.5).toBeCloseTo(2.8, 12);
  });

  it('is 2.48 m a metre at 2.5 mm in 0.6 mm, against 2.5 in the tables of ISO 4915 type 301', () => {
    expect((2 * threadPerStitch(mm(2.5), mm(0), mm(0.6))) / 2.5).toBeCloseTo(2.48, 12);
  });

  it('is the slope of a zigzag: 3 by 4 in no fabric is 5', () => {
    expect(threadPerStitch(mm(3), mm(4), mm(0))).toBe(5);
  });

  it('goes through the eye 47.8 times at 12 an inch, 41.9 at 2.5 mm; the trade says 40 to 50', () => {
    const perStitch = threadPerStitch(stitchLength(12), mm(0), mm(0.6));
    expect(perStitch).toBeCloseTo(2.717, 3);
    // The handbook's 47.8 is cut, not rounded.
    expect(eyePasses(perStitch)).toBeCloseTo(47.85, 2);
    expect(eyePasses(threadPerStitch(mm(2.5), mm(0), mm(0.6)))).toBeCloseTo(41.9, 1);
  });
});

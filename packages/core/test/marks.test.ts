import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { agree, apart, hourOf, leanOf, ONE_PLACE, placeOn, pointOn, sameAs } from '../src/index.ts';

const refusal = (code: string): object => expect.objectContaining({ code }) as object;
const at = (hour: number, out = 1) => ({ hour: hourOf(hour), out });
const anyPlace = fc
  .record({
    hour: fc.double({ min: 0, max: 11.999, noNaN: true }),
    out: fc.double({ min: 0.01, max: 1, noNaN: true }),
  })
  .map(({ hour, out }) => at(hour, out));

describe('a place on the clock', () => {
  it('has 12 at the top, 3 to the right, 6 below, 9 to the left (a clock’s face)', () => {
    for (const [hour, x, y] of [
      [0, 0, -1],
      [3, 1, 0],
      [6, 0, 1],
      [9, -1, 0],
    ] as const) {
      expect(pointOn(at(hour)).x).toBeCloseTo(x, 12);
      expect(pointOn(at(hour)).y).toBeCloseTo(y, 12);
    }
  });

  it('goes there and back', () => {
    fc.assert(
      fc.property(anyPlace, (place) => {
        const back = placeOn(pointOn(place));
        expect(apart(place, back)).toBeLessThan(1e-9);
        expect(back.out).toBeCloseTo(place.out, 9);
      }),
    );
  });

  it('lies on the edge where a finger came down beyond it', () => {
    expect(placeOn({ x: 3, y: 0 })).toEqual({ hour: 3, out: 1 });
  });

  it('is an hour from 0 to below 12, or refused', () => {
    for (const wrong of [-0.1, 12, Number.NaN]) {
      expect(() => hourOf(wrong)).toThrow(refusal('not-an-hour'));
    }
    // Rounding just below the top must not make it a 12.
    expect(placeOn({ x: -1e-17, y: -1 }).hour).toBeLessThan(12);
  });

  it('lies as far from another as that from it, and never further round than across', () => {
    fc.assert(
      fc.property(anyPlace, anyPlace, anyPlace, (a, b, c) => {
        expect(apart(a, b)).toBeCloseTo(apart(b, a), 12);
        expect(apart(a, c)).toBeLessThanOrEqual(apart(a, b) + apart(b, c) + 1e-9);
      }),
    );
  });

  it('may be an earlier mark half an hour off at the edge, and is none an hour off', () => {
    expect(apart(at(1), at(1.49))).toBeLessThan(ONE_PLACE);
    const earlier = [at(2), at(1.4), at(1.1)];
    expect(sameAs(at(1), earlier)).toEqual([at(1.1), at(1.4)]);
    // Across the top of the clock too.
    expect(sameAs(at(11.9), [at(0.1)])).toHaveLength(1);
  });
});

describe('the side a mark tells', () => {
  const middle = at(0, 0);

  it('is right at 3, left at 9, back at 12, front at 6', () => {
    expect(leanOf(at(3), middle, true)).toEqual({ across: 1, along: 0 });
    expect(leanOf(at(9), middle, true)).toEqual({ across: -1, along: 0 });
    expect(leanOf(at(0), middle, true)).toEqual({ across: 0, along: -1 });
    expect(leanOf(at(6), middle, true)).toEqual({ across: 0, along: 1 });
  });

  it('is none on the needle’s own line, and front and back only where the part shows them', () => {
    expect(leanOf(at(7, 0.1), middle, true)).toEqual({ across: 0, along: 0 });
    expect(leanOf(at(1, 0.85), at(0, 0.85), false)).toEqual({ across: 1, along: undefined });
  });

  it('agrees unless one says left and the other right, or front and back', () => {
    const right = leanOf(at(3), middle, true);
    const left = leanOf(at(9), middle, true);
    const straight = leanOf(middle, middle, true);
    expect(agree(right, right)).toBe(true);
    expect(agree(right, straight)).toBe(true);
    expect(agree(right, left)).toBe(false);
    expect(agree(leanOf(at(0), middle, true), leanOf(at(6), middle, true))).toBe(false);
    expect(agree(leanOf(at(0), middle, true), leanOf(at(6), middle, false))).toBe(true);
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  bentStrand,
  degrees,
  type EyeHold,
  ellipticE,
  ellipticF,
  mm,
  needleLoop,
} from '../src/index.ts';

const HALF = Math.PI / 2;
const EYES = fc.constantFrom<EyeHold>('upright', 'swivels');

describe('elliptic integrals', () => {
  // Abramowitz and Stegun 1964, table 17.1 (K and E over m).
  it.each([
    [0, 1.57079633, 1.57079633],
    [0.5, 1.85407468, 1.35064388],
    [0.9, 2.57809211, 1.10477473],
  ])('of m = %d', (m, K, E) => {
    expect(ellipticF(HALF, m)).toBeCloseTo(K, 8);
    expect(ellipticE(HALF, m)).toBeCloseTo(E, 8);
  });

  it('hold to plain sums of small steps at any amplitude', () => {
    const steps = 4000;
    fc.assert(
      fc.property(
        fc.double({ min: -2, max: 2 * Math.PI, noNaN: true }),
        fc.double({ min: 0, max: 0.85, noNaN: true }),
        (phi, m) => {
          let [F, E] = [0, 0];
          for (let step = 0; step < steps; step += 1) {
            const q = Math.sqrt(1 - m * Math.sin(((step + 0.5) * phi) / steps) ** 2);
            F += phi / steps / q;
            E += (phi / steps) * q;
          }
          expect(ellipticF(phi, m)).toBeCloseTo(F, 5);
          expect(ellipticE(phi, m)).toBeCloseTo(E, 5);
        },
      ),
      { numRuns: 40 },
    );
  });

  // Timoshenko and Gere 1961, table of the elastica of a cantilever: a, x/l, y/l. The two lowest
  // lines of greatest bend are left out: our strand is never bent so far.
  it.each([
    [20, 0.96973, 0.21941],
    [60, 0.74102, 0.59321],
    [100, 0.34899, 0.79154],
  ])('give the elastica whose end slopes %d degrees', (slope, x, y) => {
    const k = Math.sin((slope / 2) * (Math.PI / 180));
    const K = ellipticF(HALF, k * k);
    expect((2 * ellipticE(HALF, k * k)) / K - 1).toBeCloseTo(x, 4);
    expect((2 * k) / K).toBeCloseTo(y, 4);
  });
});

/** A strand of 10 mm whose ends come nearer by a share of that. */
function strand(shortening: number, eye: EyeHold = 'upright') {
  const free = 10;
  return needleLoop({
    free: mm(free),
    lift: mm(shortening * free),
    rise: mm(0),
    robbed: mm(0),
    eye,
  });
}

describe('the loop', () => {
  // Bulge of a clamped strand, rise over length at a relative shortening: computed apart (scipy).
  it.each([
    [0.01, 0.063463],
    [0.05, 0.140111],
    [0.1, 0.194924],
    [0.2, 0.266319],
    [0.3, 0.314313],
    [0.5, 0.373306],
  ])('of a strand shortened by %d stands out %d', (shortening, rise) => {
    expect(strand(shortening).bulge / 10).toBeCloseTo(rise, 5);
  });

  // Handbook: derived there for 8 mm of free thread and a lift of 2.2 mm, to the rise of the fabric.
  it.each([
    [0, 2.43, 1.31],
    [0.5, 2.19, 0.99],
    [1.0, 1.88, 0.74],
    [1.5, 1.46, 0.52],
    [2.0, 0.8, 0.26],
  ])('when the fabric rises %d mm bulges %d and reaches %d at 1.5 mm', (rise, bulge, reach) => {
    const loop = needleLoop({
      free: mm(8),
      lift: mm(2.2),
      rise: mm(rise),
      robbed: mm(0),
      eye: 'upright',
    });
    expect(Math.abs(loop.bulge - bulge)).toBeLessThan(0.0051);
    expect(Math.abs(loop.reachAt(mm(1.5)) - reach)).toBeLessThan(0.0051);
  });

  it('comes to the shallow form (2/pi) sqrt(C e) where the slack is small', () => {
    const loop = strand(0.001);
    expect(loop.bulge / ((2 / Math.PI) * Math.sqrt(9.99 * 0.01))).toBeCloseTo(1, 3);
  });

  it('keeps the thread’s length: the curve is as long as the strand', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.02, max: 0.4, noNaN: true }), (shortening) => {
        const loop = strand(shortening);
        const half = loop.chord / 2;
        let [length, before] = [0, 0];
        const steps = 1500;
        for (let step = 1; step <= steps; step += 1) {
          const here = loop.reachAt(mm((half * step) / steps));
          length += Math.hypot(half / steps, here - before);
          before = here;
        }
        expect(2 * length).toBeCloseTo(10, 2);
      }),
      { numRuns: 10 },
    );
  });

  // Timoshenko and Gere 1961: half the square of the curvature and the thrust's share of the slope keep their sum.
  it('keeps its energy along the strand', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 0.4, noNaN: true }), (shortening) => {
        const places = strand(shortening).outline(4000);
        const at = (index: number) => {
          const [before, here, after] = [places[index - 1], places[index], places[index + 1]];
          if (!before || !here || !after) throw new Error('within the strand');
          const angle = (from: typeof here, to: typeof here) =>
            Math.atan2(to.out - from.out, to.above - from.above);
          const length = Math.hypot(after.above - before.above, after.out - before.out) / 2;
          const curvature = (angle(here, after) - angle(before, here)) / length;
          const slope = (angle(before, here) + angle(here, after)) / 2;
          return { bent: curvature ** 2 / 2, along: Math.cos(slope) };
        };
        const [one, other] = [at(30), at(1000)];
        const thrust = (one.bent - other.bent) / (other.along - one.along);
        for (const index of [300, 650, 1500, 2000, 3300]) {
          const { bent, along } = at(index);
          const sum = bent + thrust * along;
          expect(sum / (one.bent + thrust * one.along)).toBeCloseTo(1, 3);
        }
      }),
      { numRuns: 20 },
    );
  });

  it('shrinks as the fabric rises or thread goes back, and is nothing without slack', () => {
    fc.assert(
      fc.property(
        EYES,
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0.01, max: 1, noNaN: true }),
        (eye, rise, more) => {
          const at = (robbed: number) =>
            needleLoop({ free: mm(8), lift: mm(2.2), rise: mm(rise), robbed: mm(robbed), eye })
              .bulge;
          expect(at(more)).toBeLessThan(at(0));
        },
      ),
    );
    const none = needleLoop({
      free: mm(8),
      lift: mm(2),
      rise: mm(2.5),
      robbed: mm(0),
      eye: 'swivels',
    });
    expect([none.bulge, none.reachAt(mm(1))]).toEqual([0, 0]);
  });

  it('refuses more slack than a strand can carry', () => {
    expect(() => strand(0.7)).toThrow(expect.objectContaining({ code: 'loop-impossible' }));
  });
});

it('no angle is more than a whole turn', () => {
  expect(() => degrees(400)).toThrow(expect.objectContaining({ code: 'not-an-angle' }));
});

describe('a strand that swivels in the eye', () => {
  // Computed apart: scipy's incomplete integrals, Brent's method for both unknowns, 400 places between which it is
  // interpolated; 8 mm free, to lift and rise.
  it.each([
    [2.2, 0, 2.33, { 0.3: 1.19, 0.7: 1.81, 1.5: 2.28, 2.2: 2.29 }],
    [1.41, 0.3, 1.76, { 0.5: 0.67, 1.3: 1.4, 2.29: 1.74 }],
    [2.99, 0.3, 2.49, { 0.3: 1.75, 0.7: 2.2, 2.2: 2.35 }],
    [2.2, 2, 0.78, { 0.7: 0.29, 1.5: 0.56 }],
  ])('risen %d under a fabric that rose %d bulges %d', (lift, rise, bulge, reaches) => {
    const loop = needleLoop({
      free: mm(8),
      lift: mm(lift),
      rise: mm(rise),
      robbed: mm(0),
      eye: 'swivels',
    });
    expect(Math.abs(loop.bulge - bulge)).toBeLessThan(0.0051);
    for (const [above, reach] of Object.entries(reaches)) {
      expect(Math.abs(loop.reachAt(mm(Number(above))) - reach)).toBeLessThan(0.0061);
    }
  });

  it('without slack has the shape of a column that is pinned below: tan u = u', () => {
    const u = 4.493409458;
    const { end, at, widest } = bentStrand(1 - 1e-7, 'swivels');
    expect(end + Math.PI / 2).toBeCloseTo(u, 3);
    // Deflection of that column: sin(u x) / sin u - x, greatest where its slope is nothing.
    const shape = (x: number) => Math.sin(u * x) / Math.sin(u) - x;
    const places = Array.from({ length: 2001 }, (_, index) => index / 2000);
    const [most = 0] = places.toSorted((a, b) => Math.abs(shape(b)) - Math.abs(shape(a)));
    expect(at(widest).along).toBeCloseTo(most, 2);
  });

  it('stands out more near the eye than one that is held upright, and hardly less at its widest', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.02, max: 0.4, noNaN: true }), (shortening) => {
        const [held, free] = [strand(shortening), strand(shortening, 'swivels')];
        const near = mm(held.chord / 8);
        expect(free.reachAt(near)).toBeGreaterThan(1.5 * held.reachAt(near));
        expect(free.bulge).toBeLessThan(held.bulge);
        expect(free.bulge).toBeGreaterThan(0.9 * held.bulge);
      }),
    );
  });

  it('hangs below the eye where it has much slack', () => {
    const places = strand(0.4, 'swivels').outline(200);
    expect(Math.min(...places.map(({ above }) => above))).toBeLessThan(-0.1);
    expect(strand(0.4, 'swivels').reachAt(mm(0))).toBeGreaterThan(1);
    expect(() => strand(0.55, 'swivels')).toThrow(
      expect.objectContaining({ code: 'loop-impossible' }),
    );
  });
});

describe('the outline of a loop', () => {
  it('lies on the loop, from eye to fabric, as long as its strand', () => {
    fc.assert(
      fc.property(
        EYES,
        fc.double({ min: 0.05, max: 4, noNaN: true }),
        fc.double({ min: 0, max: 1.5, noNaN: true }),
        (eye, lift, rise) => {
          const loop = needleLoop({
            free: mm(8),
            lift: mm(lift),
            rise: mm(rise),
            robbed: mm(0),
            eye,
          });
          const places = loop.outline(400);
          expect(places).toHaveLength(401);
          expect(places[0]?.above).toBeCloseTo(0, 9);
          expect(places[0]?.out).toBeCloseTo(0, 9);
          expect(places.at(-1)?.above).toBeCloseTo(loop.chord, 9);
          expect(places.at(-1)?.out).toBeCloseTo(0, 9);
          expect(Math.max(...places.map(({ out }) => out))).toBeCloseTo(loop.bulge, 3);
          for (const index of [150, 290, 370]) {
            const { above = 0, out = 0 } = places[index] ?? {};
            expect(loop.reachAt(mm(above))).toBeCloseTo(out, 6);
          }
          const length = places.reduce((sum, { above, out }, index) => {
            const before = places[index - 1] ?? { above: 0, out: 0 };
            return sum + Math.hypot(above - before.above, out - before.out);
          }, 0);
          expect(length).toBeCloseTo(loop.chord + Math.max(0, lift - rise), 3);
        },
      ),
      { numRuns: 50 },
    );
  });
});

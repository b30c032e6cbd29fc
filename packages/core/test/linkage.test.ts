import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  aroundDisc,
  assertCranks,
  assertTurns,
  cantilever,
  capstan,
  type FourBar,
  fourBarAt,
  sliderAt,
} from '../src/index.ts';

const DEGREE = Math.PI / 180;
const STEP = 1e-5;

/** The first and second difference of something over a small step. */
function differences(of: (at: number) => number, at: number) {
  const [before, here, after] = [of(at - STEP), of(at), of(at + STEP)];
  return { first: (after - before) / (2 * STEP), second: (after - 2 * here + before) / STEP ** 2 };
}

describe('a slider-crank', () => {
  // In line, r 15, l 60: travel from top dead centre; computed apart (octave).
  it.each([
    [30, 2.480214],
    [60, 8.923127],
    [90, 16.90525],
    [120, 23.923127],
  ])('has travelled at %d degrees', (degrees, travel) => {
    const linkage = { crank: 15, rod: 60, offset: 0 };
    const { along } = sliderAt(linkage, degrees * DEGREE);
    expect(sliderAt(linkage, 0).along - along).toBeCloseTo(travel, 6);
  });

  it('is fastest where it is known to be', () => {
    const speed = (angle: number) => -sliderAt({ crank: 15, rod: 60, offset: 0 }, angle).perRadian;
    expect(speed(76.721 * DEGREE)).toBeCloseTo(15.46324, 5);
    for (const other of [76, 77.5]) expect(speed(other * DEGREE)).toBeLessThan(15.46324);
  });

  // Norton, Design of Machinery, an offset slider-crank 40, 120, -20 at 60 degrees (numbers computed apart).
  it('may run beside its crank', () => {
    const linkage = { crank: 40, rod: 120, offset: -20 };
    expect(sliderAt(linkage, 60 * DEGREE).along).toBeCloseTo(126.838, 3);
    // The other way of putting it together is its mirror image.
    expect(2 * 40 * Math.cos(60 * DEGREE) - 126.838).toBeCloseTo(-86.838, 3);
  });

  it('keeps its rod’s length, and its rates are the differences of its places', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 30, noNaN: true }),
        fc.double({ min: 1, max: 3, noNaN: true }),
        fc.double({ min: -4, max: 4, noNaN: true }),
        fc.double({ min: -7, max: 7, noNaN: true }),
        (crank, times, offset, angle) => {
          const linkage = { crank, rod: crank * times + 5, offset };
          assertTurns(linkage);
          const { along, perRadian, perRadian2 } = sliderAt(linkage, angle);
          const pin = [crank * Math.cos(angle), crank * Math.sin(angle)] as const;
          expect(Math.hypot(along - pin[0], offset - pin[1])).toBeCloseTo(linkage.rod, 9);
          const { first, second } = differences((at) => sliderAt(linkage, at).along, angle);
          expect(perRadian).toBeCloseTo(first, 4);
          expect(Math.abs(perRadian2 - second)).toBeLessThan(1e-2 * (1 + Math.abs(second)));
        },
      ),
    );
  });

  it('that cannot turn is refused', () => {
    for (const linkage of [
      { crank: 20, rod: 20, offset: 0 },
      { crank: 20, rod: 25, offset: -6 },
      { crank: 0, rod: 25, offset: 0 },
    ]) {
      expect(() => assertTurns(linkage)).toThrow(/linkage-impossible|not-above-nothing/);
    }
  });
});

describe('four bars', () => {
  const NORTON = { crank: 40, coupler: 120, rocker: 80, ground: 100 };
  const [OMEGA, ALPHA] = [25, 15];

  // Norton, Design of Machinery, four-bar example: numbers from memory, confirmed by computation apart.
  it.each([
    ['open', 20.2979, 57.3249],
    ['crossed', -60.978, -98.005],
  ] as const)('stand as they must, %s', (built, coupler, rocker) => {
    const state = fourBarAt({ ...NORTON, built }, 40 * DEGREE);
    expect(state.coupler.angle / DEGREE).toBeCloseTo(coupler, 3);
    expect(state.rocker.angle / DEGREE).toBeCloseTo(rocker, 3);
  });

  it('turn as fast as they must', () => {
    const { coupler, rocker } = fourBarAt({ ...NORTON, built: 'open' }, 40 * DEGREE);
    expect(coupler.perRadian * OMEGA).toBeCloseTo(-4.1209, 3);
    expect(rocker.perRadian * OMEGA).toBeCloseTo(6.998, 3);
    const acceleration = ({ perRadian, perRadian2 }: typeof coupler) =>
      perRadian2 * OMEGA ** 2 + perRadian * ALPHA;
    expect(acceleration(coupler)).toBeCloseTo(296.089, 2);
    expect(acceleration(rocker)).toBeCloseTo(470.134, 2);
  });

  it('swing as far as they must, with the transmission that they have', () => {
    const turn = Array.from({ length: 7200 }, (_, step) =>
      fourBarAt({ ...NORTON, built: 'open' }, (step * Math.PI) / 3600),
    );
    const rockers = turn.map(({ rocker }) => rocker.angle / DEGREE);
    expect(Math.min(...rockers)).toBeCloseTo(54.9004, 3);
    expect(Math.max(...rockers)).toBeCloseTo(128.6822, 3);
    const transmissions = turn.map(({ transmission }) => transmission / DEGREE);
    expect(Math.min(...transmissions)).toBeCloseTo(26.3843, 2);
    expect(Math.max(...transmissions)).toBeCloseTo(86.4167, 2);
  });

  it('close at every angle, and their rates are the differences of their angles', () => {
    const lengths = fc.double({ min: 10, max: 60, noNaN: true });
    fc.assert(
      fc.property(
        lengths,
        lengths,
        lengths,
        fc.double({ min: 0, max: 6.28, noNaN: true }),
        fc.boolean(),
        (b, c, d, angle, isOpen) => {
          const crank = 0.45 * Math.min(b + c - d, d - Math.abs(b - c));
          fc.pre(crank > 1);
          const linkage: FourBar = {
            crank,
            coupler: b,
            rocker: c,
            ground: d,
            built: isOpen ? 'open' : 'crossed',
          };
          assertCranks(linkage);
          const { coupler, rocker } = fourBarAt(linkage, angle);
          for (const part of [Math.cos, Math.sin]) {
            const ring = crank * part(angle) + b * part(coupler.angle) - c * part(rocker.angle);
            expect(ring).toBeCloseTo(part === Math.cos ? d : 0, 8);
          }
          for (const bar of ['coupler', 'rocker'] as const) {
            // From the middle on, so that no step goes over a half turn.
            const from = fourBarAt(linkage, angle)[bar].angle;
            const { first, second } = differences((at) => {
              const turned = fourBarAt(linkage, at)[bar].angle - from;
              return Math.atan2(Math.sin(turned), Math.cos(turned));
            }, angle);
            const state = fourBarAt(linkage, angle)[bar];
            expect(Math.abs(state.perRadian - first)).toBeLessThan(1e-4 * (1 + Math.abs(first)));
            expect(Math.abs(state.perRadian2 - second)).toBeLessThan(1e-2 * (1 + Math.abs(second)));
          }
        },
      ),
    );
  });

  it('that come apart are refused', () => {
    const built = 'open';
    for (const linkage of [
      { crank: 40, coupler: 60, rocker: 60, ground: 100, built },
      { crank: 40, coupler: 120, rocker: 50, ground: 100, built },
      { crank: -1, coupler: 60, rocker: 60, ground: 100, built },
    ] as const) {
      expect(() => assertCranks(linkage)).toThrow(/linkage-impossible|not-above-nothing/);
    }
  });
});

describe('a thread round a disc', () => {
  // Computed apart, r 10.
  it.each([
    [-30, 0, 30, 0, 63.365281],
    [-30, 5, 25, 8, 55.502372],
  ])('from (%d, %d) to (%d, %d)', (x1, y1, x2, y2, length) => {
    expect(aroundDisc({ x: x1, y: y1 }, { x: x2, y: y2 }, 10)).toBeCloseTo(length, 6);
  });

  it('is straight where nothing is in its way, and never shorter than that', () => {
    expect(aroundDisc({ x: -30, y: 12 }, { x: 30, y: 12 }, 10)).toBeCloseTo(60, 12);
    expect(() => aroundDisc({ x: 3, y: 0 }, { x: 30, y: 0 }, 10)).toThrow('within-the-disc');
    const place = fc.double({ min: -40, max: 40, noNaN: true });
    fc.assert(
      fc.property(place, place, place, place, (x1, y1, x2, y2) => {
        fc.pre(Math.hypot(x1, y1) > 10 && Math.hypot(x2, y2) > 10);
        const [from, to] = [
          { x: x1, y: y1 },
          { x: x2, y: y2 },
        ];
        const length = aroundDisc(from, to, 10);
        expect(length).toBeGreaterThanOrEqual(Math.hypot(x2 - x1, y2 - y1) - 1e-9);
        expect(aroundDisc(to, from, 10)).toBeCloseTo(length, 9);
        expect(length).toBeLessThanOrEqual(Math.hypot(x1, y1) + Math.hypot(x2, y2) + 10 * Math.PI);
      }),
    );
  });
});

describe('the pull over an edge', () => {
  // Euler and Eytelwein, mu .2.
  it.each([
    [Math.PI, 1.874456],
    [2 * Math.PI, 3.513586],
  ])('grows over %d radians', (wrap, times) => {
    expect(capstan(0.2, wrap)).toBeCloseTo(times, 6);
  });

  it('is as it was where nothing rubs or nothing is bent, and guides multiply', () => {
    expect([capstan(0, 3), capstan(0.3, 0)]).toEqual([1, 1]);
    expect(capstan(0.3, 1) * capstan(0.3, 0.5)).toBeCloseTo(capstan(0.3, 1.5), 12);
  });
});

describe('a cantilever bent far', () => {
  // Bisshopp and Drucker 1945; Mattiasson 1981: across, shorter, slope.
  it.each([
    [1, 0.30172, 0.05643, 0.46135],
    [10, 0.81061, 0.555, 1.43029],
  ])('under a load of %d', (load, across, shorter, slope) => {
    const bent = cantilever(load);
    expect(bent.across).toBeCloseTo(across, 5);
    expect(bent.shorter).toBeCloseTo(shorter, 5);
    expect(bent.slope).toBeCloseTo(slope, 5);
  });

  it('gives way in proportion where the load is small: a third of it', () => {
    expect(cantilever(0)).toEqual({ across: 0, shorter: 0, slope: 0 });
    expect(cantilever(0.01).across / 0.01).toBeCloseTo(1 / 3, 4);
    expect(cantilever(0.01).slope / 0.01).toBeCloseTo(1 / 2, 4);
    expect(() => cantilever(-1)).toThrow('bends-too-far');
    expect(() => cantilever(31)).toThrow('bends-too-far');
  });

  it('bends the more the more it is loaded, and never beyond its length', () => {
    const loads = [0.1, 0.5, 1, 2, 4, 8, 16, 30].map((load) => cantilever(load));
    for (const [index, { across, shorter, slope }] of loads.entries()) {
      const before = loads[index - 1];
      if (before) {
        expect(across).toBeGreaterThan(before.across);
        expect(shorter).toBeGreaterThan(before.shorter);
        expect(slope).toBeGreaterThan(before.slope);
      }
      expect(across).toBeLessThan(1);
      expect(slope).toBeLessThan(Math.PI / 2);
    }
  });
});

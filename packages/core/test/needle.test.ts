import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  accountForPieces,
  bobbinMetres,
  degrees,
  grooveShare,
  mm,
  needleDue,
  needleSize,
  SEATED,
  SEWN_AS,
  type SewingHabit,
  SOLD_SIZES,
  seatEffect,
  sewnAs,
  sizeName,
  sizesForThread,
  stiffnessAgainst,
  stitches,
  stitchesSewn,
  tipDeflection,
} from '../src/index.ts';

const refusal = (code: string): object => expect.objectContaining({ code }) as object;
const THREAD = mm(0.2);

describe('the needle as a cantilever', () => {
  // Handbook: 25 mm of steel of 210 GPa under 1 N.
  it.each([
    [60, 3.9],
    [70, 2.1],
    [80, 1.23],
    [90, 0.77],
    [100, 0.51],
    [110, 0.35],
  ])('of size %d gives way %d mm', (size, bend) => {
    expect(Math.abs(tipDeflection(1, needleSize(size)) - bend)).toBeLessThan(0.0051);
  });

  it('of 0.9 by 30 mm is as stiff as computed apart: 715.694 N/m at 200 GPa', () => {
    // Ours is reckoned with 210 GPa; stiffness goes with the modulus.
    const perNewton = tipDeflection(1, needleSize(90), mm(30));
    expect((1 / perNewton) * 1000 * (200 / 210)).toBeCloseTo(715.694, 3);
  });

  it('is proportional where it is used: P L2/EI = 1 bends .30172 L, not a third (Bisshopp and Drucker 1945)', () => {
    expect(1 / 3 / 0.30172).toBeLessThan(1.11);
    expect(() => tipDeflection(1, needleSize(60), mm(50))).toThrow(refusal('bends-too-far'));
  });

  it('is stiffer with the fourth power, whichever way it is compared', () => {
    expect(stiffnessAgainst(needleSize(100), needleSize(80))).toBeCloseTo(2.4414, 4);
    fc.assert(
      fc.property(fc.integer({ min: 60, max: 120 }), fc.integer({ min: 60, max: 120 }), (a, b) => {
        const [one, other] = [needleSize(a), needleSize(b)];
        const ratio = stiffnessAgainst(one, other);
        expect(ratio * stiffnessAgainst(other, one)).toBeCloseTo(1, 12);
        expect(ratio).toBeCloseTo(tipDeflection(0.5, other) / tipDeflection(0.5, one), 9);
      }),
    );
  });

  it('is no needle at 3 mm', () => {
    expect(() => needleSize(300)).toThrow(refusal('not-a-needle-size'));
    expect(sizeName(80)).toBe('80/12');
    expect(sizeName(85)).toBe('85');
  });
});

describe('how a needle sits', () => {
  const seat = (errors: Partial<typeof SEATED>) => seatEffect({ ...SEATED, ...errors }, THREAD);

  // Common practice: the loop at the needle is about 1.5 mm.
  it('leaves the loop that the trade tells to the hook when it is right', () => {
    const right = seat({});
    expect(Math.abs(right.towards - 1.5)).toBeLessThan(0.2);
    expect(right.skips).toBeLessThan(1e-4);
    expect(right.pastScarf).toBe(false);
  });

  it('shows nothing to the hook when it is in backward', () => {
    const backward = seat({ backward: true });
    expect(backward.towards).toBe(0);
    expect(backward.skips).toBeGreaterThan(0.99);
    expect(backward.gap).toBeLessThan(0);
  });

  it('has no smaller loop when it hangs low, and meets the hook past its scarf when it hangs far', () => {
    expect(seat({ low: 1 }).towards).toBeGreaterThan(seat({}).towards);
    expect(seat({ low: 1 })).toMatchObject({ meetsAt: 2.5, pastScarf: false });
    const far = seat({ low: 4 });
    expect(far.pastScarf).toBe(true);
    expect(far.gap).toBeLessThan(0);
  });

  it('shows w cos a when it is turned, and w sin a aside', () => {
    const turned = seat({ turned: degrees(60) });
    const { towards } = seat({});
    expect(turned.towards).toBeCloseTo(towards / 2, 9);
    expect(turned.aside).toBeCloseTo(towards * Math.sqrt(0.75), 9);
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 80, noNaN: true }),
        fc.double({ min: 0.1, max: 9, noNaN: true }),
        (angle, more) => {
          const less = seat({ turned: degrees(angle) });
          const further = seat({ turned: degrees(angle + more) });
          expect(further.margin).toBeLessThan(less.margin);
          expect(further.skips).toBeGreaterThanOrEqual(less.skips);
        },
      ),
    );
  });

  it('skips at the tail of the normal distribution: margin none, every second stitch', () => {
    const { margin } = seat({});
    const half = seatEffect({ ...SEATED, bend: margin }, THREAD);
    expect(half.margin).toBeCloseTo(0, 9);
    expect(half.skips).toBeCloseTo(0.5, 9);
  });
});

describe('thread and groove', () => {
  it('want a thread of a fifth to a third of the blade (from memory)', () => {
    expect(grooveShare(mm(0.2), needleSize(80))).toBe(0.25);
    const [least, most] = sizesForThread(mm(0.2));
    // As it stands, a thread of 0.2 mm wants a blade of 0.61 to 1.00 mm.
    expect(SOLD_SIZES.filter((size) => size >= least && size <= most)).toEqual([
      65, 70, 75, 80, 90, 100,
    ]);
  });

  it('keep the bounds that were asked for', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.12, max: 0.36, noNaN: true }), (across) => {
        const [least, most] = sizesForThread(mm(across));
        for (const size of SOLD_SIZES.filter((one) => one >= least && one <= most)) {
          expect(grooveShare(mm(across), size)).toBeGreaterThanOrEqual(0.2 - 1e-12);
          expect(grooveShare(mm(across), size)).toBeLessThanOrEqual(0.33 + 1e-12);
        }
      }),
    );
  });
});

describe('pieces of a needle', () => {
  it('are whole within half a millimetre, however many', () => {
    const account = (...pieces: number[]) => accountForPieces(mm(38.5), pieces.map(mm));
    expect(account(20.1, 12.2, 4.0, 2.0)).toEqual({ found: 38.3, missing: 0.2, state: 'whole' });
    expect(account(20.1, 12.2, 4.0)).toMatchObject({ missing: 2.2, state: 'missing' });
    expect(account(38, 1.2)).toMatchObject({ state: 'too-much' });
    expect(account(30, 8)).toMatchObject({ missing: 0.5, state: 'whole' });
    expect(account()).toMatchObject({ missing: 38.5, state: 'missing' });
  });

  it('are refused when they cannot be', () => {
    expect(() => accountForPieces(mm(38.5), [mm(50)])).toThrow(refusal('piece-too-long'));
    expect(() => accountForPieces(mm(38.5), [mm(0)])).toThrow(refusal('not-above-nothing'));
    expect(() => mm(-3)).toThrow(refusal('not-a-length'));
  });
});

describe('how far a needle has sewn', () => {
  const HABIT: SewingHabit = {
    rate: 1000,
    duty: 1,
    stitchLength: 2.5,
    threadPerStitch: 3.1,
    // Handbook: 39.8 m on a bobbin of 19.5 by 8 by 8.8 mm in tex 25.
    bobbinMetres: bobbinMetres({ full: mm(19.5), core: mm(8), width: mm(8.8) }, mm(0.1961)),
  };

  it('is 480 000 stitches in eight hours, 12 800 on a bobbin, 400 a metre (handbook)', () => {
    expect(stitchesSewn(8, 'hours', HABIT)).toBe(480_000);
    expect(HABIT.bobbinMetres).toBeCloseTo(39.8, 1);
    expect(stitchesSewn(1, 'bobbins', HABIT) / 12_800).toBeCloseTo(1, 2);
    expect(stitchesSewn(1, 'metres', HABIT)).toBe(400);
  });

  it('comes back from every measure', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SEWN_AS),
        fc.double({ min: 0, max: 1000, noNaN: true }),
        (as, n) => {
          expect(sewnAs(stitchesSewn(n, as, HABIT), as, HABIT)).toBeCloseTo(n, 8);
        },
      ),
    );
  });

  it('ends at once with a strike', () => {
    expect(needleDue(stitches(10), stitches(1000), false)).toMatchObject({
      share: 0.01,
      left: 990,
    });
    expect(needleDue(stitches(10), stitches(1000), true)).toMatchObject({ share: 1, left: 0 });
    expect(needleDue(stitches(3000), stitches(1000), true).share).toBe(3);
  });

  it.each([
    ['stitches below nothing', () => stitchesSewn(-1, 'hours', HABIT), 'not-a-stitch-count'],
    [
      'a motor that stands',
      () => stitchesSewn(1, 'hours', { ...HABIT, rate: 0 }),
      'not-above-nothing',
    ],
    [
      'a core as wide as the bobbin',
      () => bobbinMetres({ full: mm(8), core: mm(8), width: mm(9) }, mm(0.2)),
      'core-fills-bobbin',
    ],
  ])('refuses %s', (_what, reckon, code) => {
    expect(reckon).toThrow(refusal(code));
  });
});

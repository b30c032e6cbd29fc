import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  againstOwn,
  BOBBIN_CLASSES,
  BOBBIN_TENSION,
  bobbinClassOf,
  HANG_TURNS,
  KNOWLEDGE,
  locateHangUp,
  matchBobbin,
  rewindSteps,
  usualTurn,
  WINDINGS,
} from '../src/index.ts';

describe('which bobbin it is', () => {
  // Handbook, from memory: class 15 about 20.3 x 11.7, L 20.6 x 8.9, M 25.4 x 10.7, 66 curved.
  it.each([
    [{ across: 20.4, width: 11.6, sides: 'flat' }, '15'],
    [{ across: 20.5, width: 9, sides: 'flat' }, 'l'],
    [{ across: 25.2, width: 10.8, sides: 'flat' }, 'm'],
    [{ across: 20.2, width: 11, sides: 'curved' }, '66'],
  ] as const)('%o is class %s', (measured, id) => {
    const [first] = matchBobbin(measured);
    expect(first).toMatchObject({ fits: true, bobbin: { id } });
  });

  it('names the look-alike that does not interchange: an L in a machine for class 15', () => {
    const matches = matchBobbin({ across: 20.6, width: 8.9, sides: 'flat' });
    const other = matches.find(({ bobbin }) => bobbin.id === '15');
    expect(other).toMatchObject({ fits: false, looksAlike: true });
    expect(other?.widthOff).toBeCloseTo(-2.8, 6);
    expect(matches.find(({ bobbin }) => bobbin.id === 'm')?.looksAlike).toBe(false);
  });

  it('fits no class when it lies between them', () => {
    const matches = matchBobbin({ across: 22.5, width: 10, sides: 'flat' });
    expect(matches.some(({ fits }) => fits)).toBe(false);
  });

  it('knows every class by its own measures, and never two flat ones at once', () => {
    for (const { id, across, width, sides } of BOBBIN_CLASSES) {
      const [first] = matchBobbin({ across, width: width ?? 11, sides });
      expect(first?.bobbin.id).toBe(id);
      expect(bobbinClassOf(id)?.id).toBe(id);
    }
    fc.assert(
      fc.property(
        fc.double({ min: 18, max: 27, noNaN: true }),
        fc.double({ min: 7, max: 13, noNaN: true }),
        (across, width) => {
          const fitting = matchBobbin({ across, width, sides: 'flat' }).filter(({ fits }) => fits);
          expect(fitting.length).toBeLessThanOrEqual(1);
        },
      ),
    );
  });
});

describe('a bobbin against the machine’s own', () => {
  const own = { across: [20.3, 20.5], hole: [6, 6.1] } as const;

  it('tells a hole that is too wide, where rims and width would pass', () => {
    const told = againstOwn({ across: 20.4, width: 11.7, hole: 7.2 }, own);
    // Its width is not known of this machine: nothing is said of it.
    expect(told.map(({ measure, fits }) => [measure, fits])).toEqual([
      ['across', true],
      ['hole', false],
    ]);
    expect(told[1]?.off).toBeCloseTo(1.1, 9);
  });

  it('forgives what a caliper may be off by, and no more', () => {
    expect(againstOwn({ hole: 6.4 }, own)[0]).toMatchObject({ fits: true });
    expect(againstOwn({ hole: 5.7 }, own)[0]).toMatchObject({ fits: true });
    expect(againstOwn({ hole: 6.41 }, own)[0]).toMatchObject({ fits: false });
    expect(againstOwn({ hole: 5.69 }, own)[0]).toMatchObject({ fits: false });
  });
});

describe('the condition of a bobbin (common practice)', () => {
  it('turns anticlockwise in a drop-in case; an upright case does not tell', () => {
    expect(usualTurn(['bobbin', 'drop-in'])).toBe('anticlockwise');
    expect(usualTurn(['bobbin', 'front-loading'])).toBeUndefined();
  });

  it('is wound again from the empty core with its thread in the disc, unless it is firm', () => {
    expect(rewindSteps('firm')).toEqual([]);
    for (const winding of WINDINGS.filter((one) => one !== 'firm')) {
      const steps = rewindSteps(winding);
      expect(steps[0]).toBe('empty');
      expect(steps.indexOf('disc')).toBeLessThan(steps.indexOf('even'));
      expect(steps.at(-1)).toBe('press');
      expect(steps.includes('guide')).toBe(winding === 'uneven');
    }
  });
});

describe('where a thread hangs (common practice: turn again without the bobbin, then without the case)', () => {
  it('is what was taken out when it passed', () => {
    expect(locateHangUp({})).toEqual({ kind: 'turn', next: 'all' });
    expect(locateHangUp({ all: 'hangs' })).toEqual({ kind: 'turn', next: 'without-bobbin' });
    const noBobbin = { all: 'hangs', 'without-bobbin': 'hangs' } as const;
    expect(locateHangUp(noBobbin)).toEqual({ kind: 'turn', next: 'without-case' });
    expect(locateHangUp({ all: 'hangs', 'without-bobbin': 'passes' })).toMatchObject({
      at: 'bobbin',
    });
    expect(locateHangUp({ ...noBobbin, 'without-case': 'passes' })).toMatchObject({ at: 'case' });
    expect(locateHangUp({ ...noBobbin, 'without-case': 'hangs' })).toMatchObject({ at: 'hook' });
  });

  it('is nowhere when it passes at once, and no matter of the case when the loop is missed', () => {
    expect(locateHangUp({ all: 'passes' })).toMatchObject({ at: 'nowhere', lookAt: [] });
    expect(locateHangUp({ all: 'missed' })).toMatchObject({ at: 'loop' });
  });

  it('is kept by checks and looked at by checks that there are', () => {
    for (const { check, hangs } of HANG_TURNS) {
      expect(KNOWLEDGE.findings.get(hangs)?.check).toBe(check);
    }
    for (const [noBobbin, noCase] of [
      ['passes', undefined],
      ['hangs', 'passes'],
      ['hangs', 'hangs'],
    ] as const) {
      const told = locateHangUp({
        all: 'hangs',
        'without-bobbin': noBobbin,
        ...(noCase && { 'without-case': noCase }),
      });
      if (told.kind !== 'located') throw new Error('not told');
      expect(told.lookAt.length).toBeGreaterThan(1);
      for (const check of told.lookAt) expect(KNOWLEDGE.checks.has(check), check).toBe(true);
    }
  });
});

it('holds the embroidery bobbin a little looser than the household one (from memory)', () => {
  expect(BOBBIN_TENSION).toEqual({ household: [20, 30], embroidery: [18, 25] });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BOBBIN_CLASSES, BOBBIN_TENSION, bobbinClassOf, matchBobbin } from '../src/index.ts';

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

it('holds the embroidery bobbin a little looser than the household one (from memory)', () => {
  expect(BOBBIN_TENSION).toEqual({ household: [20, 30], embroidery: [18, 25] });
});

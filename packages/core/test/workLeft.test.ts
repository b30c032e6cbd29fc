import { describe, expect, it } from 'vitest';
import { type Suspect, workLeft } from '../src/index.ts';

/** Reckoned by hand, outcome by outcome; a piece of work scatters by three tenths of its length. */
const scatter = (minutes: number): number => (0.3 * minutes) ** 2;

/** Mean and variance of what takes so many minutes with such a chance. */
function momentsOf(outcomes: readonly (readonly [chance: number, minutes: number])[]) {
  const mean = outcomes.reduce((sum, [chance, minutes]) => sum + chance * minutes, 0);
  const square = outcomes.reduce((sum, [chance, minutes]) => sum + chance * minutes ** 2, 0);
  return { mean, variance: square - mean ** 2 };
}

const suspect = (given: Partial<Suspect>): Suspect => ({
  chance: 0.5,
  heard: 1,
  look: 10,
  repair: 0,
  ...given,
});

describe('the work that is left', () => {
  it('for a known fault is its repair and what is owed', () => {
    const { mean, spread } = workLeft([suspect({ chance: 1, look: 0, repair: 20 })], 10);
    expect(mean).toBeCloseTo(30);
    expect(spread).toBeCloseTo(Math.sqrt(scatter(20) + scatter(10)));
  });

  it('looks first where a minute finds most, and stops at what it finds', () => {
    const suspects = [suspect({ look: 10 }), suspect({ look: 5 })];
    // Found at the short look, or after both; after both too when it is neither.
    const { mean, variance } = momentsOf([
      [0.5, 5],
      [0.5, 15],
    ]);
    for (const order of [suspects, suspects.toReversed()]) {
      const left = workLeft(order, 0);
      expect(left.mean).toBeCloseTo(mean);
      expect(left.spread).toBeCloseTo(Math.sqrt(variance + scatter(mean)));
    }
  });

  it('weighs the chance as well as the minutes of a look', () => {
    const likely = suspect({ chance: 0.6, look: 10 });
    const quick = suspect({ chance: 0.1, look: 5 });
    // The longer look finds three times as much a minute: it comes first.
    const { mean } = momentsOf([
      [0.6, 10],
      [0.4, 15],
    ]);
    expect(workLeft([quick, likely], 0).mean).toBeCloseTo(mean);
  });

  it('is given up where hardly anything is left to find', () => {
    const sure = suspect({ chance: 0.96, look: 10 });
    const long = suspect({ chance: 0.01, look: 1000 });
    expect(workLeft([sure, long], 0).mean).toBeCloseTo(10);
    // With a chance of a twentieth and no less, it is looked for.
    expect(workLeft([{ ...sure, chance: 0.95 }, long], 0).mean).toBeGreaterThan(50);
  });

  it('with a known fault goes on only if something else can still be heard', () => {
    const known = suspect({ chance: 1, look: 0, repair: 20 });
    const other = suspect({ chance: 0.5, heard: 0.4, look: 10 });
    // It is there and heard in a fifth of the cases: the look is made in those.
    expect(workLeft([known, other], 0).mean).toBeCloseTo(20 + 0.2 * 10);
    expect(workLeft([known, { ...other, heard: 0 }], 0).mean).toBeCloseTo(20);
    const third = suspect({ chance: 0.5, heard: 0.5, look: 10 });
    // Quiet in 0.8 x 0.75 of the cases; the look is 10 or 20 minutes, as in the search alone.
    expect(workLeft([known, other, third], 0).mean).toBeCloseTo(20 + 0.4 * 15);
  });

  it('counts a repair by the chance that it is needed', () => {
    const { mean, spread } = workLeft([suspect({ chance: 0.25, look: 10, repair: 40 })], 0);
    expect(mean).toBeCloseTo(10 + 10);
    const repair = momentsOf([
      [0.25, 40],
      [0.75, 0],
    ]);
    expect(spread).toBeCloseTo(Math.sqrt(scatter(10) + repair.variance + 0.25 * scatter(40)));
  });

  it('is what is owed when nothing is suspected', () => {
    expect(workLeft([], 10)).toEqual({ mean: 10, spread: 3 });
  });

  it('weighs looks by when something is found', () => {
    // .5 at 4 min, else the second look too: .5 x 4 + .5 x 14 = 9; repairs .5 x 10 + .25 x 20 = 10.
    const { mean } = workLeft(
      [
        { chance: 0.25, heard: 1, look: 10, repair: 20 },
        { chance: 0.5, heard: 1, look: 4, repair: 10 },
      ],
      0,
    );
    expect(mean).toBeCloseTo(19, 12);
  });

  it('grows with every suspect, and its spread falls when a cause is certain', () => {
    const one = suspect({ look: 5, repair: 20 });
    const open = workLeft([one], 5);
    const certain = workLeft([{ ...one, chance: 1, look: 0 }], 5);
    expect(workLeft([one, one], 5).mean).toBeGreaterThan(open.mean);
    expect(certain.spread).toBeLessThan(open.spread);
  });
});

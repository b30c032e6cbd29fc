import { describe, expect, it } from 'vitest';
import { buildNetwork, posterior, type Trial } from '../src/index.ts';
import { expectAsEnumerated } from './enumerate.ts';
import { randomTrialCase } from './networks.ts';

describe('trials against enumeration of the definition', () => {
  it.each(Array.from({ length: 120 }, (_, index) => index + 1))(
    'agrees to 1e-9 on seeded network %i, cured and not cured, in several epochs',
    (seed) => {
      const { network, evidence } = randomTrialCase(seed);
      expectAsEnumerated(network, evidence);
    },
  );
});

describe('a new needle and nothing else', () => {
  const network = buildNetwork(
    [
      { id: 'dull', prior: 0.12 },
      { id: 'late-hook', prior: 0.02 },
    ],
    [{ id: 'skip', leak: 0.1 }],
    [
      { cause: 'dull', finding: 'skip', strength: 0.55 },
      { cause: 'late-hook', finding: 'skip', strength: 0.8 },
    ],
  );
  const skips = [{ finding: 'skip', epoch: 0, present: true }];
  const trial = (gone: boolean): Trial => ({
    finding: 'new-needle-cures',
    epoch: 0,
    gone,
    treats: ['dull'],
    complaints: ['skip'],
    leak: 0.02,
  });
  const beliefs = (trials: readonly Trial[]) => {
    const [dull, hook] = posterior(network, { readings: skips, treatments: [], trials }).beliefs;
    return { dull: dull?.is ?? Number.NaN, hook: hook?.is ?? Number.NaN };
  };

  it('that cures speaks for the needle and against everything else that would go on skipping', () => {
    const before = beliefs([]);
    const after = beliefs([trial(true)]);
    expect(after.dull).toBeGreaterThan(0.9);
    expect(after.hook).toBeLessThan(before.hook / 3);
  });

  it('that does not cure clears the needle, unless something else is wrong as well', () => {
    const before = beliefs([]);
    const after = beliefs([trial(false)]);
    expect(after.dull).toBeLessThan(before.dull / 2);
    expect(after.hook).toBeGreaterThan(before.hook);
    // Worked by hand over the four states, from P(gone | x) as defined.
    const states = [
      { dull: 0, hook: 0, skips: 0.1, gone: 0.9 * 0.02 },
      { dull: 1, hook: 0, skips: 1 - 0.9 * 0.45, gone: 0.9 },
      { dull: 0, hook: 1, skips: 1 - 0.9 * 0.2, gone: 0.9 * 0.2 * 0.02 },
      { dull: 1, hook: 1, skips: 1 - 0.9 * 0.45 * 0.2, gone: 0.9 * 0.2 },
    ].map((state) => ({
      ...state,
      mass:
        (state.dull ? 0.12 : 0.88) * (state.hook ? 0.02 : 0.98) * state.skips * (1 - state.gone),
    }));
    const total = states.reduce((sum, { mass }) => sum + mass, 0);
    const dull = states.reduce((sum, { dull: there, mass }) => sum + there * mass, 0) / total;
    expect(after.dull).toBeCloseTo(dull, 12);
  });

  it('leaves a doubt about two faults that a plain link would not', () => {
    // As a noisy-OR link of .8 the failed trial would count against "dull" alike, whatever
    // else is known; the formula lets a proven late hook excuse the failure.
    const withHook = posterior(
      buildNetwork(
        [
          ...network.causes.map((cause) => ({
            ...cause,
            prior: cause.id === 'late-hook' ? 1 : 0.12,
          })),
        ],
        network.findings,
        [
          { cause: 'dull', finding: 'skip', strength: 0.55 },
          { cause: 'late-hook', finding: 'skip', strength: 0.8 },
        ],
      ),
      { readings: skips, treatments: [], trials: [trial(false)] },
    ).beliefs[0]?.is;
    expect(withHook).toBeGreaterThan(0.09);
  });

  it('names a cause or a complaint that the network does not have', () => {
    expect(() => beliefs([{ ...trial(true), treats: ['moon'] }])).toThrow(/unknown-id/);
    expect(() => beliefs([{ ...trial(true), complaints: ['moon'] }])).toThrow(/unknown-id/);
  });
});

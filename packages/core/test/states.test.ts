import { describe, expect, it } from 'vitest';
import { drawStates, PosteriorEngine, posterior, type States } from '../src/index.ts';
import { enumerate } from './enumerate.ts';
import { presentIn } from './information.ts';
import { randomCase, randomTrialCase } from './networks.ts';

const DRAWS = 40_000;

/** Chance per state, by what is present in it. */
function byPresent(states: States): Map<string, number> {
  const sums = new Map<string, number>();
  states.chances.forEach((chance, state) => {
    const key = presentIn(states, state).join();
    sums.set(key, (sums.get(key) ?? 0) + chance);
  });
  return sums;
}

describe('draws from the joint distribution', () => {
  it.each([
    ...Array.from({ length: 12 }, (_, index) => ['readings', index + 1, randomCase] as const),
    ...Array.from({ length: 12 }, (_, index) => ['trials', index + 1, randomTrialCase] as const),
  ])('have the exact chances of whole states, %s, seed %i', (_, seed, make) => {
    const { network, evidence } = make(seed);
    const exact = byPresent(enumerate(network, evidence).states);
    const drawn = byPresent(drawStates(new PosteriorEngine(network, evidence), DRAWS));
    for (const [state, chance] of exact) {
      // Five standard errors: one state in millions is further off by luck alone.
      const error = 5 * Math.sqrt((chance * (1 - chance)) / DRAWS) + 1e-9;
      expect(Math.abs((drawn.get(state) ?? 0) - chance)).toBeLessThanOrEqual(error);
    }
    for (const state of drawn.keys()) expect(exact.get(state) ?? 0).toBeGreaterThan(0);
  });

  it('come out the same for the same evidence, and otherwise for another seed', () => {
    const { network, evidence } = randomCase(4);
    const once = drawStates(new PosteriorEngine(network, evidence), 500);
    expect(drawStates(new PosteriorEngine(network, evidence), 500)).toEqual(once);
    expect(drawStates(new PosteriorEngine(network, evidence), 500, 2)).not.toEqual(once);
  });

  it('put draws alike together, each cause once and in order', () => {
    const { network, evidence } = randomCase(9);
    const states = drawStates(new PosteriorEngine(network, evidence), 2000);
    const present = Array.from(states.chances, (_, state) => [...presentIn(states, state)]);
    expect(new Set(present.map((causes) => causes.join())).size).toBe(present.length);
    for (const causes of present) expect([...causes].sort((a, b) => a - b)).toEqual(causes);
    expect(states.chances.reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(1, 12);
    const sure = posterior(network, evidence).beliefs.findIndex(({ is }) => is > 0.999);
    if (sure >= 0) expect(present.every((causes) => causes.includes(sure))).toBe(true);
  });
});

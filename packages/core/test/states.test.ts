import { describe, expect, it } from 'vitest';
import { drawStates, PosteriorEngine, posterior, type States } from '../src/index.ts';
import { type Enumerated, enumerate } from './enumerate.ts';
import { randomCase, randomStory } from './networks.ts';

const DRAWS = 40_000;

/** Chance per set of active triggers. */
function byActive(states: States): Map<string, number> {
  const sums = new Map<string, number>();
  states.chances.forEach((chance, state) => {
    const active = states.statesActive.map((byCause) =>
      [...byCause.keys()].filter((cause) => byCause[cause]?.includes(state)).join(),
    );
    const key = active.join(' / ');
    sums.set(key, (sums.get(key) ?? 0) + chance);
  });
  return sums;
}

/** Per cause, the chance that it is present: where it acts, and quietly elsewhere. */
function presentChances(states: States, causes: number): readonly number[] {
  const chanceIn = (list: Uint32Array | undefined): number =>
    (list ?? new Uint32Array()).reduce((sum, state) => sum + (states.chances[state] ?? 0), 0);
  return Array.from({ length: causes }, (_, cause) => {
    const acting = chanceIn(states.statesWith[cause]);
    const gone = chanceIn(states.statesGone[cause]);
    return acting + (states.quietChances[cause] ?? 0) * (1 - acting - gone);
  });
}

/** Five standard errors, and three draws: of what is hardly ever drawn some is drawn. */
const within = (chance: number): number =>
  5 * Math.sqrt(Math.max(0, chance * (1 - chance)) / DRAWS) + 3 / DRAWS;

const CASES = [
  ...Array.from({ length: 12 }, (_, index) => ['readings', index + 1, randomCase] as const),
  ...Array.from({ length: 24 }, (_, index) => ['stories', index + 1, randomStory] as const),
];

describe('draws from the joint distribution', () => {
  it.each(CASES)(
    'have the exact chances of what is active together, %s, seed %i',
    (_, seed, make) => {
      const { network, evidence } = make(seed);
      const exact = byActive(enumerate(network, evidence).states);
      const drawn = byActive(drawStates(new PosteriorEngine(network, evidence), DRAWS));
      for (const [state, chance] of exact) {
        expect(Math.abs((drawn.get(state) ?? 0) - chance)).toBeLessThanOrEqual(within(chance));
      }
      for (const state of drawn.keys()) expect(exact.get(state) ?? 0).toBeGreaterThan(0);
    },
  );

  it('are spread evenly: over all stories, a third of the squared error of independent ones at most', () => {
    const count = 1000;
    let error = 0;
    let independent = 0;
    for (const [, seed, make] of CASES) {
      const { network, evidence } = make(seed);
      const exact = byActive(enumerate(network, evidence).states);
      const drawn = byActive(drawStates(new PosteriorEngine(network, evidence), count));
      for (const [state, chance] of exact) {
        error += ((drawn.get(state) ?? 0) - chance) ** 2;
        independent += (chance * (1 - chance)) / count;
      }
    }
    expect(error).toBeLessThan(independent / 3);
  });

  it.each(CASES)('have the exact chances of what is present, %s, seed %i', (_, seed, make) => {
    const { network, evidence } = make(seed);
    const { is }: Enumerated = enumerate(network, evidence);
    const states = drawStates(new PosteriorEngine(network, evidence), DRAWS);
    presentChances(states, network.causes.length).forEach((chance, cause) => {
      expect(Math.abs(chance - (is[cause] ?? 0))).toBeLessThanOrEqual(within(is[cause] ?? 0));
    });
  });

  it('come out the same for the same evidence, and otherwise for another seed', () => {
    const { network, evidence } = randomStory(4);
    const once = drawStates(new PosteriorEngine(network, evidence), 500);
    expect(drawStates(new PosteriorEngine(network, evidence), 500)).toEqual(once);
    expect(drawStates(new PosteriorEngine(network, evidence), 500, 2)).not.toEqual(once);
  });

  it('put draws alike together', () => {
    const { network, evidence } = randomStory(9);
    const states = drawStates(new PosteriorEngine(network, evidence), 2000);
    expect(states.chances.length).toBeLessThan(200);
    expect(states.chances.reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(1, 12);
    expect(posterior(network, evidence).beliefs.length).toBe(network.causes.length);
  });
});

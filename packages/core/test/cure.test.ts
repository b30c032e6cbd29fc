import { describe, expect, it } from 'vitest';
import { buildNetwork, minutes, posterior, rankForCure, TREATMENT_SUCCESS } from '../src/index.ts';
import { enumerate } from './enumerate.ts';
import { randomStory, seen } from './networks.ts';

const worth = minutes(60);

describe('the chance of a cure', () => {
  it.each([1, 2, 3, 4, 5, 6, 7, 8])(
    'is that of nothing to blame being left afterwards, seed %i',
    (seed) => {
      const { network, evidence } = randomStory(seed);
      const { states, risk } = enumerate(network, evidence);
      const attempts = network.causes.map(({ id }, index) => ({ id, treats: [index], minutes: 1 }));
      for (const { id, chance = 0, gain } of rankForCure(network, states, attempts, [], worth)) {
        const after = enumerate(network, {
          ...evidence,
          treatments: [...evidence.treatments, { startsEpoch: 99, causes: [id] }],
        });
        // It is cured by the treatment, or was silent already.
        expect(gain).toBeCloseTo(60 * (risk - after.risk), 9);
        expect(chance).toBeCloseTo(1 - after.risk, 9);
      }
    },
  );

  it('is counted beyond what doing nothing does', () => {
    const network = buildNetwork(
      [{ id: 'a', prior: 0.3 }],
      [{ id: 's', leak: 0.3, unknownFault: 0 }],
      [{ cause: 'a', finding: 's', strength: 1 }],
    );
    const { states, risk } = enumerate(network, seen('s'));
    const attempt = { id: 'a', treats: [0], minutes: 1 };
    const nothing = { id: 'nothing', treats: [], minutes: 1 };
    const ranked = rankForCure(network, states, [attempt, nothing], [], worth);
    expect(ranked.find(({ id }) => id === 'nothing')).toMatchObject({ gain: 0 });
    expect(ranked.find(({ id }) => id === 'nothing')?.chance).toBeCloseTo(1 - risk, 12);
    expect(ranked[0]?.gain).toBeCloseTo(60 * risk * TREATMENT_SUCCESS, 9);
  });
});

const twoCauses = buildNetwork(
  [
    { id: 'a', prior: 0.3 },
    { id: 'b', prior: 0.35 },
  ],
  [
    { id: 's1', leak: 0.01, unknownFault: 0.01 },
    { id: 's2', leak: 0.05 },
  ],
  [
    { cause: 'a', finding: 's1', strength: 0.9 },
    { cause: 'b', finding: 's1', strength: 0.8 },
    { cause: 'a', finding: 's2', strength: 0.9 },
  ],
);

it('what brings most in a minute comes first', () => {
  const { states } = enumerate(twoCauses, seen('s1'));
  const attempt = (id: string, index: number, length: number) => ({
    id,
    treats: [index],
    minutes: length,
  });
  const ranked = (...lengths: readonly [number, number]) =>
    rankForCure(
      twoCauses,
      states,
      [attempt('a', 0, lengths[0]), attempt('b', 1, lengths[1])],
      [],
      worth,
    ).map(({ id }) => id);
  expect(ranked(5, 20)).toEqual(['a', 'b']);
  expect(ranked(20, 5)).toEqual(['b', 'a']);
});

describe('a look before an attempt', () => {
  const { states } = enumerate(twoCauses, seen('s1'));
  const attempts = ['a', 'b'].map((id, index) => ({ id, treats: [index], minutes: 5 }));
  const look = (...findings: readonly string[]) => [
    { id: 'look', question: { findings } as const, minutes: minutes(1) },
  ];
  const gainOf = (findings: readonly string[], tried = attempts): number =>
    rankForCure(twoCauses, states, tried, look(...findings), worth).find(({ id }) => id === 'look')
      ?.gain ?? Number.NaN;

  it('is worth what it betters the best attempt by, computed from separate posteriors', () => {
    const readings = (isSeen: boolean) => [
      { finding: 's1', epoch: 0, present: true },
      { finding: 's2', epoch: 0, present: isSeen },
    ];
    const best = (evidence: Parameters<typeof enumerate>[1]): number => {
      const given = enumerate(twoCauses, evidence).states;
      const gains = rankForCure(twoCauses, given, attempts, [], worth).map(({ gain }) => gain - 5);
      return Math.max(0, ...gains);
    };
    const weight = (isSeen: boolean): number =>
      Math.exp(
        posterior(twoCauses, { readings: readings(isSeen), treatments: [] }).logEvidence -
          posterior(twoCauses, seen('s1')).logEvidence,
      );
    const after = [true, false].reduce(
      (sum, isSeen) => sum + weight(isSeen) * best({ readings: readings(isSeen), treatments: [] }),
      0,
    );
    expect(gainOf(['s2'])).toBeCloseTo(after - best(seen('s1')), 9);
    expect(gainOf(['s2'])).toBeGreaterThan(0.5);
  });

  it('is worth nothing when there is but one thing to try anyway, or nothing asked', () => {
    const one = attempts.slice(0, 1).map((attempt) => ({ ...attempt, minutes: 0 }));
    expect(gainOf(['s2'], one)).toBeCloseTo(0, 9);
    // Unless it may spare the minutes of trying.
    expect(gainOf(['s2'], attempts.slice(0, 1))).toBeGreaterThan(0.1);
    expect(gainOf([])).toBeCloseTo(0, 9);
  });
});

import { describe, expect, it } from 'vitest';
import { buildNetwork, minutes, posterior, quietOf, rankForCure } from '../src/index.ts';
import { enumerate } from './enumerate.ts';
import { randomCase, seen } from './networks.ts';

const worth = minutes(60);

describe('the chance of a cure', () => {
  it.each([1, 2, 3, 4, 5, 6])(
    'is that of the complaint staying away afterwards, seed %i',
    (seed) => {
      const { network } = randomCase(seed);
      const [complaint] = network.findings;
      if (!complaint) throw new Error('no finding');
      const evidence = seen(complaint.id);
      const { states } = enumerate(network, evidence);
      const attempts = network.causes.map(({ id }, index) => ({
        id,
        treats: [index],
        minutes: minutes(1),
      }));
      const quiet = quietOf(network, [complaint.id]);
      const before = posterior(network, evidence).logEvidence;
      for (const { id, chance } of rankForCure(network, states, attempts, [], { quiet, worth })) {
        // The exact pass, told that it was treated and that the complaint was not seen again.
        const after = posterior(network, {
          readings: [...evidence.readings, { finding: complaint.id, epoch: 1, present: false }],
          treatments: [{ startsEpoch: 1, causes: [id] }],
        }).logEvidence;
        expect(chance).toBeCloseTo(Math.exp(after - before) / (1 - complaint.leak), 9);
      }
    },
  );
});

it('what brings most in a minute comes first', () => {
  const network = buildNetwork(
    [
      { id: 'a', prior: 0.3 },
      { id: 'b', prior: 0.3 },
    ],
    [{ id: 's', leak: 0 }],
    [
      { cause: 'a', finding: 's', strength: 0.9 },
      { cause: 'b', finding: 's', strength: 0.9 },
    ],
  );
  const { states } = enumerate(network, seen('s'));
  const attempt = (id: string, index: number, length: number) => ({
    id,
    treats: [index],
    minutes: minutes(length),
  });
  const ranked = (...lengths: readonly [number, number]) =>
    rankForCure(
      network,
      states,
      [attempt('a', 0, lengths[0]), attempt('b', 1, lengths[1])],
      [{ id: 'look', question: { kind: 'look', findings: ['s'] }, minutes: minutes(1) }],
      { quiet: quietOf(network, ['s']), worth },
    ).map(({ id }) => id);
  // As likely as each other; the finding is known, so that looking again brings nothing.
  expect(ranked(5, 20)).toEqual(['a', 'b', 'look']);
  expect(ranked(20, 5)).toEqual(['b', 'a', 'look']);
});

describe('a look before an attempt', () => {
  const network = buildNetwork(
    [
      { id: 'a', prior: 0.3 },
      { id: 'b', prior: 0.35 },
    ],
    [
      { id: 's1', leak: 0.01 },
      { id: 's2', leak: 0.05 },
    ],
    [
      { cause: 'a', finding: 's1', strength: 0.9 },
      { cause: 'b', finding: 's1', strength: 0.8 },
      { cause: 'a', finding: 's2', strength: 0.9 },
    ],
  );
  const { states } = enumerate(network, seen('s1'));
  const quiet = quietOf(network, ['s1']);
  const attempts = network.causes.map(({ id }, index) => ({
    id,
    treats: [index],
    minutes: minutes(5),
  }));
  const look = (...findings: readonly string[]) => [
    { id: 'look', question: { kind: 'look', findings } as const, minutes: minutes(1) },
  ];
  const gainOf = (findings: readonly string[], tried = attempts): number =>
    rankForCure(network, states, tried, look(...findings), { quiet, worth }).find(
      ({ id }) => id === 'look',
    )?.gain ?? Number.NaN;

  it('is worth what it betters the best attempt by, reckoned from separate posteriors', () => {
    const best = (present: readonly boolean[]): number => {
      const evidence = {
        readings: present.map((yes, index) => ({
          finding: ['s1', 's2'][index] ?? '',
          epoch: 0,
          present: yes,
        })),
        treatments: [],
      };
      const given = enumerate(network, evidence).states;
      const [first] = rankForCure(network, given, attempts, [], { quiet, worth })
        .map(({ chance = 0 }) => worth * chance - 5)
        .sort((a, b) => b - a);
      return Math.max(0, first ?? 0);
    };
    const weight = (yes: boolean): number =>
      Math.exp(
        posterior(network, {
          readings: [
            { finding: 's1', epoch: 0, present: true },
            { finding: 's2', epoch: 0, present: yes },
          ],
          treatments: [],
        }).logEvidence - posterior(network, seen('s1')).logEvidence,
      );
    const expected =
      weight(true) * best([true, true]) + weight(false) * best([true, false]) - best([true]);
    expect(gainOf(['s2'])).toBeCloseTo(expected, 9);
    expect(expected).toBeGreaterThan(0.5);
  });

  it('is worth nothing when there is but one thing to try anyway, or nothing asked', () => {
    expect(gainOf(['s2'], attempts.slice(0, 1))).toBeCloseTo(0, 9);
    expect(gainOf([])).toBeCloseTo(0, 9);
  });
});

import { describe, expect, it } from 'vitest';
import {
  buildNetwork,
  chanceBand,
  posterior,
  unexplainedReadings,
  weighFindings,
  weightBand,
} from '../src/index.ts';
import { enumerate } from './enumerate.ts';
import { fiveFaults, randomCase, randomStory, seen } from './networks.ts';

const logit = (chance: number): number => Math.log(chance / (1 - chance));

describe('what speaks for a cause', () => {
  const network = fiveFaults();
  const evidence = seen('s1', 's2');

  it('is the change of log odds when the reading is left out', () => {
    const [weight] =
      weighFindings(network, evidence, ['f2'])
        .get('f2')
        ?.filter(({ finding }) => finding === 's2') ?? [];
    const chance = (...findings: string[]) =>
      posterior(network, seen(...findings)).beliefs[1]?.was ?? Number.NaN;
    expect(weight?.weight).toBeCloseTo(logit(chance('s1', 's2')) - logit(chance('s1')), 12);
    expect(weight?.weight).toBeGreaterThan(0);
  });

  it('speaks against a cause that another one explains away', () => {
    const weights = weighFindings(network, evidence, ['f1']).get('f1') ?? [];
    expect(weights.find(({ finding }) => finding === 's2')?.weight).toBeLessThan(0);
  });

  it('comes strongest first', () => {
    const sizes = (weighFindings(network, evidence, ['f2']).get('f2') ?? []).map(({ weight }) =>
      Math.abs(weight),
    );
    expect(sizes).toEqual([...sizes].sort((a, b) => b - a));
  });
});

describe('a trial', () => {
  it('has its weight like any other answer', () => {
    const { network, evidence } = randomStory(3);
    const trial = {
      symptoms: [{ symptom: 'y0', visibility: 0.8 }],
      epoch: 0,
      seen: false,
      leak: 0.01,
      factors: { c0: 0 },
      finding: 'gone',
    };
    const given = { ...evidence, observations: [...(evidence.observations ?? []), trial] };
    const was = (evidenceOf: typeof evidence) =>
      posterior(network, evidenceOf).beliefs.find(({ cause }) => cause === 'c0')?.was ?? Number.NaN;
    const weight = weighFindings(network, given, ['c0'])
      .get('c0')
      ?.find(({ finding }) => finding === 'gone');
    expect(weight?.present).toBe(false);
    expect(weight?.weight).toBeCloseTo(logit(was(given)) - logit(was(evidence)), 9);
  });
});

describe('weights in words', () => {
  it.each([
    [3.2, 'strong'],
    [-3, 'strong'],
    [1.6, 'clear'],
    [-0.7, 'slight'],
    [0.69, undefined],
  ])('%d is told as %s', (weight, band) => {
    expect(weightBand(weight)).toBe(band);
  });
});

describe('what nothing explains', () => {
  it.each(Array.from({ length: 30 }, (_, index) => index + 1))(
    'is what no present cause produced, by enumeration, seed %i',
    (seed) => {
      const { network, evidence } = randomCase(seed);
      const told = new Map(
        unexplainedReadings(network, evidence).map(({ finding, chance }) => [finding, chance]),
      );
      for (const reading of evidence.readings.filter(({ present }) => present)) {
        // P(leak showed it and no cause did) over P(it showed), both with all the rest.
        const index = network.findingIndex.get(reading.finding) ?? -1;
        const leak = network.findings[index]?.leak ?? 0;
        const rest = evidence.readings.filter((other) => other !== reading);
        const silent = enumerate(network, {
          ...evidence,
          readings: [...rest, { ...reading, present: false }],
        });
        const all = enumerate(network, evidence);
        const chance = ((silent.evidence / (1 - leak)) * leak) / all.evidence;
        if (chance > 0.5) expect(told.get(reading.finding)).toBeCloseTo(chance, 9);
        else expect(told.has(reading.finding)).toBe(false);
      }
    },
  );

  it('leaves a symptom unexplained when only what has no name can show it', () => {
    const told = [{ finding: 'y', epoch: 0, present: true }];
    const withPrior = (prior: number) =>
      unexplainedReadings(
        buildNetwork(
          [{ id: 'c', prior }],
          [{ id: 'y', leak: 0.02, unknownFault: 0.05 }],
          [{ cause: 'c', finding: 'y', strength: 0.5 }],
        ),
        { readings: told, treatments: [] },
      );
    // By hand: the unknown fault or the one-off, 1 - .98 x .95 = .069; c shows it with prior x .5.
    const quiet = 0.069 * (1 - 0.1 * 0.5);
    const all = 1 - (1 - 0.069) * (1 - 0.1 * 0.5);
    expect(withPrior(0.1)[0]?.chance).toBeCloseTo(quiet / all, 12);
    expect(withPrior(0.9)).toEqual([]);
  });

  it('begins with what is explained worst', () => {
    const network = buildNetwork(
      [{ id: 'c', prior: 0.1 }],
      [
        { id: 'some', leak: 0.1 },
        { id: 'alone', leak: 0.1 },
        { id: 'sure', leak: 0 },
      ],
      [
        { cause: 'c', finding: 'some', strength: 0.3 },
        { cause: 'c', finding: 'sure', strength: 0.5 },
      ],
    );
    const chancesOf = (...findings: readonly string[]) =>
      unexplainedReadings(network, {
        readings: findings.map((finding) => ({ finding, epoch: 0, present: true })),
        treatments: [],
      }).map(({ finding, chance }) => [finding, Math.round(chance * 100) / 100]);
    // No cause shows the one; for the other: 0.1 x (1 - 0.1 x 0.3) / (1 - 0.97 x 0.9).
    expect(chancesOf('some', 'alone')).toEqual([
      ['alone', 1],
      ['some', 0.76],
    ]);
    // What never shows by itself is always explained.
    expect(chancesOf('sure')).toEqual([]);
  });

  it('is nothing where a fault fits', () => {
    const [odd] = unexplainedReadings(fiveFaults(), {
      readings: [
        { finding: 's1', epoch: 0, present: true },
        { finding: 's2', epoch: 0, present: false },
        { finding: 's3', epoch: 0, present: false },
        { finding: 's4', epoch: 0, present: true },
      ],
      treatments: [],
    });
    expect(odd).toBeUndefined();
  });
});

describe('chances in words', () => {
  it.each([
    [0.99, 'nearly-sure'],
    [0.95, 'nearly-sure'],
    [0.7, 'likely'],
    [0.43, 'even'],
    [0.13, 'possible'],
    [0.05, 'unlikely'],
    [0.001, 'hardly'],
  ])('%d is told as %s', (chance, band) => {
    expect(chanceBand(chance)).toBe(band);
  });
});

import { describe, expect, it } from 'vitest';
import { chanceBand, posterior, weighFindings } from '../src/index.ts';
import { fiveFaults, seen } from './networks.ts';

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

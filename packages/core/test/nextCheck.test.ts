import { describe, expect, it } from 'vitest';
import { expectedInformation, minutes, posterior, rankChecks, totalDoubt } from '../src/index.ts';
import { fiveFaults, randomCase, seen } from './networks.ts';

const doubt = (
  network: Parameters<typeof posterior>[0],
  evidence: Parameters<typeof posterior>[1],
): number => totalDoubt(posterior(network, evidence).beliefs);

describe('total doubt', () => {
  it('is one bit for each cause that is as likely as not, none for a sure one', () => {
    const belief = (is: number) => ({ cause: 'c', was: is, is });
    expect(totalDoubt([belief(0.5), belief(0.5), belief(0), belief(1)])).toBe(2);
    expect(totalDoubt([belief(0.25)])).toBeCloseTo(2 - 0.75 * Math.log2(3), 12);
  });
});

describe('expected information', () => {
  it.each([2, 5, 11, 23, 42])('is the mean fall of doubt over all outcomes, seed %i', (seed) => {
    const { network, evidence } = randomCase(seed);
    const asked = new Set(evidence.readings.map(({ finding }) => finding));
    const open = network.findings
      .map(({ id }) => id)
      .filter((id) => !asked.has(id))
      .slice(0, 2);
    const base = posterior(network, evidence).logEvidence;
    let after = 0;
    for (let outcome = 0; outcome < 1 << open.length; outcome += 1) {
      const given = {
        ...evidence,
        readings: [
          ...evidence.readings,
          ...open.map((finding, bit) => ({
            finding,
            epoch: 2,
            present: (outcome & (1 << bit)) !== 0,
          })),
        ],
      };
      after += Math.exp(posterior(network, given).logEvidence - base) * doubt(network, given);
    }
    const bits = expectedInformation(network, evidence, { findings: open }, 2);
    expect(bits).toBeCloseTo(Math.max(0, doubt(network, evidence) - after), 3);
  });

  it('is nothing for a finding that no cause shows', () => {
    const { network, evidence } = randomCase(7);
    expect(expectedInformation(network, evidence, { findings: [] }, 0)).toBe(0);
  });
});

describe('ranking', () => {
  const network = fiveFaults();
  const candidate = (id: string, length: number) => ({
    id,
    findings: [id],
    minutes: minutes(length),
  });

  it('puts the greater information first at equal minutes', () => {
    const ranked = rankChecks(network, seen('s1'), [candidate('s3', 1), candidate('s2', 1)], 0);
    expect(ranked.map(({ check }) => check)).toEqual(['s2', 's3']);
  });

  it('lets the minutes decide when they differ enough', () => {
    const ranked = rankChecks(network, seen('s1'), [candidate('s3', 1), candidate('s2', 20)], 0);
    expect(ranked.map(({ check }) => check)).toEqual(['s3', 's2']);
  });
});

import { infer } from 'bayesjs';
import { describe, expect, it } from 'vitest';
import { buildNetwork, CoreError, MAX_SHARED_POSITIVES, posterior, seeded } from '../src/index.ts';
import { enumerate, expectAsEnumerated } from './enumerate.ts';
import { fiveFaults, randomCase, seen } from './networks.ts';
import { asTables } from './tables.ts';

const was = (given: ReturnType<typeof posterior>): number[] =>
  given.beliefs.map((belief) => belief.was);

function expectClose(actual: readonly number[], expected: readonly number[], digits: number): void {
  expect(actual).toHaveLength(expected.length);
  actual.forEach((value, index) => {
    expect(value).toBeCloseTo(expected[index] ?? Number.NaN, digits);
  });
}

describe('posterior against enumeration', () => {
  it.each(Array.from({ length: 200 }, (_, index) => index + 1))(
    'agrees to 1e-9 on seeded network %i, epochs and treatments included',
    (seed) => {
      const { network, evidence } = randomCase(seed);
      expectAsEnumerated(network, evidence);
    },
  );

  it('is right with twelve positive findings and leaks of .0005', () => {
    const draw = seeded(12);
    const causes = Array.from({ length: 12 }, (_, index) => ({ id: `c${index}`, prior: 0.001 }));
    const findings = Array.from({ length: 12 }, (_, index) => ({ id: `f${index}`, leak: 0.0005 }));
    const links = causes.flatMap(({ id: cause }) =>
      findings.map(({ id: finding }) => ({ cause, finding, strength: 0.05 + 0.3 * draw() })),
    );
    const network = buildNetwork(causes, findings, links);
    const evidence = seen(...findings.map(({ id }) => id));
    const plain = enumerate(network, evidence);
    const fast = posterior(network, evidence);
    expectClose(was(fast), plain.was, 9);
    // What the pass over sets is there for: alternating sums over the same network lose
    // their digits. The share of the evidence that cancels is beyond double precision here.
    const naive = inclusionExclusion(
      network,
      evidence.readings.map(({ finding }) => finding),
    );
    expect(Math.abs(naive / plain.evidence - 1)).toBeGreaterThan(1e-4);
  });
});

/** P(all findings present) by alternating sums over sets of findings taken as absent. */
function inclusionExclusion(
  network: ReturnType<typeof buildNetwork>,
  findings: readonly string[],
): number {
  let sum = 0;
  for (let set = 0; set < 1 << findings.length; set += 1) {
    const absent = findings.filter((_, bit) => set & (1 << bit));
    let term = 1;
    for (const id of absent)
      term *= 1 - (network.findings[network.findingIndex.get(id) ?? -1]?.leak ?? 0);
    network.causes.forEach(({ prior }, cause) => {
      let quiet = 1;
      for (const { finding, strength } of network.shows[cause] ?? []) {
        if (absent.includes(network.findings[finding]?.id ?? '')) quiet *= 1 - strength;
      }
      term *= 1 - prior + prior * quiet;
    });
    sum += absent.length % 2 === 0 ? term : -term;
  }
  return sum;
}

describe('posterior against values from outside', () => {
  // Independent computation by brute force over five faults (double precision).
  it.each([
    [['s1'], [0.660032, 0.16756, 0.12, 0.077579, 0.02]],
    [
      ['s1', 's2'],
      [0.365446, 0.704124, 0.304752, 0.053415, 0.069563],
    ],
    [
      ['s1', 's2', 's3', 's4'],
      [0.617443, 0.265399, 0.665774, 0.227694, 0.351809],
    ],
  ])('five faults, %j seen', (findings, expected) => {
    const result = posterior(fiveFaults(), seen(...findings));
    expectClose(was(result), expected, 5);
  });

  it('five faults: probability of s1', () => {
    expect(Math.exp(posterior(fiveFaults(), seen('s1')).logEvidence)).toBeCloseTo(0.10957639, 8);
  });

  it('fever, Russell & Norvig, Artificial Intelligence: noisy-OR of cold, flu, malaria', () => {
    const strengths = { cold: 0.4, flu: 0.8, malaria: 0.9 };
    const chanceOfFever = (...present: readonly string[]): number => {
      const network = buildNetwork(
        Object.keys(strengths).map((id) => ({ id, prior: present.includes(id) ? 1 : 0 })),
        [{ id: 'fever', leak: 0 }],
        Object.entries(strengths).map(([cause, strength]) => ({
          cause,
          finding: 'fever',
          strength,
        })),
      );
      return Math.exp(posterior(network, seen('fever')).logEvidence);
    };
    expect(chanceOfFever('cold', 'flu')).toBeCloseTo(0.88, 12);
    expect(chanceOfFever('cold', 'malaria')).toBeCloseTo(0.94, 12);
    expect(chanceOfFever('flu', 'malaria')).toBeCloseTo(0.98, 12);
    expect(chanceOfFever('cold', 'flu', 'malaria')).toBeCloseTo(0.988, 12);
  });

  it.each([3, 17, 58, 91, 140])('agrees with the bayesjs package on seeded network %i', (seed) => {
    const { network, evidence } = randomCase(seed);
    const oneEpoch = {
      readings: evidence.readings.map((reading) => ({ ...reading, epoch: 0 })),
      treatments: [],
    };
    const given = Object.fromEntries(
      oneEpoch.readings.map(({ finding, present }) => [finding, present ? 'T' : 'F']),
    );
    const result = posterior(network, oneEpoch);
    result.beliefs.forEach(({ cause, is }) => {
      expect(is).toBeCloseTo(infer(asTables(network), { [cause]: 'T' }, given), 9);
    });
  });
});

describe('epochs', () => {
  const network = buildNetwork(
    [
      { id: 'backward', prior: 0.035 },
      { id: 'dull', prior: 0.12 },
    ],
    [
      { id: 'skip', leak: 0.1 },
      { id: 'wrong-way', leak: 0.001 },
    ],
    [
      { cause: 'backward', finding: 'skip', strength: 0.97 },
      { cause: 'dull', finding: 'skip', strength: 0.55 },
      { cause: 'backward', finding: 'wrong-way', strength: 0.97 },
    ],
  );
  const found = [
    { finding: 'skip', epoch: 0, present: true },
    { finding: 'wrong-way', epoch: 0, present: true },
  ];
  const turned = [{ startsEpoch: 1, causes: ['backward'] }];

  it('keeps that it was there and knows that it is gone once it is turned and proven', () => {
    const [backward] = posterior(network, {
      readings: [...found, { finding: 'skip', epoch: 1, present: false }],
      treatments: turned,
    }).beliefs;
    expect(backward?.was).toBeGreaterThan(0.99);
    expect(backward?.is).toBeLessThan(0.05);
  });

  it('would fall into the trap without them: one network for both states denies the finding', () => {
    const [backward] = posterior(network, {
      readings: [...found.slice(1), { finding: 'skip', epoch: 0, present: false }],
      treatments: [],
    }).beliefs;
    expect(backward?.was).toBeLessThan(0.9);
  });

  it('leaves an untreated cause where it was', () => {
    const { beliefs } = posterior(network, { readings: found, treatments: turned });
    expect(beliefs[1]?.is).toBe(beliefs[1]?.was);
  });

  it('doubts a treatment after which the fault shows again', () => {
    const after = (present: boolean) =>
      posterior(network, {
        readings: [...found, { finding: 'wrong-way', epoch: 1, present }],
        treatments: turned,
      }).beliefs[0]?.is ?? Number.NaN;
    expect(after(true)).toBeGreaterThan(0.9);
    expect(after(false)).toBeLessThan(0.01);
  });
});

describe('what posterior refuses', () => {
  const code = (work: () => unknown): string => {
    try {
      work();
    } catch (fault) {
      return fault instanceof CoreError ? fault.code : String(fault);
    }
    return 'nothing';
  };

  it('names an unknown finding', () => {
    expect(code(() => posterior(fiveFaults(), seen('s9')))).toBe('unknown-id');
  });

  it('says when readings cannot happen', () => {
    const network = buildNetwork([{ id: 'c', prior: 0.5 }], [{ id: 'f', leak: 0 }], []);
    expect(code(() => posterior(network, seen('f')))).toBe('impossible-evidence');
  });

  it('says when there are too many shared positives for one pass', () => {
    const findings = Array.from({ length: MAX_SHARED_POSITIVES + 1 }, (_, index) => ({
      id: `f${index}`,
      leak: 0.1,
    }));
    const causes = ['a', 'b'].map((id) => ({ id, prior: 0.1 }));
    const network = buildNetwork(
      causes,
      findings,
      causes.flatMap(({ id: cause }) =>
        findings.map(({ id: finding }) => ({ cause, finding, strength: 0.5 })),
      ),
    );
    expect(code(() => posterior(network, seen(...findings.map(({ id }) => id))))).toBe(
      'too-many-positives',
    );
  });

  it.each([
    [
      'a double cause',
      [
        { id: 'c', prior: 0.1 },
        { id: 'c', prior: 0.1 },
      ],
      [],
      'double-id',
    ],
    ['a prior above one', [{ id: 'c', prior: 1.1 }], [], 'not-a-chance'],
    [
      'a link to nothing',
      [{ id: 'c', prior: 0.1 }],
      [{ cause: 'c', finding: 'f', strength: 0.5 }],
      'unknown-id',
    ],
  ])('refuses a network with %s', (_, causes, links, expected) => {
    expect(code(() => buildNetwork(causes, [], links))).toBe(expected);
  });
});

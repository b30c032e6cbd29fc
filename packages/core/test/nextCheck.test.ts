import { describe, expect, it } from 'vitest';
import {
  asTheyAre,
  buildNetwork,
  drawStates,
  minutes,
  type Outcome,
  OutcomeWalk,
  PosteriorEngine,
  perMinute,
  posterior,
  RemedyOrder,
  rankChecks,
  type Stakes,
} from '../src/index.ts';
import { enumerate } from './enumerate.ts';
import { informationOf, outcomesOf, presentMasses } from './information.ts';
import { fiveFaults, randomCase, randomStory, seen } from './networks.ts';

const look = (...findings: readonly string[]) => ({ findings }) as const;

describe('five faults given s1, values computed independently by brute force', () => {
  const network = fiveFaults();
  const { states } = enumerate(network, seen('s1'));

  it.each([
    ['s2', 0.424499],
    ['s3', 0.219499],
    ['s4', 0.344606],
  ])('information of %s is %d bits', (finding, bits) => {
    expect(informationOf(states, outcomesOf(network, states, look(finding)))).toBeCloseTo(bits, 6);
  });

  it.each([
    ['s2', 11.790956],
    ['s3', 2.714153],
    ['s4', 5.801665],
  ])('sample information of %s is worth %d (fix 20, miss 100)', (finding, worth) => {
    // Per fault the cheaper of fixing it and risking it.
    const cost = (outcome: Outcome): number =>
      presentMasses(states, outcome).reduce(
        (sum, mass) => sum + Math.min(20, (100 * mass) / outcome.chance),
        0,
      );
    const after = outcomesOf(network, states, look(finding)).reduce(
      (sum, outcome) => sum + outcome.chance * cost(outcome),
      0,
    );
    expect(cost(asTheyAre(states)) - after).toBeCloseTo(worth, 5);
  });
});

describe('outcomes', () => {
  it.each([2, 5, 11, 23, 42])('are those of separate posteriors, seed %i', (seed) => {
    const { network, evidence } = randomCase(seed);
    const asked = new Set(evidence.readings.map(({ finding }) => finding));
    const open = network.findings
      .map(({ id }) => id)
      .filter((id) => !asked.has(id))
      .slice(0, 2);
    const { states } = enumerate(network, evidence);
    const now = evidence.treatments.length;
    const base = posterior(network, evidence).logEvidence;
    const outcomes = outcomesOf(network, states, look(...open));
    // Yes before no, finding by finding.
    outcomes.forEach((answered, outcome) => {
      const given = {
        ...evidence,
        readings: [
          ...evidence.readings,
          ...open.map((finding, index) => ({
            finding,
            epoch: now,
            present: (outcome & (1 << (open.length - 1 - index))) === 0,
          })),
        ],
      };
      const separate = posterior(network, given);
      expect(answered.chance).toBeCloseTo(Math.exp(separate.logEvidence - base), 9);
      presentMasses(states, answered).forEach((mass, cause) => {
        expect(mass / answered.chance).toBeCloseTo(separate.beliefs[cause]?.is ?? Number.NaN, 8);
      });
    });
    expect(outcomes).toHaveLength(1 << open.length);
  });

  it.each(Array.from({ length: 12 }, (_, index) => index + 1))(
    'of sewing once more are those of separate posteriors, seed %i',
    (seed) => {
      const { network, evidence } = randomStory(seed);
      const now = evidence.treatments.length;
      const { states } = enumerate(network, evidence);
      const base = posterior(network, evidence).logEvidence;
      const sight = {
        symptoms: states.reported.map((symptom) => ({ symptom, visibility: 0.7 })),
        leak: 0.01,
        factors: { c0: 0, c1: 0.5 },
      };
      const question = { findings: [], sights: [sight] };
      const [shows, silent] = outcomesOf(network, states, question);
      const given = (isSeen: boolean) =>
        posterior(network, {
          ...evidence,
          observations: [...(evidence.observations ?? []), { ...sight, epoch: now, seen: isSeen }],
        });
      expect(shows?.chance).toBeCloseTo(Math.exp(given(true).logEvidence - base), 9);
      expect(silent?.chance).toBeCloseTo(Math.exp(given(false).logEvidence - base), 9);
    },
  );

  it('of a symptom that nobody reported are those of its cause, still to be drawn', () => {
    const network = buildNetwork(
      [{ id: 'c', prior: 0.3 }],
      [{ id: 'y', leak: 0, unknownFault: 0.1 }],
      [{ cause: 'c', finding: 'y', strength: 0.5 }],
    );
    const { states } = enumerate(network, { readings: [], treatments: [] });
    const sight = { symptoms: [{ symptom: 'y', visibility: 0.8 }], leak: 0 };
    const [shows] = outcomesOf(network, states, { findings: [], sights: [sight] });
    expect(shows?.chance).toBeCloseTo(1 - (1 - 0.3 * 0.5 * 0.8) * (1 - 0.1 * 0.8), 12);
  });
});

/** Two causes of one symptom, and looks that tell. */
const network = buildNetwork(
  [
    { id: 'dull', prior: 0.4 },
    { id: 'late-hook', prior: 0.1 },
    { id: 'lint', prior: 0.3 },
  ],
  [
    { id: 'skip', leak: 0.02, unknownFault: 0.02 },
    { id: 'rough', leak: 0.001 },
    { id: 'late', leak: 0.001 },
    { id: 'fluff', leak: 0.05 },
  ],
  [
    { cause: 'dull', finding: 'skip', strength: 0.6 },
    { cause: 'late-hook', finding: 'skip', strength: 0.8 },
    { cause: 'dull', finding: 'rough', strength: 0.97 },
    { cause: 'late-hook', finding: 'late', strength: 0.97 },
    { cause: 'lint', finding: 'fluff', strength: 0.97 },
  ],
);
const { states } = enumerate(network, seen('skip'));
const stakes: Stakes = {
  remedies: [
    { id: 'needle', treats: [0], minutes: 1 },
    { id: 'timing', treats: [1], minutes: 25 },
    { id: 'cleaned', treats: [2], minutes: 3 },
    { id: 'search-on', treats: [3], minutes: 60 },
  ],
  proofMinutes: 2,
  comebackMinutes: 60,
  sharesProofs: true,
};
const candidate = (id: string, length: number, ...findings: readonly string[]) => ({
  id,
  question: look(...findings),
  minutes: minutes(length),
});

describe('ranking', () => {
  it('values a check by the expected minutes that it saves', () => {
    const order = new RemedyOrder(states, stakes);
    const [proposal] = rankChecks(network, order, [candidate('a', 1, 'late')]);
    const cost = ({ masses, chance }: Outcome) => order.left(masses, chance).minutes[0];
    // The definition, by hand: L(e) - sum over outcomes of P(o | e) L(e, o).
    const after = outcomesOf(network, states, look('late')).reduce(
      (sum, outcome) => sum + outcome.chance * cost(outcome),
      0,
    );
    const now = cost(asTheyAre(states)) - after;
    // What is known now is known too when the first remedy has not helped.
    const still = order.afterFirst();
    if (!still) throw new Error('it always helps');
    const walk = new OutcomeWalk(network, states);
    let then = cost(still);
    walk.each(
      look('late'),
      (outcome) => {
        then -= (outcome.chance / still.chance) * cost(outcome);
      },
      still,
    );
    expect(proposal?.gain).toBeCloseTo(Math.max(now, still.chance * then), 9);
    expect(proposal?.later).toBeCloseTo(still.chance * (then - 1), 9);
    expect(proposal?.gain).toBeGreaterThan(0.2);
  });

  it('puts first what saves most per minute', () => {
    const order = (...lengths: readonly [number, number]) =>
      rankChecks(
        network,
        // A needle that is not to be had at once: it is looked at first.
        new RemedyOrder(states, {
          ...stakes,
          remedies: stakes.remedies.map((one) => ({ ...one, minutes: 20 })),
        }),
        [candidate('a', lengths[0], 'rough'), candidate('b', lengths[1], 'late')],
      ).map(({ check }) => check);
    expect(order(0.2, 30)).toEqual(['a', 'b']);
    expect(order(30, 0.2)).toEqual(['b', 'a']);
  });

  it('finds no worth in a question about a fault that does not harm this complaint, or in none', () => {
    const [first, second] = rankChecks(network, new RemedyOrder(states, stakes), [
      candidate('fluff', 1, 'fluff'),
      candidate('nothing', 1),
    ]);
    expect(first?.gain).toBeCloseTo(0, 9);
    expect(second?.gain).toBeCloseTo(0, 9);
  });

  it('weighs sewing after a repair in the same coin: it tells whether to go on', () => {
    const repaired = {
      readings: seen('skip').readings,
      treatments: [{ startsEpoch: 1, causes: ['dull'] }],
    };
    const proof = {
      id: 'sewn',
      question: {
        findings: [],
        sights: [{ symptoms: [{ symptom: 'skip', visibility: 0.9 }], leak: 0.01 }],
      },
      minutes: minutes(2),
    } as const;
    const [proposal] = rankChecks(
      network,
      new RemedyOrder(enumerate(network, repaired).states, stakes),
      [proof],
    );
    expect(proposal?.gain).toBeGreaterThan(0.5);
  });

  it('tells the sampled worth within a tenth of the exact one', () => {
    const drawn = drawStates(new PosteriorEngine(network, seen('skip')), 20_000);
    const candidates = ['rough', 'late'].map((id) => candidate(id, 1, id));
    const exact = rankChecks(network, new RemedyOrder(states, stakes), candidates);
    for (const proposal of rankChecks(network, new RemedyOrder(drawn, stakes), candidates)) {
      const same = exact.find(({ check }) => check === proposal.check);
      expect(Math.abs(perMinute(proposal) - (same?.gain ?? 0))).toBeLessThan(
        0.1 * (same?.gain ?? 0) + 0.1,
      );
    }
  });
});

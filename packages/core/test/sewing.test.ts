import { describe, expect, it } from 'vitest';
import {
  CoreError,
  comebackRisk,
  type Evidence,
  type HowOften,
  observationsOfSewing,
  proofNeeded,
  reportedSymptoms,
  type Sewing,
  seeded,
  visibilityOf,
} from '../src/index.ts';
import { randomStory } from './networks.ts';

const SEEDS = Array.from({ length: 60 }, (_, index) => index + 1);
const seam = (): HowOften => 'seam';

/** A story whose last sewing is open: more can be sewn. */
function openStory(seed: number) {
  const { network, evidence } = randomStory(seed);
  const symptoms = network.findings.flatMap(({ id, unknownFault }) =>
    unknownFault === undefined ? [] : [id],
  );
  const epoch = evidence.treatments.length;
  const draw = seeded(seed + 900);
  return { network, evidence, symptoms, epoch, draw };
}

const sewn = (
  symptoms: readonly string[],
  epoch: number,
  minutes: number,
  shown: Sewing['shown'] = [],
): Sewing => ({ epoch, work: 'as found', amount: { minutes }, watched: symptoms, shown });

function withSewing(evidence: Evidence, sewings: readonly Sewing[]): Evidence {
  const more = observationsOfSewing(sewings, seam);
  return { ...evidence, observations: [...(evidence.observations ?? []), ...more] };
}

describe('how surely sewing shows an active trigger', () => {
  it.each([
    [{ minutes: 2 }, 'seam', 1 - Math.exp(-1)],
    [{ minutes: 2 }, 'hours', 1 - Math.exp(-2 / 120)],
    [{ minutes: 15 }, 'now-and-then', 1 - Math.exp(-1)],
    [{ minutes: 15 }, 'seam', 0.97],
    [{ minutes: 0.2 }, 'always', 1 - Math.exp(-1)],
    [{ minutes: 0 }, 'always', 0],
    [{ tries: 1 }, 'always', 0.97],
    [{ tries: 2 }, 'seam', 1 - Math.exp(-1)],
    [{ tries: 8 }, 'now-and-then', 1 - Math.exp(-1)],
    [{ tries: 4 }, 'hours', 1 - Math.exp(-0.1)],
  ] as const)('%o, %s: %d', (amount, often, visibility) => {
    expect(visibilityOf(amount, often)).toBeCloseTo(visibility, 12);
  });

  it.each([-1, Number.NaN, Number.POSITIVE_INFINITY])('refuses %d minutes', (minutes) => {
    expect(() => visibilityOf({ minutes }, 'seam')).toThrow(CoreError);
  });
});

describe('properties of what persists', () => {
  it.each(SEEDS)('silent minutes added in any split are one, seed %i', (seed) => {
    const { network, evidence, symptoms, epoch, draw } = openStory(seed);
    const parts = Array.from({ length: 1 + Math.floor(draw() * 9) }, () => 3 * draw());
    const whole = parts.reduce((sum, part) => sum + part, 0);
    const once = comebackRisk(network, withSewing(evidence, [sewn(symptoms, epoch, whole)]));
    const often = comebackRisk(
      network,
      withSewing(
        evidence,
        parts.map((part) => sewn(symptoms, epoch, part)),
      ),
    );
    expect(often).toBeCloseTo(once, 12);
  });

  it.each(SEEDS)('more silence never raises the risk, seed %i', (seed) => {
    const { network, evidence, symptoms, epoch } = openStory(seed);
    let before = comebackRisk(network, evidence);
    for (const minutes of [0.5, 1, 3, 8, 20]) {
      const after = comebackRisk(network, withSewing(evidence, [sewn(symptoms, epoch, minutes)]));
      expect(after).toBeLessThanOrEqual(before + 1e-12);
      before = after;
    }
  });

  it.each(SEEDS)('a sighting never lowers it, seed %i', (seed) => {
    const { network, evidence, symptoms, epoch, draw } = openStory(seed);
    const before = comebackRisk(network, evidence);
    const [reported = ''] = reportedSymptoms(network, evidence);
    const shown = draw() < 0.5 ? [reported] : 'some';
    const watched = shown === 'some' ? symptoms : [reported];
    const after = comebackRisk(
      network,
      withSewing(evidence, [sewn(watched, epoch, 4 * draw(), shown)]),
    );
    expect(after).toBeGreaterThanOrEqual(before - 1e-12);
  });

  it.each(SEEDS)('treating everything without sewing proves nothing, seed %i', (seed) => {
    const { network, evidence, epoch } = openStory(seed);
    const named = network.causes.filter(({ unnamedFor }) => unnamedFor === undefined);
    const treated = {
      ...evidence,
      treatments: [
        ...evidence.treatments,
        { startsEpoch: epoch + 1, causes: named.map(({ id }) => id) },
      ],
    };
    // What has no name is still there, and what was treated may have stayed.
    expect(comebackRisk(network, treated)).toBeGreaterThan(0);
  });
});

describe('sewing', () => {
  it('keeps apart what is sewn in another epoch or on other work, and what it showed', () => {
    const sewings = [
      sewn(['skip', 'loops'], 0, 1),
      { ...sewn(['skip'], 0, 1), work: 'known thread', factors: { thread: 0 } },
      sewn(['skip', 'loops'], 1, 2, ['skip']),
      sewn(['skip', 'loops'], 1, 2, 'some'),
    ];
    const told = observationsOfSewing(sewings, seam).map(({ symptoms, seen, epoch, factors }) => [
      symptoms.map(({ symptom }) => symptom).join('+'),
      seen,
      epoch,
      factors,
    ]);
    expect(told).toEqual([
      ['skip', true, 1, undefined],
      ['skip+loops', true, 1, undefined],
      ['skip', false, 0, undefined],
      ['loops', false, 0, undefined],
      ['skip', false, 0, { thread: 0 }],
      ['loops', false, 1, undefined],
    ]);
  });

  it('adds no symptom to the reported ones by "one of several"', () => {
    const { network, evidence, symptoms } = openStory(3);
    const some = withSewing({ ...evidence, readings: [], observations: [] }, [
      sewn(symptoms, 0, 1, 'some'),
    ]);
    expect(reportedSymptoms(network, some)).toEqual(symptoms.length === 1 ? symptoms : []);
  });
});

describe('how long the proof must be', () => {
  it.each(SEEDS)('is the least time that brings the risk to the limit, seed %i', (seed) => {
    const { network, evidence, symptoms, epoch } = openStory(seed);
    const { observations: _, ...rest } = evidence;
    const after = (length: number): Evidence => withSewing(rest, [sewn(symptoms, epoch, length)]);
    const at = (length: number): number => comebackRisk(network, after(length));
    const { minutes, risk } = proofNeeded(network, after, 0.05);
    expect(risk).toBeCloseTo(at(minutes ?? 15), 12);
    if (minutes === undefined) expect(at(15)).toBeGreaterThan(0.05);
    else {
      expect(at(minutes)).toBeLessThanOrEqual(0.05);
      if (minutes > 0) expect(at(minutes - 0.5)).toBeGreaterThan(0.05);
    }
  });
});

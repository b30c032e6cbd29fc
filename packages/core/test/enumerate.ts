import { expect } from 'vitest';
import {
  type Evidence,
  type Network,
  posterior,
  type States,
  statesOf,
  TREATMENT_SUCCESS,
  type Trial,
} from '../src/index.ts';

/** One full assignment: per cause, from which epoch on it is absent (0: never there). */
type World = readonly number[];

/**
 * The plain way, for testing the fast one: every combination of the causes' stories, each
 * weighed by its prior and by every reading. Exponential in the causes.
 */
export function enumerate(
  network: Network,
  evidence: Evidence,
): {
  readonly was: number[];
  readonly is: number[];
  readonly evidence: number;
  /** What may be wrong now, exactly. */
  readonly states: States;
  mean(of: (present: readonly boolean[]) => number): number;
} {
  const was = network.causes.map(() => 0);
  const is = network.causes.map(() => 0);
  let total = 0;
  const weighed: { weight: number; present: boolean[] }[] = [];

  const storiesOf = (cause: number): { goneFrom: number; chance: number }[] => {
    const { id, prior } = network.causes[cause] ?? { id: '', prior: 0 };
    const stories = [{ goneFrom: 0, chance: 1 - prior }];
    let left = prior;
    const epochs = evidence.treatments
      .filter(({ causes }) => causes.includes(id))
      .map(({ startsEpoch }) => startsEpoch)
      .sort((a, b) => a - b);
    for (const epoch of epochs) {
      stories.push({ goneFrom: epoch, chance: left * TREATMENT_SUCCESS });
      left *= 1 - TREATMENT_SUCCESS;
    }
    stories.push({ goneFrom: Number.POSITIVE_INFINITY, chance: left });
    return stories;
  };

  const visit = (world: World, chance: number): void => {
    if (world.length < network.causes.length) {
      for (const { goneFrom, chance: own } of storiesOf(world.length)) {
        visit([...world, goneFrom], chance * own);
      }
      return;
    }
    const weight = chance * likelihood(network, evidence, world);
    total += weight;
    const present = world.map((goneFrom) => goneFrom === Number.POSITIVE_INFINITY);
    world.forEach((goneFrom, cause) => {
      if (goneFrom > 0) was[cause] = (was[cause] ?? 0) + weight;
      if (present[cause]) is[cause] = (is[cause] ?? 0) + weight;
    });
    weighed.push({ weight, present });
  };
  visit([], 1);
  return {
    was: was.map((mass) => mass / total),
    is: is.map((mass) => mass / total),
    evidence: total,
    states: statesOf(
      weighed.map(({ present }) => present.flatMap((there, cause) => (there ? [cause] : []))),
      weighed.map(({ weight }) => weight / total),
    ),
    mean: (of) =>
      weighed.reduce((sum, { weight, present }) => sum + weight * of(present), 0) / total,
  };
}

function likelihood(network: Network, evidence: Evidence, world: World): number {
  const trials = (evidence.trials ?? []).reduce((product, trial) => {
    const gone = chanceOfCure(network, trial, world);
    return product * (trial.gone ? gone : 1 - gone);
  }, 1);
  return trials * ofReadings(network, evidence, world);
}

/** The definition, word for word. */
function chanceOfCure(network: Network, trial: Trial, world: World): number {
  const present = network.causes.flatMap(({ id }, cause) =>
    (world[cause] ?? 0) > trial.epoch ? [{ id, cause }] : [],
  );
  const toBlame = present.some(({ id }) => trial.treats.includes(id)) ? 1 : trial.leak;
  return trial.complaints.reduce((product, complaint) => {
    const index = network.findingIndex.get(complaint) ?? -1;
    let quiet = 1 - (network.findings[index]?.leak ?? 0);
    for (const { id, cause } of present) {
      if (trial.treats.includes(id)) continue;
      quiet *= 1 - (network.shows[cause]?.find(({ finding }) => finding === index)?.strength ?? 0);
    }
    return product * quiet;
  }, toBlame);
}

function ofReadings(network: Network, evidence: Evidence, world: World): number {
  return evidence.readings.reduce((product, { finding, epoch, present }) => {
    const index = network.findingIndex.get(finding) ?? -1;
    let absent = 1 - (network.findings[index]?.leak ?? 0);
    world.forEach((goneFrom, cause) => {
      if (goneFrom <= epoch) return;
      const link = network.shows[cause]?.find((shows) => shows.finding === index);
      absent *= 1 - (link?.strength ?? 0);
    });
    return product * (present ? 1 - absent : absent);
  }, 1);
}

/** Holds the fast way to the plain one, to 1e-9. */
export function expectAsEnumerated(network: Network, evidence: Evidence): void {
  const plain = enumerate(network, evidence);
  const fast = posterior(network, evidence);
  fast.beliefs.forEach((belief, cause) => {
    expect(belief.was).toBeCloseTo(plain.was[cause] ?? Number.NaN, 9);
    expect(belief.is).toBeCloseTo(plain.is[cause] ?? Number.NaN, 9);
  });
  expect(fast.logEvidence).toBeCloseTo(Math.log(plain.evidence), 9);
}

import { type Evidence, type Network, TREATMENT_SUCCESS } from '../src/index.ts';

/** A small seeded generator (mulberry32), so that a failing case can be had again. */
export function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

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
    mean: (of) =>
      weighed.reduce((sum, { weight, present }) => sum + weight * of(present), 0) / total,
  };
}

function likelihood(network: Network, evidence: Evidence, world: World): number {
  return evidence.readings.reduce((product, { finding, epoch, present }) => {
    const place = network.findingIndex.get(finding) ?? -1;
    let absent = 1 - (network.findings[place]?.leak ?? 0);
    world.forEach((goneFrom, cause) => {
      if (goneFrom <= epoch) return;
      const link = network.shows[cause]?.find((shows) => shows.finding === place);
      absent *= 1 - (link?.strength ?? 0);
    });
    return product * (present ? 1 - absent : absent);
  }, 1);
}

import { expect } from 'vitest';
import {
  comebackRisk,
  type Evidence,
  type Network,
  type Observation,
  posterior,
  type States,
  statesOf,
  TREATMENT_SUCCESS,
} from '../src/index.ts';

/** One full assignment: from which epoch on each cause is absent (0: never there), and its triggers. */
interface World {
  readonly goneFrom: readonly number[];
  /** Active triggers, as `cause symptom` by index. */
  readonly active: ReadonlySet<string>;
}

export interface Enumerated {
  readonly was: number[];
  readonly is: number[];
  readonly blame: number[];
  readonly risk: number;
  readonly evidence: number;
  /** What may be wrong now, and what of it is to blame, exactly. */
  readonly states: States;
  mean(of: (present: readonly boolean[]) => number): number;
}

/**
 * The plain way, for testing the fast one: every combination of the causes' stories and of their
 * hidden triggers, each weighed by its prior and by everything that was seen. Exponential in both.
 */
export function enumerate(network: Network, evidence: Evidence): Enumerated {
  const count = network.causes.length;
  const was = new Array<number>(count).fill(0);
  const is = new Array<number>(count).fill(0);
  const blame = new Array<number>(count).fill(0);
  let total = 0;
  let comesBack = 0;
  const reported = reportedOf(network, evidence);
  const hidden = new Set(
    [...reported, ...observationsOf(network, evidence).flatMap(({ symptoms }) => symptoms)].map(
      (item) => (typeof item === 'string' ? item : item.symptom),
    ),
  );
  const weighed: { weight: number; present: boolean[]; active: string[][] }[] = [];

  const leaf = (world: World, chance: number): void => {
    const weight = chance * likelihood(network, evidence, world);
    if (weight === 0) return;
    total += weight;
    const present = world.goneFrom.map((from) => from === Number.POSITIVE_INFINITY);
    const active = present.map((there, cause) =>
      there ? reported.filter((id) => isActive(network, world, cause, id)) : [],
    );
    world.goneFrom.forEach((from, cause) => {
      const toBlame = reported.length > 0 ? active[cause]?.length : present[cause];
      if (from > 0) was[cause] = (was[cause] ?? 0) + weight;
      if (present[cause]) is[cause] = (is[cause] ?? 0) + weight;
      if (toBlame) blame[cause] = (blame[cause] ?? 0) + weight;
    });
    if (active.some((own) => own.length > 0)) comesBack += weight;
    weighed.push({ weight, present, active });
  };

  const triggers = (world: World, chance: number, cause: number, link: number): void => {
    if (cause === count) {
      leaf(world, chance);
      return;
    }
    const shows = network.shows[cause]?.[link];
    if (!shows) {
      triggers(world, chance, cause + 1, 0);
      return;
    }
    const id = network.findings[shows.finding]?.id ?? '';
    if ((world.goneFrom[cause] ?? 0) === 0 || !hidden.has(id)) {
      triggers(world, chance, cause, link + 1);
      return;
    }
    const active = new Set([...world.active, `${cause} ${shows.finding}`]);
    triggers({ ...world, active }, chance * shows.strength, cause, link + 1);
    if (shows.strength < 1) triggers(world, chance * (1 - shows.strength), cause, link + 1);
  };

  const stories = (goneFrom: readonly number[], chance: number): void => {
    if (chance === 0) return;
    if (goneFrom.length === count) {
      triggers({ goneFrom, active: new Set() }, chance, 0, 0);
      return;
    }
    for (const story of storiesOf(network, evidence, goneFrom.length)) {
      stories([...goneFrom, story.goneFrom], chance * story.chance);
    }
  };
  stories([], 1);

  const share = (mass: number): number => mass / total;
  return {
    was: was.map(share),
    is: is.map(share),
    blame: blame.map(share),
    risk: comesBack / total,
    evidence: total,
    states: statesOf(
      weighed.map(({ weight, present, active }) => ({
        chance: weight / total,
        present: present.flatMap((there, cause) => (there ? [cause] : [])),
        active: active.flatMap((own, cause) =>
          own.map((id) => ({ cause, reported: reported.indexOf(id) })),
        ),
      })),
      { reported },
    ),
    mean: (of) =>
      weighed.reduce((sum, { weight, present }) => sum + weight * of(present), 0) / total,
  };
}

function storiesOf(network: Network, { treatments }: Evidence, cause: number) {
  const { id, prior } = network.causes[cause] ?? { id: '', prior: 0 };
  const stories = [{ goneFrom: 0, chance: 1 - prior }];
  let left = prior;
  const epochs = treatments
    .filter(({ causes }) => causes.includes(id))
    .map(({ startsEpoch }) => startsEpoch)
    .sort((a, b) => a - b);
  for (const epoch of epochs) {
    stories.push({ goneFrom: epoch, chance: left * TREATMENT_SUCCESS });
    left *= 1 - TREATMENT_SUCCESS;
  }
  stories.push({ goneFrom: Number.POSITIVE_INFINITY, chance: left });
  return stories;
}

function isSymptomId(network: Network, id: string): boolean {
  return network.findings.some(
    (finding) => finding.id === id && finding.unknownFault !== undefined,
  );
}

function reportedOf(network: Network, { readings, observations = [] }: Evidence): string[] {
  const told = readings
    .filter(({ finding, present }) => present && isSymptomId(network, finding))
    .map(({ finding }) => finding);
  const shown = observations
    .filter(({ seen, symptoms }) => seen && symptoms.length === 1)
    .flatMap(({ symptoms }) => symptoms.map(({ symptom }) => symptom));
  return [...new Set([...told, ...shown])];
}

/** Everything that was looked for of symptoms; reports as the model defines them. */
function observationsOf(network: Network, { readings, observations = [] }: Evidence) {
  const reports = readings
    .filter(({ finding }) => isSymptomId(network, finding))
    .map(({ finding, epoch, present }): Observation => {
      const visibility = present ? (epoch === 0 ? 1 : 0.97) : 0.8;
      const leak = network.findings.find(({ id }) => id === finding)?.leak ?? 0;
      return { symptoms: [{ symptom: finding, visibility }], epoch, seen: present, leak };
    });
  return [...reports, ...observations];
}

function isActive(network: Network, world: World, cause: number, symptom: string): boolean {
  return world.active.has(`${cause} ${network.findingIndex.get(symptom)}`);
}

/** The definitions, word for word. */
function likelihood(network: Network, evidence: Evidence, world: World): number {
  const observed = observationsOf(network, evidence).reduce((product, observation) => {
    const { symptoms, epoch, seen, leak, factors = {} } = observation;
    let notSeen = 1 - leak;
    for (const { symptom, visibility } of symptoms) {
      network.causes.forEach(({ id }, cause) => {
        if ((world.goneFrom[cause] ?? 0) <= epoch) return;
        if (!isActive(network, world, cause, symptom)) return;
        notSeen *= 1 - visibility * (factors[id] ?? 1);
      });
    }
    return product * (seen ? 1 - notSeen : notSeen);
  }, 1);
  return evidence.readings.reduce((product, { finding, epoch, present }) => {
    if (isSymptomId(network, finding)) return product;
    const index = network.findingIndex.get(finding) ?? -1;
    let absent = 1 - (network.findings[index]?.leak ?? 0);
    world.goneFrom.forEach((goneFrom, cause) => {
      if (goneFrom <= epoch) return;
      const link = network.shows[cause]?.find((shows) => shows.finding === index);
      absent *= 1 - (link?.strength ?? 0);
    });
    return product * (present ? 1 - absent : absent);
  }, observed);
}

/** Holds the fast way to the plain one, to 1e-9. */
export function expectAsEnumerated(network: Network, evidence: Evidence): void {
  const plain = enumerate(network, evidence);
  const fast = posterior(network, evidence);
  fast.beliefs.forEach((belief, cause) => {
    expect(belief.was).toBeCloseTo(plain.was[cause] ?? Number.NaN, 9);
    expect(belief.is).toBeCloseTo(plain.is[cause] ?? Number.NaN, 9);
    expect(belief.blame).toBeCloseTo(plain.blame[cause] ?? Number.NaN, 9);
  });
  expect(comebackRisk(network, evidence)).toBeCloseTo(plain.risk, 9);
  expect(fast.logEvidence).toBeCloseTo(Math.log(plain.evidence), 9);
}

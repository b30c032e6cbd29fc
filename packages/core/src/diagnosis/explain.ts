import type { Evidence, Observation, Reading } from './evidence.ts';
import { type Network, unknownFaultOf } from './network.ts';
import { posterior } from './posterior.ts';
import { observationOfReport } from './symptoms.ts';

/** Bands in which a chance is shown; the texts are the interface's. */
export type ChanceBand = 'nearly-sure' | 'likely' | 'even' | 'possible' | 'unlikely' | 'hardly';

const BANDS: readonly (readonly [number, ChanceBand])[] = [
  [0.95, 'nearly-sure'],
  [0.65, 'likely'],
  [0.35, 'even'],
  [0.1, 'possible'],
  [0.02, 'unlikely'],
];

export function chanceBand(chance: number): ChanceBand {
  return BANDS.find(([least]) => chance >= least)?.[1] ?? 'hardly';
}

/** How much one reading speaks for (positive) or against (negative) a cause. */
export interface FindingWeight {
  readonly finding: string;
  readonly epoch: number;
  readonly present: boolean;
  /** logit P(c | e) - logit P(c | e without it), natural logarithm. Weights do not add up. */
  readonly weight: number;
}

/** Bands in which a weight is shown; below "slight" it is not shown. */
export type WeightBand = 'strong' | 'clear' | 'slight';

/** Odds of 20, 5 and 2 to 1, as natural logarithms. */
const WEIGHT_BANDS: readonly (readonly [number, WeightBand])[] = [
  [3, 'strong'],
  [1.6, 'clear'],
  [0.7, 'slight'],
];

/** The size of a weight in either direction; undefined when it is not worth telling. */
export function weightBand(weight: number): WeightBand | undefined {
  return WEIGHT_BANDS.find(([least]) => Math.abs(weight) >= least)?.[1];
}

function logit(chance: number): number {
  const inside = Math.min(1 - 1e-12, Math.max(1e-12, chance));
  return Math.log(inside / (1 - inside));
}

/** Each answer, and the evidence without it. */
function leftOutInTurn(
  evidence: Evidence,
): readonly { readonly answer: Reading; readonly without: Evidence }[] {
  const { readings, observations = [] } = evidence;
  const others = <Item>(items: readonly Item[], item: Item): readonly Item[] =>
    items.filter((other) => other !== item);
  return [
    ...readings.map((reading) => ({
      answer: reading,
      without: { ...evidence, readings: others(readings, reading) },
    })),
    ...observations.flatMap((observation) => {
      const { finding, epoch, seen } = observation;
      return finding === undefined
        ? []
        : [
            {
              answer: { finding, epoch, present: seen },
              without: { ...evidence, observations: others(observations, observation) },
            },
          ];
    }),
  ];
}

/**
 * For each named cause, its readings by weight, strongest first in either direction.
 * The chance weighed is that of having been present at the start ("was").
 */
export function weighFindings(
  network: Network,
  evidence: Evidence,
  causes: readonly string[],
): ReadonlyMap<string, readonly FindingWeight[]> {
  const indexes = causes.map((id) => network.causeIndex.get(id) ?? -1);
  const chances = (given: Evidence): number[] => {
    const { beliefs } = posterior(network, given);
    return indexes.map((index) => beliefs[index]?.was ?? 0);
  };
  const withAll = chances(evidence);
  const weights = new Map<string, FindingWeight[]>(causes.map((id) => [id, []]));
  for (const { answer, without } of leftOutInTurn(evidence)) {
    const left = chances(without);
    causes.forEach((id, index) => {
      const weight = logit(withAll[index] ?? 0) - logit(left[index] ?? 0);
      weights.get(id)?.push({ ...answer, weight });
    });
  }
  for (const list of weights.values()) list.sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight));
  return weights;
}

/** A positive reading, and how likely it is that nothing present produced it. */
export interface Unexplained extends Reading {
  /** P(no present cause produced it | everything known). */
  readonly chance: number;
}

/** From this chance on a finding is called not explained. */
const NOT_EXPLAINED = 0.5;

/**
 * The positive readings that nothing named in the tables explains, the worst explained first. A fault
 * that no table names never explains anything.
 */
export function unexplainedReadings(network: Network, evidence: Evidence): readonly Unexplained[] {
  const { logEvidence } = posterior(network, evidence);
  return evidence.readings
    .flatMap((reading): Unexplained[] => {
      const index = network.findingIndex.get(reading.finding);
      if (!reading.present || index === undefined) return [];
      const without = evidence.readings.filter((other) => other !== reading);
      const report = observationOfReport(network, reading, evidence.often?.[reading.finding]);
      const chance = report
        ? chanceOf({ ...evidence, readings: without, observations: unexplained(report) })
        : notProduced(reading, network.findings[index]?.leak ?? 0);
      return [{ ...reading, chance }];
    })
    .filter(({ chance }) => chance > NOT_EXPLAINED)
    .sort((a, b) => b.chance - a.chance);

  function chanceOf(other: Evidence): number {
    return Math.exp(posterior(network, other).logEvidence - logEvidence);
  }

  /** "No present cause produced it" and "it did not show" differ only in the leak. */
  function notProduced(reading: Reading, leak: number): number {
    if (leak === 0) return 0;
    const readings = evidence.readings.map((other) =>
      other === reading ? { ...other, present: false } : other,
    );
    return (leak / (1 - leak)) * chanceOf({ ...evidence, readings });
  }

  /** Nothing named showed it, and what has no name or will not return did. */
  function unexplained(report: Observation): readonly Observation[] {
    const unknown = new Set(report.symptoms.map(({ symptom }) => unknownFaultOf(symptom)));
    const none = (left: (cause: string) => boolean) =>
      Object.fromEntries(
        network.causes.filter(({ id }) => left(id)).map(({ id }) => [id, 0] as const),
      );
    return [
      ...(evidence.observations ?? []),
      { ...report, seen: false, leak: 0, factors: none((id) => unknown.has(id)) },
      { ...report, seen: true, factors: none((id) => !unknown.has(id)) },
    ];
  }
}

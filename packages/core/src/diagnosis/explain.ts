import type { Evidence, Reading } from './evidence.ts';
import type { Network } from './network.ts';
import { posterior } from './posterior.ts';

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
  const { readings, trials = [] } = evidence;
  const others = <Item>(items: readonly Item[], item: Item): readonly Item[] =>
    items.filter((other) => other !== item);
  return [
    ...readings.map((reading) => ({
      answer: reading,
      without: { ...evidence, readings: others(readings, reading) },
    })),
    ...trials.map((trial) => ({
      answer: { finding: trial.finding, epoch: trial.epoch, present: trial.gone },
      without: { ...evidence, trials: others(trials, trial) },
    })),
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
 * The positive readings that nothing in the tables explains, the worst explained first.
 * "No present cause produced it" and "it did not show" differ only in the leak, so the chance
 * is leak / (1 - leak) x P(readings with this one denied) / P(readings).
 */
export function unexplainedReadings(network: Network, evidence: Evidence): readonly Unexplained[] {
  const { logEvidence } = posterior(network, evidence);
  return evidence.readings
    .flatMap((reading): Unexplained[] => {
      const index = network.findingIndex.get(reading.finding);
      const leak = index === undefined ? 0 : (network.findings[index]?.leak ?? 0);
      if (!reading.present || leak === 0) return [];
      const denied = posterior(network, {
        ...evidence,
        readings: evidence.readings.map((other) =>
          other === reading ? { ...other, present: false } : other,
        ),
      });
      const chance = (leak / (1 - leak)) * Math.exp(denied.logEvidence - logEvidence);
      return [{ ...reading, chance }];
    })
    .filter(({ chance }) => chance > NOT_EXPLAINED)
    .sort((a, b) => b.chance - a.chance);
}

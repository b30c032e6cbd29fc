import type { Evidence } from './evidence.ts';
import type { Network } from './network.ts';
import { posterior } from './posterior.ts';

/** In how many words a chance is told; the words are the interface's. */
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

function logit(chance: number): number {
  const inside = Math.min(1 - 1e-12, Math.max(1e-12, chance));
  return Math.log(inside / (1 - inside));
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
  const places = causes.map((id) => network.causeIndex.get(id) ?? -1);
  const chances = (given: Evidence): number[] => {
    const { beliefs } = posterior(network, given);
    return places.map((place) => beliefs[place]?.was ?? 0);
  };
  const withAll = chances(evidence);
  const weights = new Map<string, FindingWeight[]>(causes.map((id) => [id, []]));
  evidence.readings.forEach((reading, left) => {
    const without = chances({
      ...evidence,
      readings: evidence.readings.filter((_, place) => place !== left),
    });
    causes.forEach((id, place) => {
      const weight = logit(withAll[place] ?? 0) - logit(without[place] ?? 0);
      weights.get(id)?.push({ ...reading, weight });
    });
  });
  for (const list of weights.values()) list.sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight));
  return weights;
}

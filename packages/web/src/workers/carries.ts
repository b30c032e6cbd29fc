import { type FindingWeight, type Unexplained, weightBand } from '@nodo/core';

/**
 * Whether a likely cause rests on a finding: then it is explained, however small the chance of that cause.
 * @param reasons of the likely causes, what speaks for and against each
 */
export function carries(
  reasons: ReadonlyMap<string, readonly FindingWeight[]>,
  { finding, epoch }: Pick<Unexplained, 'finding' | 'epoch'>,
): boolean {
  return [...reasons.values()].some((weights) =>
    weights.some(
      (one) =>
        one.finding === finding &&
        one.epoch === epoch &&
        one.weight > 0 &&
        weightBand(one.weight) !== undefined,
    ),
  );
}

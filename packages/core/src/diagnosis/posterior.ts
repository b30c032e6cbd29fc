import { CoreError } from '../errors/coreError.ts';
import type { Evidence } from './evidence.ts';
import type { Network } from './network.ts';
import { PosteriorEngine } from './posteriorEngine.ts';
import { quietChances } from './trial.ts';

export interface CauseBelief {
  readonly cause: string;
  /** Chance that it was present when the machine came in, given all that is known. */
  readonly was: number;
  /** Chance that it is present now, after everything that was done. */
  readonly is: number;
}

export interface Posterior {
  /** One per cause of the network, in its order. */
  readonly beliefs: readonly CauseBelief[];
  /** Natural logarithm of the probability of the readings. */
  readonly logEvidence: number;
}

/**
 * Exact posterior over all causes; the method is described at {@link PosteriorEngine}.
 * @throws CoreFault `too-many-positives`, `unknown-id`, or `impossible-evidence` when the
 *   readings have probability 0 in the network.
 */
export function posterior(network: Network, evidence: Evidence): Posterior {
  const engine = new PosteriorEngine(network, evidence);
  const { total, was, is } = engine.run();
  assertPossible(total, engine);
  return {
    beliefs: network.causes.map(({ id }, index) => ({
      cause: id,
      was: (was[index] ?? 0) / total,
      is: (is[index] ?? 0) / total,
    })),
    logEvidence: Math.log(total) + engine.logScale,
  };
}

/** Refuses evidence that cannot happen. */
function assertPossible(total: number, { logScale }: PosteriorEngine): void {
  if (!(total > 0 && Number.isFinite(logScale))) throw new CoreError('impossible-evidence');
}

/**
 * Chance that the reported complaints come back in one sewing session of the same work:
 * 1 - E over what is present now of the product over complaints f and present causes c of
 * (1 - strength(c, f)). Leaks are left out, they are not the machine's.
 * @param complaints ids of the findings that the customer reported.
 */
export function comebackRisk(
  network: Network,
  evidence: Evidence,
  complaints: readonly string[],
): number {
  const quiet = quietOf(network, complaints);
  const engine = new PosteriorEngine(network, evidence);
  const base = engine.totalWhenPresentNow([]);
  assertPossible(base, engine);
  const silent = engine.totalWhenPresentNow(quiet);
  return Math.min(1, Math.max(0, 1 - silent / base));
}

/** Per cause: the chance that, present, it shows none of the reported complaints. */
export function quietOf(network: Network, complaints: readonly string[]): readonly number[] {
  const indexes = complaints.flatMap((id) => network.findingIndex.get(id) ?? []);
  return quietChances(network, new Set(indexes));
}

import { CoreError } from '../errors/coreError.ts';
import type { Evidence } from './evidence.ts';
import type { Network } from './network.ts';
import { PosteriorEngine } from './posteriorEngine.ts';

export interface CauseBelief {
  readonly cause: string;
  /** Chance that it was present when the machine came in, given all that is known. */
  readonly was: number;
  /** Chance that it is present now, after everything that was done. */
  readonly is: number;
  /**
   * Chance that it is to blame now: present, with an active trigger for a reported symptom. Equal to
   * `is` while nothing is reported.
   */
  readonly blame: number;
}

export interface Posterior {
  /** One per cause of the network, in its order. */
  readonly beliefs: readonly CauseBelief[];
  /** Natural logarithm of the probability of the evidence. */
  readonly logEvidence: number;
}

/**
 * Exact posterior over all causes; the method is described at {@link PosteriorEngine}.
 * @throws CoreError `too-many-positives`, `unknown-id`, or `impossible-evidence` when the
 *   evidence has probability 0 in the network.
 */
export function posterior(network: Network, evidence: Evidence): Posterior {
  const engine = new PosteriorEngine(network, evidence);
  const { total, was, is, blame } = engine.run();
  assertPossible(total, engine);
  return {
    beliefs: network.causes.map(({ id }, index) => ({
      cause: id,
      was: (was[index] ?? 0) / total,
      is: (is[index] ?? 0) / total,
      blame: (blame[index] ?? 0) / total,
    })),
    logEvidence: Math.log(total) + engine.logScale,
  };
}

/** Refuses evidence that cannot happen. */
function assertPossible(total: number, { logScale }: PosteriorEngine): void {
  if (!(total > 0 && Number.isFinite(logScale))) throw new CoreError('impossible-evidence');
}

/**
 * Chance that something present now, a fault that no table names among it, has an active trigger for a
 * reported symptom: given back like this, the machine comes back. 0 while nothing is reported.
 */
export function comebackRisk(network: Network, evidence: Evidence): number {
  const engine = new PosteriorEngine(network, evidence);
  const total = engine.total();
  assertPossible(total, engine);
  return Math.min(1, Math.max(0, 1 - engine.silentTotal() / total));
}

import { CoreError } from '../errors/coreError.ts';
import type { Network } from './network.ts';

/**
 * Sewn again after changing one thing, and compared with what the customer reported.
 * Not a noisy-OR finding: "the fault is gone" asks that what was changed was to blame *and*
 * that nothing else shows the complaints.
 */
export interface Trial {
  /** Id of the answer "the fault is gone". */
  readonly finding: string;
  /** The state of the machine before the change. */
  readonly epoch: number;
  readonly gone: boolean;
  /** Causes that the change takes away. */
  readonly treats: readonly string[];
  /** Ids of the reported complaints that sewing like this shows. */
  readonly complaints: readonly string[];
  /** Chance of "gone" though nothing that was changed was to blame; 0 to 1. */
  readonly leak: number;
}

/** What a trial can be asked with; without the answer and the place in time. */
export type TrialQuestion = Omit<Trial, 'epoch' | 'gone'>;

/**
 * The trial written as plain factors:
 * P(gone | causes) = quiet x product over present untreated causes of `quietOf`
 * x (1 if a treated cause is present, else the leak).
 */
export interface TrialFactors {
  /** Chance that no complaint shows by its own leak. */
  readonly quiet: number;
  readonly leak: number;
  /** Per cause: chance that it shows none of the complaints. 1 for what the change takes away. */
  readonly quietOf: readonly number[];
  /** Per cause: the change takes it away. */
  readonly treated: readonly boolean[];
}

/** @throws CoreFault `unknown-id` for a cause or complaint that the network does not have. */
export function trialFactors(network: Network, trial: TrialQuestion): TrialFactors {
  const treated = network.causes.map(() => false);
  for (const id of trial.treats) treated[indexOfId(network.causeIndex, id)] = true;
  const tested = new Set(trial.complaints.map((id) => indexOfId(network.findingIndex, id)));
  let quiet = 1;
  for (const index of tested) quiet *= 1 - (network.findings[index]?.leak ?? 0);
  return {
    quiet,
    leak: trial.leak,
    treated,
    quietOf: quietChances(network, tested).map((chance, cause) => (treated[cause] ? 1 : chance)),
  };
}

/** Per cause: the chance that, present, it shows none of these findings. */
export function quietChances(network: Network, findings: ReadonlySet<number>): readonly number[] {
  return network.shows.map((shows) =>
    shows.reduce(
      (left, { finding, strength }) => (findings.has(finding) ? left * (1 - strength) : left),
      1,
    ),
  );
}

function indexOfId(index: ReadonlyMap<string, number>, id: string): number {
  const found = index.get(id);
  if (found === undefined) throw new CoreError('unknown-id', { id });
  return found;
}

import { CoreError } from '../errors/coreError.ts';
import type { Network } from './network.ts';
import { type Trial, type TrialFactors, trialFactors } from './trial.ts';

/**
 * Chance that a cause which an action treats is gone afterwards.
 * Standing: typical value from memory, no source.
 */
export const TREATMENT_SUCCESS = 0.95;

/** One finding, asked and answered, in the epoch in which it was seen. */
export interface Reading {
  readonly finding: string;
  readonly epoch: number;
  readonly present: boolean;
}

/** An action that treats causes; it ends the epoch before `startsEpoch`. */
export interface Treatment {
  readonly startsEpoch: number;
  readonly causes: readonly string[];
}

/** Everything known about one machine. What is not among the readings is unasked. */
export interface Evidence {
  readonly readings: readonly Reading[];
  readonly treatments: readonly Treatment[];
  readonly trials?: readonly Trial[];
}

/**
 * One way the story of a cause can have gone, with everything that this way explains.
 * `bits` are what it may explain of the things that have to be explained.
 */
export interface Branch {
  readonly weight: number;
  /** The cause was there in the epochs before this one: 0 never, infinity to this day. */
  readonly presentBefore: number;
  readonly bits: readonly { readonly bit: number; readonly strength: number }[];
}

/**
 * A trial after which the fault stayed: either something that was not changed shows the
 * complaints, or nothing that was changed was to blame. Both are bits, so that "not gone"
 * needs no subtraction.
 */
export interface FailedTrial {
  readonly stillShown: number;
  readonly blamed: number;
}

/** Evidence indexed for the passes of `posteriorEngine.ts`. */
export interface Prepared {
  /** Per bit, the chance that it is explained by no modelled cause. */
  readonly bitLeaks: readonly number[];
  /** The bits that must be explained: shared positive findings and cures. */
  readonly required: number;
  readonly failedTrials: readonly FailedTrial[];
  /** Per cause, its branches. Weights of one cause are scaled to a greatest of 1. */
  readonly branches: readonly (readonly Branch[])[];
  /** Natural logarithm of what scaling and constant factors took out. */
  readonly logScale: number;
}

/** What one cause contributes to a trial, when it was there. */
interface TrialPart {
  readonly epoch: number;
  readonly factors: TrialFactors;
  readonly blamed: number;
  /** Undefined for a cure: nothing may show then, which is a plain factor. */
  readonly stillShown: number | undefined;
}

interface Placed {
  readonly epoch: number;
  readonly present: boolean;
  readonly leak: number;
  /** Place among the shared positives; undefined for a negative or a single-parent positive. */
  readonly bit: number | undefined;
}

/**
 * Splits the evidence into what needs the pass over sets (positive findings with two or
 * more parents, one bit each; a trial that cured, one bit; one that did not, two) and what is
 * a plain factor of one cause (negatives, and positives with a single parent, which no other
 * cause can explain away).
 * @throws CoreFault `unknown-id` for a finding or cause that the network does not have.
 */
export function prepare(network: Network, evidence: Evidence): Prepared {
  const bitLeaks: number[] = [];
  const byFinding = new Map<number, Placed[]>();
  let logScale = 0;

  for (const reading of evidence.readings) {
    const finding = network.findingIndex.get(reading.finding);
    if (finding === undefined) throw new CoreError('unknown-id', { id: reading.finding });
    const leak = network.findings[finding]?.leak ?? 0;
    const parentCount = network.parents[finding]?.length ?? 0;
    let bit: number | undefined;
    if (!reading.present) logScale += Math.log1p(-leak);
    else if (parentCount === 0) logScale += Math.log(leak);
    else if (parentCount > 1) bit = bitLeaks.push(leak) - 1;
    const placed: Placed = { epoch: reading.epoch, present: reading.present, leak, bit };
    const seen = byFinding.get(finding);
    if (seen) seen.push(placed);
    else byFinding.set(finding, [placed]);
  }

  let required = (1 << bitLeaks.length) - 1;
  const trials = (evidence.trials ?? []).map((trial): TrialPart => {
    const factors = trialFactors(network, trial);
    const blamed = bitLeaks.push(factors.leak) - 1;
    if (trial.gone) {
      required |= 1 << blamed;
      logScale += Math.log(factors.quiet);
    }
    const stillShown = trial.gone ? undefined : bitLeaks.push(1 - factors.quiet) - 1;
    return { epoch: trial.epoch, factors, blamed, stillShown };
  });

  const treatedIn = treatmentEpochs(network, evidence.treatments);
  const branches = network.causes.map((cause, index) => {
    const raw = causeBranches(
      network,
      index,
      cause.prior,
      treatedIn[index] ?? [],
      byFinding,
      trials,
    );
    const greatest = Math.max(...raw.map((branch) => branch.weight));
    if (greatest <= 0) return raw;
    logScale += Math.log(greatest);
    return raw.map((branch) => ({ ...branch, weight: branch.weight / greatest }));
  });
  const failedTrials = trials.flatMap(({ stillShown, blamed }) =>
    stillShown === undefined ? [] : [{ stillShown, blamed }],
  );
  return { bitLeaks, required, failedTrials, branches, logScale };
}

function treatmentEpochs(network: Network, treatments: readonly Treatment[]): number[][] {
  const treatedIn: number[][] = network.causes.map(() => []);
  for (const treatment of treatments) {
    for (const id of treatment.causes) {
      const cause = network.causeIndex.get(id);
      if (cause === undefined) throw new CoreError('unknown-id', { id });
      treatedIn[cause]?.push(treatment.startsEpoch);
    }
  }
  for (const epochs of treatedIn) epochs.sort((a, b) => a - b);
  return treatedIn;
}

/**
 * Absent; present until one of its treatments took; present to this day. A treatment that
 * fails leaves the cause as it was, so the ways are nested in time.
 */
function causeBranches(
  network: Network,
  cause: number,
  prior: number,
  treatedIn: readonly number[],
  byFinding: ReadonlyMap<number, readonly Placed[]>,
  trials: readonly TrialPart[],
): Branch[] {
  const branch = (chance: number, presentBefore: number): Branch => {
    let weight = chance;
    const bits: { bit: number; strength: number }[] = [];
    for (const { finding, strength } of network.shows[cause] ?? []) {
      for (const placed of byFinding.get(finding) ?? []) {
        const active = placed.epoch < presentBefore;
        if (!placed.present) weight *= active ? 1 - strength : 1;
        else if (placed.bit === undefined) {
          weight *= active ? 1 - (1 - placed.leak) * (1 - strength) : placed.leak;
        } else if (active) bits.push({ bit: placed.bit, strength });
      }
    }
    for (const { epoch, factors, blamed, stillShown } of trials) {
      if (epoch >= presentBefore) continue;
      const quiet = factors.quietOf[cause] ?? 1;
      if (factors.treated[cause]) bits.push({ bit: blamed, strength: 1 });
      else if (stillShown === undefined) weight *= quiet;
      else if (quiet < 1) bits.push({ bit: stillShown, strength: 1 - quiet });
    }
    return { weight, presentBefore, bits };
  };

  const ways = [branch(1 - prior, 0)];
  let stillThere = prior;
  for (const epoch of treatedIn) {
    ways.push(branch(stillThere * TREATMENT_SUCCESS, epoch));
    stillThere *= 1 - TREATMENT_SUCCESS;
  }
  ways.push(branch(stillThere, Number.POSITIVE_INFINITY));
  return ways;
}

import type { Minutes } from '../units/minutes.ts';
import type { Evidence } from './evidence.ts';
import type { Network } from './network.ts';
import { type Posterior, posterior } from './posterior.ts';

/** A check as the planner sees it. */
export interface CheckCandidate {
  readonly id: string;
  /** The findings that looking answers, all at once. */
  readonly findings: readonly string[];
  /** With the opening and closing that it newly makes necessary. */
  readonly minutes: Minutes;
}

export interface CheckProposal {
  readonly check: string;
  readonly minutes: Minutes;
  /** Expected information about the causes present now, in bits. */
  readonly bits: number;
  readonly bitsPerMinute: number;
}

/** Outcomes rarer than this are not followed: they move an expectation by less than it. */
const NEGLIGIBLE_OUTCOME = 1e-4;

/** A check cannot be done in no time; keeps the ratio finite. */
const LEAST_MINUTES = 0.1;

function binaryEntropy(chance: number): number {
  if (chance <= 0 || chance >= 1) return 0;
  return -(chance * Math.log2(chance) + (1 - chance) * Math.log2(1 - chance));
}

function uncertainty(known: Posterior): number {
  return known.beliefs.reduce((sum, belief) => sum + binaryEntropy(belief.is), 0);
}

/**
 * How much surer a check makes us, on average, about each cause: the expected fall of the
 * sum of the causes' entropies (equal to the sum over causes of the mutual information
 * between that cause and the outcome; never negative). Bits.
 * Source: Shannon, Bell Syst. Tech. J. 27 (1948); the sum over causes instead of the joint
 * is ours, because it can be had exactly.
 */
export function expectedInformation(
  network: Network,
  evidence: Evidence,
  check: Pick<CheckCandidate, 'findings'>,
  epoch: number,
): number {
  const now = posterior(network, evidence);
  let expected = 0;

  const follow = (
    given: Evidence,
    known: Posterior,
    left: readonly string[],
    chance: number,
  ): void => {
    const [finding, ...rest] = left;
    if (finding === undefined) {
      expected += chance * uncertainty(known);
      return;
    }
    const absent = withReading(given, { finding, epoch, present: false });
    const knownAbsent = posterior(network, absent);
    const chanceAbsent = Math.min(1, Math.exp(knownAbsent.logEvidence - known.logEvidence));
    follow(absent, knownAbsent, rest, chance * chanceAbsent);
    const chancePresent = chance * (1 - chanceAbsent);
    if (chancePresent < NEGLIGIBLE_OUTCOME) {
      expected += chancePresent * uncertainty(known);
      return;
    }
    const present = withReading(given, { finding, epoch, present: true });
    follow(present, posterior(network, present), rest, chancePresent);
  };
  follow(evidence, now, check.findings, 1);
  return Math.max(0, uncertainty(now) - expected);
}

function withReading(evidence: Evidence, reading: Evidence['readings'][number]): Evidence {
  return { ...evidence, readings: [...evidence.readings, reading] };
}

/** Candidates by information per minute, best first; equal ones keep their order. */
export function rankChecks(
  network: Network,
  evidence: Evidence,
  candidates: readonly CheckCandidate[],
  epoch: number,
): readonly CheckProposal[] {
  return candidates
    .map((candidate) => {
      const bits = expectedInformation(network, evidence, candidate, epoch);
      return {
        check: candidate.id,
        minutes: candidate.minutes,
        bits,
        bitsPerMinute: bits / Math.max(LEAST_MINUTES, candidate.minutes),
      };
    })
    .sort((a, b) => b.bitsPerMinute - a.bitsPerMinute);
}

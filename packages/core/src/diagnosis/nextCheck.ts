import type { Minutes } from '../units/minutes.ts';
import type { Evidence } from './evidence.ts';
import type { Network } from './network.ts';
import { type CauseBelief, possible } from './posterior.ts';
import { type Masses, Reckoner } from './reckoner.ts';

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

/** How much is unknown about all causes together: the sum of their entropies now. Bits. */
export function totalDoubt(beliefs: readonly CauseBelief[]): number {
  return beliefs.reduce((sum, { is }) => sum + binaryEntropy(is), 0);
}

/** The same from masses. */
function uncertainty(is: Float64Array, total: number): number {
  let sum = 0;
  for (const mass of is) sum += binaryEntropy(mass / total);
  return sum;
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
  const reckoner = new Reckoner(network, evidence);
  return informationOf(reckoner, possible(reckoner.run(), reckoner), check.findings, epoch);
}

/**
 * One pass per set of findings supposed absent; the masses of "these absent, those present"
 * follow by subtracting, over the few findings of one check. No pass needs more positives
 * than the evidence has.
 */
function informationOf(
  reckoner: Reckoner,
  now: Masses,
  findings: readonly string[],
  epoch: number,
): number {
  const absent = findings.map((finding) => reckoner.absent(finding, epoch));
  const outcomes = Array.from({ length: 1 << findings.length }, (_, supposed) => {
    if (supposed === 0) return now;
    return reckoner.run(...absent.filter((__, bit) => supposed & (1 << bit)));
  });
  // outcomes[s] is "those of s absent, the others unasked"; bit by bit it becomes
  // "those of s absent, the others present".
  for (let bit = 0; bit < findings.length; bit += 1) {
    for (let supposed = 0; supposed < outcomes.length; supposed += 1) {
      if (supposed & (1 << bit)) continue;
      const asked = outcomes[supposed | (1 << bit)];
      const unasked = outcomes[supposed];
      if (asked && unasked) outcomes[supposed] = minus(unasked, asked);
    }
  }
  const before = uncertainty(now.is, now.total);
  let after = 0;
  for (const { is, total } of outcomes) {
    const chance = total / now.total;
    after +=
      chance < NEGLIGIBLE_OUTCOME ? Math.max(0, chance) * before : chance * uncertainty(is, total);
  }
  return Math.max(0, before - after);
}

function minus(a: Masses, b: Masses): Masses {
  return {
    total: a.total - b.total,
    was: a.was.map((mass, cause) => mass - (b.was[cause] ?? 0)),
    is: a.is.map((mass, cause) => mass - (b.is[cause] ?? 0)),
  };
}

/** Candidates by information per minute, best first; equal ones keep their order. */
export function rankChecks(
  network: Network,
  evidence: Evidence,
  candidates: readonly CheckCandidate[],
  epoch: number,
): readonly CheckProposal[] {
  const reckoner = new Reckoner(network, evidence);
  const now = possible(reckoner.run(), reckoner);
  return candidates
    .map((candidate) => {
      const bits = informationOf(reckoner, now, candidate.findings, epoch);
      return {
        check: candidate.id,
        minutes: candidate.minutes,
        bits,
        bitsPerMinute: bits / Math.max(LEAST_MINUTES, candidate.minutes),
      };
    })
    .sort((a, b) => b.bitsPerMinute - a.bitsPerMinute);
}

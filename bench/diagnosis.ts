import { type Evidence, minutes, posterior, rankChecks } from '@nodo/core';
import { modelOf } from '@nodo/knowledge';

/** Findings that several causes show, in the order in which a bad ticket gathers them. */
const POSITIVES = [
  'skip',
  'nest',
  'loops-under',
  'jam',
  'erratic',
  'top-break',
  'after-jam',
  'never-cleaned',
  'found-bad',
  'found-top-under',
  'heavy-work',
  'found-skips',
] as const;

interface Measured {
  readonly positives: number;
  readonly medianMs: number;
  readonly p95Ms: number;
}

function model() {
  const found = modelOf('drop-in');
  if (!found) throw new Error('no drop-in family');
  return found;
}

function evidence(count: number): Evidence {
  return {
    readings: POSITIVES.slice(0, count).map((finding) => ({ finding, epoch: 0, present: true })),
    treatments: [],
  };
}

function measure(positives: number, rounds: number, work: () => unknown): Measured {
  work();
  const times = Array.from({ length: rounds }, () => {
    const started = performance.now();
    work();
    return performance.now() - started;
  }).sort((a, b) => a - b);
  const at = (share: number): number =>
    Number((times[Math.min(rounds - 1, Math.floor(share * rounds))] ?? Number.NaN).toFixed(2));
  return { positives, medianMs: at(0.5), p95Ms: at(0.95) };
}

export const benches = [
  ...[2, 6, 12].map((positives) => ({
    name: `diagnosis/posterior-${positives}`,
    run: () => measure(positives, 40, () => posterior(model().network, evidence(positives))),
  })),
  ...[2, 6, 10].map((positives) => ({
    name: `planner/information-${positives}`,
    run: () => {
      const candidates = [...model().checks.values()].map((check) => ({
        id: check.id,
        findings: check.findings.map(({ id }) => id),
        minutes: minutes(check.minutes),
      }));
      const asked = candidates.filter(({ id }) => id !== 'complaint' && id !== 'context');
      return measure(positives, 5, () =>
        rankChecks(model().network, evidence(positives), asked, 0),
      );
    },
  })),
];

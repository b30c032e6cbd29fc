import { buildNetwork, posterior, seeded, weighFindings } from '@nodo/core';
import { evidenceOf, type FamilyModel, modelOf, planNext } from '@nodo/knowledge';
import { infer } from 'bayesjs';
import { enumerate } from '../packages/core/test/enumerate.ts';
import { asTables } from '../packages/core/test/tables.ts';
import { spreadOf } from '../scripts/lib/spread.mjs';

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
  readonly medianMs: number;
  readonly p95Ms: number;
}

function model(): FamilyModel {
  const found = modelOf('drop-in');
  if (!found) throw new Error('no drop-in family');
  return found;
}

const evidence = (count: number) =>
  evidenceOf(
    model(),
    POSITIVES.slice(0, count).map((finding) => ({ finding, epoch: 0, present: true })),
    [],
  );

function measure(rounds: number, work: () => unknown): Measured {
  work();
  const times = Array.from({ length: rounds }, () => {
    const started = performance.now();
    work();
    return performance.now() - started;
  });
  const at = spreadOf(times, 3);
  return { medianMs: at(0.5), p95Ms: at(0.95) };
}

/** The whole planner on a ticket with so many positives, nothing looked at yet. */
function plan(positives: number): Measured {
  const given = evidence(positives);
  return measure(20, () =>
    planNext(model(), {
      evidence: given,
      open: new Set(),
      place: 'bench',
      plan: 'per-minute',
      standing: () => ({ done: false, normal: false }),
      untold: new Set(),
    }),
  );
}

/** Twelve causes, six findings, all seen: small enough for the other two to finish. */
function smallNetwork() {
  const draw = seeded(6);
  const causes = Array.from({ length: 12 }, (_, index) => ({ id: `c${index}`, prior: 0.05 }));
  const findings = Array.from({ length: 6 }, (_, index) => ({ id: `f${index}`, leak: 0.02 }));
  const links = causes.flatMap(({ id: cause }) =>
    findings
      .filter(() => draw() < 0.6)
      .map(({ id: finding }) => ({ cause, finding, strength: 0.1 + 0.8 * draw() })),
  );
  return buildNetwork(causes, findings, links);
}

/** The same question, "all causes given all findings", to three ways of answering. */
function againstOthers() {
  const network = smallNetwork();
  const readings = network.findings.map(({ id }) => ({ finding: id, epoch: 0, present: true }));
  const given = { readings, treatments: [] };
  const tables = asTables(network);
  const seen = Object.fromEntries(network.findings.map(({ id }) => [id, 'T']));
  const ours = measure(50, () => posterior(network, given));
  const enumeration = measure(5, () => enumerate(network, given));
  const library = measure(3, () =>
    network.causes.map(({ id }) => infer(tables, { [id]: 'T' }, seen)),
  );
  return {
    ...ours,
    timesFasterThanEnumeration: Math.round(enumeration.medianMs / ours.medianMs),
    timesFasterThanBayesjs: Math.round(library.medianMs / ours.medianMs),
  };
}

export const benches = [
  ...[2, 6, 12].map((positives) => ({
    name: `diagnosis/posterior-${positives}`,
    run: () => measure(40, () => posterior(model().network, evidence(positives))),
  })),
  { name: 'diagnosis/posterior-against-others', run: againstOthers },
  ...[6, 12].map((positives) => ({
    name: `diagnosis/plan-${positives}`,
    run: () => plan(positives),
  })),
  {
    name: 'diagnosis/reasons-12',
    run: () => {
      const causes = [...model().causes.keys()].slice(0, 8);
      return measure(5, () => weighFindings(model().network, evidence(12), causes));
    },
  },
];

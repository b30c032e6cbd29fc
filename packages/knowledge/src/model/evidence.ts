import type { Evidence, Reading, Treatment, Trial } from '@nodo/core';
import type { CheckId } from '../ids.ts';
import type { FamilyModel } from './familyModel.ts';

/** What the customer says is wrong. */
export const COMPLAINT = 'complaint' satisfies CheckId;
/** What happened before, as the customer tells it. */
export const CONTEXT = 'context' satisfies CheckId;

/** Checks that are asked at the counter; everything else is looked at on the machine. */
export const INTERVIEWS: ReadonlySet<string> = new Set([COMPLAINT, CONTEXT]);

/** The complaints that the customer brought the machine in with. */
export function reportedComplaints(
  model: FamilyModel,
  readings: readonly Reading[],
): readonly string[] {
  return readings
    .filter(
      ({ finding, present, epoch }) =>
        present && epoch === 0 && model.findings.get(finding)?.check === COMPLAINT,
    )
    .map(({ finding }) => finding);
}

/** Those complaints that sewing a scrap shows: what a trial can be compared with. */
export function testableComplaints(
  model: FamilyModel,
  complaints: readonly string[],
): readonly string[] {
  return complaints.filter((id) => model.findings.get(id)?.inScrap === undefined);
}

/** Sorts answers into plain findings and trials, each as the reckoning takes it. */
export function evidenceOf(
  model: FamilyModel,
  answers: readonly Reading[],
  treatments: readonly Treatment[],
): Evidence {
  const complaints = reportedComplaints(model, answers);
  const readings: Reading[] = [];
  const trials: Trial[] = [];
  for (const answer of answers) {
    const trial = trialOf(model, complaints, answer);
    if (trial) trials.push(trial);
    else readings.push(answer);
  }
  return { readings, treatments, trials };
}

/** The evidence with one answer more. */
export function withAnswer(model: FamilyModel, evidence: Evidence, answer: Reading): Evidence {
  const complaints = reportedComplaints(model, evidence.readings);
  const trial = trialOf(model, complaints, answer);
  return trial
    ? { ...evidence, trials: [...(evidence.trials ?? []), trial] }
    : { ...evidence, readings: [...evidence.readings, answer] };
}

function trialOf(
  model: FamilyModel,
  complaints: readonly string[],
  { finding, epoch, present }: Reading,
): Trial | undefined {
  const trial = model.trials.get(model.findings.get(finding)?.check ?? '');
  if (!trial) return undefined;
  return { ...trial, complaints: testableComplaints(model, complaints), epoch, gone: present };
}

/**
 * Most observations that the exact pass takes: positive findings with several
 * parents, and trials. The core takes more, but each doubles the time, and a screen must not
 * wait.
 */
const MOST_COMPUTED = 12;

/** How many things to explain an answer adds to the reckoning. */
function weightOf({ finding, present }: Reading, model: FamilyModel): number {
  if (model.trials.has(model.findings.get(finding)?.check ?? '')) return present ? 1 : 2;
  const index = model.network.findingIndex.get(finding);
  const parents = index === undefined ? 0 : (model.network.parents[index]?.length ?? 0);
  return present && parents > 1 ? 1 : 0;
}

/**
 * Keeps the reckoning within what a screen can wait for: leaves out the oldest answers that
 * make it long, what the customer reported last of all. Says how many.
 */
export function withinReach(
  readings: readonly Reading[],
  model: FamilyModel,
): { readonly kept: readonly Reading[]; readonly leftOut: number } {
  const isReported = ({ finding }: Reading): boolean =>
    model.findings.get(finding)?.check === COMPLAINT;
  const dropped = new Set<Reading>();
  let left = readings.reduce((sum, reading) => sum + weightOf(reading, model), 0);
  for (const reading of [
    ...readings.filter((other) => !isReported(other)),
    ...readings.filter(isReported),
  ]) {
    if (left <= MOST_COMPUTED) break;
    const weight = weightOf(reading, model);
    if (weight === 0) continue;
    dropped.add(reading);
    left -= weight;
  }
  return { kept: readings.filter((reading) => !dropped.has(reading)), leftOut: dropped.size };
}

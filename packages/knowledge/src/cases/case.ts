import type { Reading } from '@nodo/core';
import type { CauseId, CheckId, FindingId } from '../ids.ts';
import { INTERVIEWS } from '../model/evidence.ts';
import type { FamilyModel } from '../model/familyModel.ts';

/** A machine as a technician would tell it afterwards: invented, after the handbook. */
export interface WorkedCase {
  readonly id: string;
  readonly family: string;
  readonly told: string;
  /** Complaints reported; those not named were denied only where `denied` says so. */
  readonly reported: readonly FindingId[];
  /** Context that the customer confirmed. */
  readonly since?: readonly FindingId[];
  /** Complaints and context that were asked and denied. */
  readonly denied?: readonly FindingId[];
  /** Checks in their order, with what was seen; what a check did not show is denied. */
  readonly looked: readonly (readonly [check: CheckId, ...seen: readonly FindingId[]])[];
  /** What it was. */
  readonly was: readonly CauseId[];
}

/**
 * The case as answers of one state of the machine.
 * @throws Error naming what the family does not have.
 */
export function answersOfCase(
  { id, reported, since = [], denied = [], looked }: WorkedCase,
  model: FamilyModel,
): readonly Reading[] {
  const answer = (finding: string, present: boolean, check?: string): Reading => {
    const known = model.findings.get(finding);
    if (!known || (check === undefined ? !INTERVIEWS.has(known.check) : known.check !== check)) {
      throw new Error(`${id}: ${finding} is not asked there`);
    }
    return { finding, epoch: 0, present };
  };
  return [
    ...[...reported, ...since].map((finding) => answer(finding, true)),
    ...denied.map((finding) => answer(finding, false)),
    ...looked.flatMap(([check, ...seen]) => {
      const shown = new Set<string>(seen);
      const asked = model.checks.get(check)?.findings.map((finding) => finding.id);
      if (!asked) throw new Error(`${id}: no check ${check}`);
      const odd = seen.find((finding) => !asked.includes(finding));
      if (odd !== undefined) throw new Error(`${id}: ${check} does not show ${odd}`);
      return asked.map((finding) => answer(finding, shown.has(finding), check));
    }),
  ];
}

import {
  type DutyStatus,
  type Minutes,
  machineMinutes,
  minutes,
  openingChain,
  type Requirement,
} from '@nodo/core';
import type { Raiser } from '../schema/schema.ts';
import { parseCheckCondition, parseRequirement } from '../schema/tokens.ts';
import type { FamilyCheck, FamilyModel } from './familyModel.ts';

/** How a check stands: done and still valid, and done with nothing found. */
export interface Standing {
  readonly done: boolean;
  readonly normal: boolean;
}

/** The machine as it stands on the bench. */
export interface MachineNow {
  readonly open: ReadonlySet<string>;
  readonly standing: (check: string) => Standing;
}

/** Nothing stands open. */
export const CLOSED: ReadonlySet<string> = new Set();

/** A part that the check asks about is off the machine. */
export function isPartOff({ notWhile }: FamilyCheck, open: ReadonlySet<string>): boolean {
  return notWhile.some((state) => open.has(state));
}

/** What the machine does when it runs, reported or watched; all else is looked at while it rests. */
export function isSeenRunning({ findings, checks }: FamilyModel, id: string): boolean {
  const finding = findings.get(id);
  return finding?.symptom !== undefined || checks.get(finding?.check ?? '')?.needs === 'sews';
}

/** Whether a check's condition holds. */
function conditionHolds(text: string, standing: MachineNow['standing']): boolean {
  const { id, shown } = parseCheckCondition(text);
  const { done, normal } = standing(id);
  return done && (shown === 'anything' || (shown === 'normal') === normal);
}

/** Minutes a check costs on the machine as it stands, opening and closing included. */
export function checkMinutes(
  model: FamilyModel,
  open: ReadonlySet<string>,
  check: FamilyCheck,
): Minutes {
  if (check.needs !== 'sews' && isPartOff(check, open)) {
    // Put together first, for the part that it asks about.
    const closing = machineMinutes(model.access, open, {
      minutes: 0,
      access: 'closed',
      sews: true,
    });
    return minutes(closing + checkMinutes(model, CLOSED, check));
  }
  return machineMinutes(model.access, open, {
    minutes: check.minutes,
    access: check.access,
    sews: check.needs === 'sews',
  });
}

/** The steps that owed duties hold up, as `check:x`; nothing else is barred. */
export function barredBy(
  model: FamilyModel,
  duties: readonly DutyStatus[],
): (step: string) => boolean {
  const held = new Set<string>(
    duties
      .filter(({ state }) => state === 'owed')
      .flatMap(({ duty }) => model.duties.get(duty)?.before ?? []),
  );
  const barred = new Set<string>();
  for (const { id, needs } of model.checks.values()) {
    if (held.has(`check:${id}`) || held.has(`${needs}:*`)) barred.add(`check:${id}`);
  }
  return (step) => barred.has(step);
}

/**
 * The checks that a check still waits for, in their order; undefined where one of them cannot be done, or
 * was done and is not as it should be.
 * @param canDo whether a check can be done here at all.
 */
export function waitedFor(
  model: FamilyModel,
  check: FamilyCheck,
  standing: MachineNow['standing'],
  canDo: (check: FamilyCheck) => boolean,
): readonly FamilyCheck[] | undefined {
  const waits: FamilyCheck[] = [];
  for (const text of check.requires ?? []) {
    if (conditionHolds(text, standing)) continue;
    const { id, shown } = parseCheckCondition(text);
    const before = model.checks.get(id);
    // That something is found there cannot be planned for.
    if (!before || shown === 'found' || standing(id).done || !canDo(before)) return undefined;
    const way = waitedFor(model, before, standing, canDo);
    if (!way) return undefined;
    for (const step of [...way, before]) if (!waits.includes(step)) waits.push(step);
  }
  return waits;
}

/**
 * What is looked at first on the way to a check: what it waits for, and how a part sits before it comes
 * out; the check itself when nothing is.
 */
export function firstOnTheWay(
  model: FamilyModel,
  check: FamilyCheck,
  now: MachineNow,
): FamilyCheck {
  const { open, standing } = now;
  const seats = openingChain(model.access, open, check.access).flatMap(
    ({ firstLooks }) => firstLooks,
  );
  const waitsFor = [
    ...(check.requires ?? []).filter((text) => !conditionHolds(text, standing)),
    ...seats,
  ]
    .map((text) => parseCheckCondition(text).id)
    .find((id) => id !== check.id && !standing(id).done);
  const before = waitsFor === undefined ? undefined : model.checks.get(waitsFor);
  return before && !isPartOff(before, open) ? firstOnTheWay(model, before, now) : check;
}

/** What must hold before a step, as the duty table writes it; only what this machine can have. */
export function gateRequirements(
  model: FamilyModel,
  step: Raiser,
): readonly { readonly text: string; readonly requirement: Requirement }[] {
  return [...model.duties.values()]
    .filter(({ raisedBy }) => raisedBy.includes(step))
    .flatMap(({ gate = [] }) => gate)
    .flatMap((text) => {
      const requirement = parseRequirement(text);
      const isHere =
        requirement && (requirement.kind !== 'check' || model.checks.has(requirement.id));
      return isHere ? [{ text, requirement }] : [];
    });
}

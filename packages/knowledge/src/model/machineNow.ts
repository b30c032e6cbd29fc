import { openingChain, type Requirement } from '@nodo/core';
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

/** A part that the check asks about is off the machine. */
export function isPartOff({ notWhile }: FamilyCheck, open: ReadonlySet<string>): boolean {
  return notWhile.some((state) => open.has(state));
}

/** Whether a check's condition holds. */
export function conditionHolds(text: string, standing: MachineNow['standing']): boolean {
  const { id, shown } = parseCheckCondition(text);
  const { done, normal } = standing(id);
  return done && (shown === 'anything' || (shown === 'normal') === normal);
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

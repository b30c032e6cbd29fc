import { type DutyStatus, MOST_PROOF_MINUTES } from '@nodo/core';
import { SEWN_AS_FOUND } from './evidence.ts';
import type { FamilyModel } from './familyModel.ts';
import { isPartOff } from './machineNow.ts';
import { type Move, nextMove, type Progress } from './nextMove.ts';
import type { Planned } from './planner.ts';
import {
  type DutyStep,
  type DutyWays,
  handBeforeSewing,
  nextBeforePower,
  nextDuty,
  nextLook,
} from './settle.ts';

/** What comes next at the bench, of all that is planned and owed. */
export type WhatNow =
  | Exclude<Move, { readonly kind: 'settle' }>
  /** Because a duty asks it, or because nothing may be turned or sewn before it. */
  | {
      readonly kind: 'check';
      readonly check: string;
      readonly because: 'duty' | 'before-power';
    }
  /** Put together first: the check asks for parts that are off. */
  | { readonly kind: 'close-machine'; readonly check: string }
  /** Nothing on this machine clears it: only a person can. */
  | { readonly kind: 'waive'; readonly duty: string }
  | { readonly kind: 'duty-action'; readonly actions: readonly string[]; readonly duty: string }
  /** Sew it as it failed, so long: the symptoms must not show. */
  | { readonly kind: 'sew'; readonly symptoms: readonly string[]; readonly minutes: number }
  /** It cannot be sewn away: a person settles it. */
  | { readonly kind: 'settle'; readonly symptom: string }
  /** Nothing is left to do. */
  | { readonly kind: 'close' };

/** A reported symptom that is not settled yet. */
export interface OwedSymptom {
  readonly symptom: string;
  /** Told in words alone it is not. */
  readonly canBeSewn: boolean;
}

export interface Work {
  readonly planned: Planned;
  readonly duties: readonly DutyStatus[];
  readonly ways: DutyWays;
  readonly progress: Omit<Progress, keyof DutyWays> & Pick<Progress, 'isPutOff'>;
  readonly owed: readonly OwedSymptom[];
}

/**
 * What comes next. What must be done before the machine is turned or sewn, and the sew-out that the plan
 * asks after a change; then the plan's own move; then what is looked at, the proof of each symptom, and
 * whatever else is owed; then what a person must settle, and closing. What stands open is turned by hand
 * before it is sewn.
 */
export function whatNow(model: FamilyModel, work: Work): WhatNow {
  const step = whatInOrder(model, work);
  const check = step.kind === 'check' ? model.checks.get(step.check) : undefined;
  if (check && isPartOff(check, work.ways.open)) return { kind: 'close-machine', check: check.id };
  const sews = step.kind === 'sew' || check?.needs === 'sews';
  const hand = sews ? handBeforeSewing(model, work.ways.open) : undefined;
  return hand ? { kind: 'close-machine', check: hand.id } : step;
}

function whatInOrder(model: FamilyModel, work: Work): WhatNow {
  const { planned, duties, ways, progress } = work;
  const oneChange = duties.filter(
    ({ duty, state }) => state === 'owed' && model.duties.get(duty)?.underPlan !== undefined,
  );
  const first =
    asked(nextBeforePower(model, duties, ways), 'before-power') ??
    asked(nextDuty(model, oneChange, ways), 'duty');
  if (first) return first;
  const { open, standing, barred } = ways;
  const move = nextMove(model, planned, { ...progress, open, standing, barred });
  if (move.kind !== 'settle') return move;
  return (
    asked(nextLook(model, duties, ways), 'duty') ??
    proof(work) ??
    asked(nextDuty(model, duties, ways), 'duty') ??
    leftToPerson(work) ?? { kind: 'close' }
  );
}

function asked(step: DutyStep | undefined, because: 'duty' | 'before-power'): WhatNow | undefined {
  switch (step?.kind) {
    case 'check':
      return { kind: 'check', check: step.check, because };
    case 'action':
      return { ...step, kind: 'duty-action' };
    case 'close-machine':
      return { kind: 'close-machine', check: step.check };
    case 'waive':
    case undefined:
      return step;
  }
}

/** The symptoms that are still owed, sewn away together. */
function proof({ owed, planned, ways }: Work): WhatNow | undefined {
  const symptoms = owed.filter(({ canBeSewn }) => canBeSewn).map(({ symptom }) => symptom);
  if (symptoms.length === 0 || cannotSew(ways)) return undefined;
  // Risk is low already, but it has not been sewn: a look does not prove a repair.
  const minutes = Math.max(LEAST_PROOF_MINUTES, planned.proof?.minutes ?? MOST_PROOF_MINUTES);
  return { kind: 'sew', symptoms, minutes };
}

/** A proof is sewn, however sure the repair. Ours, no source. */
const LEAST_PROOF_MINUTES = 1;

function cannotSew({ barred, isPutOff }: DutyWays): boolean {
  return barred(`check:${SEWN_AS_FOUND}`) || isPutOff(SEWN_AS_FOUND);
}

function leftToPerson({ owed }: Work): WhatNow | undefined {
  const [first] = owed;
  return first && { kind: 'settle', symptom: first.symptom };
}

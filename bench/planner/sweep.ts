import { MOST_PROOF_MINUTES } from '@nodo/core';
import {
  type BenchWork,
  type FamilyModel,
  isInProof,
  nextBeforePower,
  type WhatNow,
} from '@nodo/knowledge';

/**
 * The full sweep to hold the planner against, kept as it is whatever the planner becomes: everything in
 * the order of the tables before anything is sewn again; then what was seen is put right, and proven.
 */
export function frozenSweep(model: FamilyModel, work: BenchWork): WhatNow {
  return (
    firstByHand(model, work) ??
    nextInSweep(work) ??
    repair(model, work) ??
    proof(model, work) ?? { kind: 'search-on' }
  );
}

/** A kinder one: what is seen is put right and proven at once, and the first silent proof ends it. */
export function sweepUntilProven(model: FamilyModel, work: BenchWork): WhatNow {
  return (
    firstByHand(model, work) ??
    repair(model, work) ??
    proof(model, work) ??
    nextInSweep(work) ?? { kind: 'search-on' }
  );
}

function firstByHand(model: FamilyModel, { duties, ways }: BenchWork): WhatNow | undefined {
  const before = nextBeforePower(model, duties, ways);
  if (before?.kind === 'check') {
    return { kind: 'check', check: before.check, because: 'before-power' };
  }
  return before?.kind === 'action' ? { ...before, kind: 'duty-action' } : undefined;
}

function nextInSweep({ planned }: BenchWork): WhatNow | undefined {
  const [next] = planned.checks;
  return next && { kind: 'check', check: next.check, because: 'sweep' };
}

function repair(model: FamilyModel, { progress }: BenchWork): WhatNow | undefined {
  const [cause] = progress.seen;
  const [action] = [...model.actions.values()]
    .filter(({ treats }) => cause !== undefined && treats.includes(cause))
    .sort((a, b) => a.minutes - b.minutes);
  return cause !== undefined && action ? { kind: 'action', action: action.id, cause } : undefined;
}

function proof(model: FamilyModel, { planned, progress, owed }: BenchWork): WhatNow | undefined {
  const symptoms = owed.map(({ symptom }) => symptom);
  if (symptoms.length === 0) return { kind: 'close' };
  return isInProof(model, progress.evidence)
    ? { kind: 'sew', symptoms, minutes: planned.proof?.minutes ?? MOST_PROOF_MINUTES }
    : undefined;
}

import { MOST_PROOF_MINUTES, RISK_LIMIT } from '@nodo/core';
import { describe, expect, it } from 'vitest';
import {
  compileKnowledge,
  evidenceOf,
  type FamilyModel,
  modelOf,
  proofOf,
  SEWN_AS_FOUND,
  SHIPPED_SOURCE,
  silentSewing,
  symptomDebts,
  versionWith,
  withSewings,
} from '../src/index.ts';

function modelAt(limit: number): FamilyModel {
  const model = versionWith([{ kind: 'risk-limit', limit }]).modelOf('drop-in');
  if (!model) throw new Error('no drop-in');
  return model;
}

/** Thread nests, threaded anew, then sewn for so long without a nest. */
function story(model: FamilyModel, sewnMinutes: number) {
  const { treats } = model.actions.get('rethreaded') ?? { treats: [] };
  const evidence = evidenceOf(
    model,
    [{ finding: 'nest', epoch: 0, present: true }],
    [{ startsEpoch: 1, causes: treats }],
  );
  const way = { check: SEWN_AS_FOUND, epoch: 1, minutes: sewnMinutes, onTheWork: true };
  return withSewings(model, evidence, sewnMinutes > 0 ? silentSewing(model, ['nest'], way) : []);
}

describe('the comeback risk with which a shop gives a machine back', () => {
  it('is one in twenty unless the shop says otherwise', () => {
    expect(modelOf('drop-in')?.riskLimit).toBe(RISK_LIMIT);
    expect(RISK_LIMIT).toBe(0.05);
  });

  it('decides how long it is sewn', () => {
    const minutes = [0.2, 0.1, 0.05].map(
      (limit) => proofOf(modelAt(limit), story(modelAt(limit), 0))?.minutes ?? MOST_PROOF_MINUTES,
    );
    expect(minutes).toEqual([...minutes].sort((a, b) => a - b));
    expect(new Set(minutes).size).toBe(3);
  });

  it('decides when a complaint counts as sewn away', () => {
    const settled = (limit: number) =>
      symptomDebts(modelAt(limit), story(modelAt(limit), 3), 0.07).map((debt) => debt.settled);
    expect(settled(0.05)).toEqual([undefined]);
    expect(settled(0.1)).toEqual(['sewn-away']);
  });

  it.each([0, 0.009, 0.21, 1, Number.NaN])('is never %d', (riskLimit) => {
    expect(compileKnowledge({ ...SHIPPED_SOURCE, riskLimit })).toMatchObject({
      ok: false,
      faults: [{ code: 'out-of-range', path: 'riskLimit' }],
    });
  });
});

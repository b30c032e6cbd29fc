import { posterior } from '@nodo/core';
import { describe, expect, it } from 'vitest';
import { answersOfCase, evidenceOf, modelOf, WORKED_CASES, type WorkedCase } from '../src/index.ts';

function ranking(worked: WorkedCase): readonly string[] {
  const model = modelOf(worked.family);
  if (!model) throw new Error(worked.family);
  const evidence = evidenceOf(model, answersOfCase(worked, model), []);
  const { beliefs } = posterior(model.network, evidence);
  return [...beliefs].sort((a, b) => b.is - a.is).map(({ cause }) => cause);
}

/** All that was wrong stands at the top: one fault first, two first and second. */
const isFirst = ({ was }: WorkedCase, ranked: readonly string[]): boolean =>
  ranked.slice(0, was.length).every((cause) => was.includes(cause));

describe('worked cases', () => {
  it('are at least forty, with two and three faults among them', () => {
    expect(WORKED_CASES.length).toBeGreaterThanOrEqual(40);
    expect(new Set(WORKED_CASES.map(({ id }) => id)).size).toBe(WORKED_CASES.length);
    const several = WORKED_CASES.map(({ was }) => was.length);
    expect(several.filter((count) => count === 2).length).toBeGreaterThanOrEqual(3);
    expect(several).toContain(3);
  });

  it.each(WORKED_CASES.map((worked) => [worked.id, worked] as const))(
    '%s: what was wrong is among the first three',
    (_, worked) => {
      const ranked = ranking(worked);
      for (const cause of worked.was) expect(ranked.slice(0, 3)).toContain(cause);
    },
  );

  it('have it among the first three one look earlier in at least eight of ten', () => {
    const early = WORKED_CASES.map((worked) => ({ ...worked, looked: worked.looked.slice(0, -1) }));
    const held = early.filter((worked) => {
      const first = ranking(worked).slice(0, 3);
      return worked.was.every((cause) => first.includes(cause));
    });
    expect(held.length).toBeGreaterThanOrEqual(0.8 * WORKED_CASES.length);
  });

  it('put what was wrong first in at least nine of ten', () => {
    const missed = WORKED_CASES.filter((worked) => !isFirst(worked, ranking(worked)));
    expect(missed.map(({ id }) => id).length).toBeLessThanOrEqual(WORKED_CASES.length / 10);
  });
});

import { describe, expect, it } from 'vitest';
import { judgeCases, SHIPPED, WORKED_CASES } from '../src/index.ts';

describe('worked cases', () => {
  it('are at least forty, with two and three faults among them', () => {
    expect(WORKED_CASES.length).toBeGreaterThanOrEqual(40);
    expect(new Set(WORKED_CASES.map(({ id }) => id)).size).toBe(WORKED_CASES.length);
    const several = WORKED_CASES.map(({ was }) => was.length);
    expect(several.filter((count) => count === 2).length).toBeGreaterThanOrEqual(3);
    expect(several).toContain(3);
  });

  const { verdicts, first } = judgeCases(SHIPPED, WORKED_CASES);

  it.each(verdicts.map((verdict) => [verdict.worked.id, verdict] as const))(
    '%s: what was wrong is among the first three',
    (_, { was }) => {
      for (const { cause, place } of was) expect(place, cause).toBeLessThanOrEqual(3);
    },
  );

  it('have it among the first three one look earlier in at least eight of ten', () => {
    const early = WORKED_CASES.map((worked) => ({ ...worked, looked: worked.looked.slice(0, -1) }));
    const { amongThree } = judgeCases(SHIPPED, early);
    expect(amongThree).toBeGreaterThanOrEqual(0.8 * WORKED_CASES.length);
  });

  it('put what was wrong first in at least nine of ten', () => {
    expect(first).toBeGreaterThanOrEqual(0.9 * WORKED_CASES.length);
  });
});

import { describe, expect, it } from 'vitest';
import { gapBefore } from '../src/ticket/seam/gaps.ts';

const at = (minutes: number) => new Date(Date.UTC(2026, 2, 3, 9) + minutes * 60_000).toISOString();
const leadAfter = (minutes: number) => {
  const gap = gapBefore(at(0), at(minutes));
  return gap.kind === 'run' ? gap.lead : undefined;
};

describe('the way between two stitches', () => {
  it('is nothing before the first, and for what was told late', () => {
    expect(gapBefore(undefined, at(0))).toEqual({ kind: 'run', lead: 0 });
    expect(leadAfter(-30)).toBe(0);
  });

  it('grows by the same for each doubling of the time', () => {
    const steps = [1, 3, 7, 15, 31, 63, 127].map((minutes) => leadAfter(minutes) ?? 0);
    expect(steps[0]).toBeGreaterThan(0);
    steps.slice(1).forEach((lead, index) => {
      expect(lead - (steps[index] ?? 0)).toBe(steps[0]);
    });
  });

  it('is torn beyond four hours', () => {
    expect(leadAfter(240)).toBeGreaterThan(100);
    expect(gapBefore(at(0), at(241))).toEqual({ kind: 'torn' });
  });
});

import type { FindingWeight } from '@nodo/core';
import { describe, expect, it } from 'vitest';
import { carries } from '../src/workers/carries.ts';

const speaks = (finding: string, weight: number, epoch = 0) =>
  ({ finding, epoch, present: true, weight }) as FindingWeight;

describe('a finding that a likely cause rests on', () => {
  const reasons = new Map([['needle-bent', [speaks('rolls-uneven', 2.5), speaks('skip', -1.2)]]]);

  it('is not told as unexplained', () => {
    expect(carries(reasons, { finding: 'rolls-uneven', epoch: 0 })).toBe(true);
  });

  it('is one that speaks for it, plainly, of the same state of the machine', () => {
    expect(carries(reasons, { finding: 'skip', epoch: 0 })).toBe(false);
    expect(carries(reasons, { finding: 'rolls-uneven', epoch: 1 })).toBe(false);
    expect(carries(new Map([['x', [speaks('lint', 0.01)]]]), { finding: 'lint', epoch: 0 })).toBe(
      false,
    );
  });
});

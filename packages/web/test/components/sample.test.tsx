import type { KeptFace } from '@nodo/ticket';
import { cleanup, render } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { SampleVerdict } from '../../src/instruments/sample/read/SampleVerdict.tsx';

afterEach(cleanup);

const face: KeptFace = {
  stitches: 30,
  skips: 0,
  skippedAt: [],
  length: 2.5,
  spread: 0.03,
  wander: 0.02,
  width: 0,
  loose: 0,
  byHand: [],
};

function verdictOf(sides: { top?: KeptFace; bottom?: KeptFace }, atOdds = 0): string {
  const { container } = render(
    <SampleVerdict
      sample={{ faces: sides, balance: { value: 0.03, error: 0.02 } }}
      swings={{ left: 0, right: 0 }}
      balance={{ kind: 'read', read: { balance: 0.03, error: 0.02 } }}
      atOdds={atOdds}
    />,
  );
  return container.textContent;
}

describe('what a sample comes to', () => {
  it('says nothing of the sides where they agree, or the end of the seam shows on one alone', () => {
    const text = verdictOf({ top: face, bottom: { ...face, stitches: 28 } });
    expect(text).toContain('30 stitches');
    expect(text).not.toMatch(/one side/i);
  });

  it('says that the sides are at odds, and at how many holes', () => {
    const sides = { top: face, bottom: { ...face, skips: 2 } };
    expect(verdictOf(sides, 2)).toContain('The two sides do not agree at 2 holes');
    cleanup();
    expect(verdictOf(sides, 1)).toContain('at one hole:');
  });

  it('says that a part of the seam was missed on one side', () => {
    expect(verdictOf({ top: face, bottom: { ...face, stitches: 27 } })).toContain(
      'One side shows 30 stitches, the other 27',
    );
    cleanup();
    expect(verdictOf({ bottom: face })).not.toContain('One side shows');
  });

  it('with a skip or a loop is not good', () => {
    expect(verdictOf({ top: face, bottom: face })).toContain('A good sew-out');
    cleanup();
    expect(verdictOf({ top: { ...face, loose: 1.4 }, bottom: face })).not.toContain(
      'A good sew-out',
    );
    cleanup();
    expect(verdictOf({ top: face, bottom: { ...face, skips: 1 } })).not.toContain('A good sew-out');
  });
});

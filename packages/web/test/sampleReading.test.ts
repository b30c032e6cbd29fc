import type { PictureReading } from '@nodo/core';
import { describe, expect, it } from 'vitest';
import {
  balanceOf,
  faceOf,
  figureOf,
  longerToTheLeft,
  skipsBySwing,
  usualThrough,
} from '../src/instruments/sample/read/reading.ts';
import type { FaceRead } from '../src/workers/sample.worker.ts';

const at = { x: 0, y: 0 };
const read: FaceRead = {
  size: { width: 100, height: 80 },
  seam: {
    kind: 'zigzag',
    length: 2.0049,
    spread: 0.031,
    unequal: 0.1234,
    alongs: [0, 2, 6, 8],
    stitches: 4,
    skips: [2],
    wander: 0.029,
    width: 4.017,
  },
  stitches: [
    { from: at, to: at, length: 2, skipped: [] },
    { from: at, to: at, length: 4, skipped: [{ place: at, swing: 'left' }] },
    { from: at, to: at, length: 2, skipped: [] },
  ],
  reading: undefined as unknown as PictureReading,
};

const NO_LOOPS = { loops: [], through: undefined };

describe('figures of a sample', () => {
  it('are kept to a hundredth, with the swing that skipped', () => {
    expect(faceOf(read, {})).toEqual({
      stitches: 4,
      skips: 1,
      skippedAt: [{ at: 2, swing: 'left' }],
      length: 2,
      spread: 0.03,
      wander: 0.03,
      width: 4.02,
      byHand: [],
    });
    expect(skipsBySwing(read)).toEqual({ left: 1, right: 0 });
  });

  it('have the thread that hangs loose with them once both sides were read', () => {
    const loose = {
      loops: [
        { area: 1.234, along: 3 },
        { area: 2, along: 9 },
      ],
      through: [-0.01, 0.2, 0.11],
    };
    expect(faceOf(read, {}, loose)).toMatchObject({ loose: 3.23 });
    expect(usualThrough(loose)).toBe(0.11);
    expect(usualThrough({ loops: [], through: undefined })).toBeUndefined();
  });

  it('that are set right by hand stand above what was read, and say so', () => {
    expect(faceOf(read, { skips: '0', length: '2,1' })).toMatchObject({
      skips: 0,
      skippedAt: [],
      length: 2.1,
      byHand: ['skips', 'length'],
    });
  });

  it('are right by hand where a stitch was overlooked, or lint was taken for a loop', () => {
    const loop = { loops: [{ area: 1.5, along: 4 }], through: undefined };
    expect(faceOf(read, { stitches: '6', skips: '5', loose: '0' }, loop)).toMatchObject({
      stitches: 6,
      skips: 5,
      loose: 0,
      byHand: ['stitches', 'skips', 'loose'],
    });
    // Fewer holes than were skipped.
    expect(faceOf(read, { skips: '4', stitches: '3' }, loop)).toBeUndefined();
    // Nobody looked for loops on one side alone.
    expect(faceOf(read, {})).not.toHaveProperty('loose');
  });

  it.each([
    ['length', '-1'],
    ['length', 'two'],
    ['width', '51'],
    ['skips', '1.5'],
    ['skips', '5'],
    ['stitches', '0'],
    ['stitches', '2.5'],
    ['stitches', '1001'],
    ['loose', '-1'],
    ['loose', 'some'],
  ] as const)('are none where %s is typed as %s', (figure, text) => {
    expect(figureOf(read, { [figure]: text }, figure, NO_LOOPS)).toBeUndefined();
    expect(faceOf(read, { [figure]: text })).toBeUndefined();
  });

  it('balance: what is typed stands without an error, and must be one', () => {
    expect(balanceOf({ balance: 0.1234, error: 0.0211 }, undefined)).toEqual({
      value: 0.12,
      error: 0.02,
    });
    expect(balanceOf({ balance: 0.1234, error: 0.02 }, '−0,3')).toEqual({ value: -0.3 });
    expect(balanceOf(undefined, '0.2')).toEqual({ value: 0.2 });
    expect(balanceOf(undefined, undefined)).toBeUndefined();
    expect(balanceOf(undefined, '2')).toBe(false);
  });

  it('longer to the left on one side is longer to the right on the other as it lies', () => {
    expect(longerToTheLeft(read, 'top')).toBe(0.12);
    expect(longerToTheLeft(read, 'bottom')).toBe(-0.12);
  });
});

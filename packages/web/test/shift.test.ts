import { describe, expect, it } from 'vitest';
import { readShift, writeShift } from '../src/shop/profile/shift.ts';

describe('the hours of a day', () => {
  it.each([
    ['9-17', [540, 1020]],
    ['8:30 – 12:00', [510, 720]],
    ['8.30-12', [510, 720]],
    ['0-24', [0, 1440]],
    ['', null],
    ['  ', null],
  ] as const)('“%s” is read', (typed, shift) => {
    expect(readShift(typed)).toEqual(shift);
  });

  it.each(['17-9', '9', '9-', 'nine to five', '9-25', '9:70-12', '9-9'])(
    '“%s” is none',
    (typed) => {
      expect(readShift(typed)).toBeUndefined();
    },
  );

  it('are written so that they are read as they were', () => {
    for (const shift of [[540, 1020], [505, 1440], null] as [number, number][]) {
      expect(readShift(writeShift(shift))).toEqual(shift);
    }
    expect(writeShift([Number.NaN, Number.NaN])).toBe('');
  });
});

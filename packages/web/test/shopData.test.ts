import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decode, encodingOf } from '../src/features/shopData/decode.ts';
import { drawSecretly, suggestPassphrase } from '../src/features/shopData/suggestPassphrase.ts';

describe('a passphrase that is suggested', () => {
  it('is five words that can be read out, each of its letters drawn', () => {
    expect(suggestPassphrase(drawSecretly)).toMatch(
      /^([bdfgklmnprstvz][aeiou]){2}[bdfgklmnprstvz]( ([bdfgklmnprstvz][aeiou]){2}[bdfgklmnprstvz]){4}$/,
    );
    const bounds: number[] = [];
    suggestPassphrase((bound) => {
      bounds.push(bound);
      return bound - 1;
    });
    // Whoever knows how it is drawn tries 2^80 or so.
    const bits = bounds.reduce((all, bound) => all + Math.log2(bound), 0);
    expect(bits).toBeGreaterThan(78);
  });

  it('has each letter as often as any other', () => {
    const DRAWS = 7_000;
    const counts = new Map<number, number>();
    for (let draw = 0; draw < DRAWS; draw += 1) {
      const value = drawSecretly(7);
      counts.set(value, (counts.get(value) ?? 0) + 1);
    }
    expect([...counts.keys()].toSorted()).toEqual([0, 1, 2, 3, 4, 5, 6]);
    // Pearson's chi-squared with six degrees of freedom: above 35.9 once in 350 000 runs.
    const expected = DRAWS / 7;
    const squares = [...counts.values()].map((count) => (count - expected) ** 2 / expected);
    expect(squares.reduce((all, one) => all + one, 0)).toBeLessThan(35.9);
  });
});

describe('the letters of a file', () => {
  it('are found in UTF-8, whatever is written', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (text) => {
        const bytes = new TextEncoder().encode(text);
        expect(encodingOf(bytes)).toBe('utf-8');
        expect(decode(bytes, 'utf-8')).toBe(text.replace(/^\uFEFF/, ''));
      }),
    );
  });

  it.each([
    ['windows-1252', [0x4d, 0xfc, 0x6c, 0x6c, 0x65, 0x72], 'Müller'],
    ['utf-16le', [0xff, 0xfe, 0xfc, 0x00, 0x31, 0x00], 'ü1'],
    ['utf-16be', [0xfe, 0xff, 0x00, 0xfc, 0x00, 0x31], 'ü1'],
    ['utf-8', [0xef, 0xbb, 0xbf, 0xc3, 0xbc], 'ü'],
  ] as const)('of older programs are found: %s', (encoding, bytes, text) => {
    const file = Uint8Array.from(bytes);
    expect(encodingOf(file)).toBe(encoding);
    expect(decode(file, encoding)).toBe(text);
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readMoney, typedMoney, write } from '../src/messages/index.ts';
import { readNumber } from '../src/messages/typed.ts';

describe('a number as it is typed', () => {
  it.each([
    ['12.5', 12.5],
    ['12,5', 12.5],
    [' 7 ', 7],
    ['0', 0],
    ['-9', -9],
  ])('“%s” is %d', (typed, value) => {
    expect(readNumber(typed)).toBe(value);
  });

  it.each(['', ' ', 'often', '1,2,3', '1.2.3', '12 mm', 'Infinity', 'NaN'])(
    '“%s” is none',
    (typed) => {
      expect(readNumber(typed)).toBeUndefined();
    },
  );
});

describe('how long something takes', () => {
  it.each([
    [0, '0 min'],
    [0.01, '1 s'],
    [0.2, '12 s'],
    [0.99, '59 s'],
    [0.995, '1 min'],
    [4.5, '4.5 min'],
    [9.94, '9.9 min'],
    [9.96, '10 min'],
    [40.4, '40 min'],
    [90, '90 min'],
    [108, '1.8 h'],
  ])('%d minutes are “%s”', (minutes, text) => {
    expect(write.duration(minutes)).toBe(text);
  });
});

describe('money', () => {
  // Minor units by ISO 4217: the euro has two digits, the yen none, the dinar of Kuwait three.
  it.each([
    ['45,50', 'EUR', 4550],
    ['45.5', 'EUR', 4550],
    ['118', 'EUR', 11_800],
    ['1200', 'JPY', 1200],
    ['4.275', 'KWD', 4275],
    ['0', 'EUR', 0],
  ])('“%s” %s is %i of its smallest unit', (typed, currency, minor) => {
    expect(readMoney(typed, currency)).toBe(minor);
  });

  it.each(['', '-5', '12.', '1.2345', '12345678', '1 000', '€5', '1e3'])(
    '“%s” is none',
    (typed) => {
      expect(readMoney(typed, 'EUR')).toBeUndefined();
    },
  );

  it('is read back as it was written, in every currency', () => {
    const currencies = fc.constantFrom('EUR', 'JPY', 'KWD', 'CHF');
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 9_999_999 }), currencies, (minor, currency) => {
        expect(readMoney(typedMoney(minor, currency), currency)).toBe(minor);
      }),
    );
  });

  it('is shown with its sign', () => {
    expect(write.money(4550, 'EUR')).toBe('€45.50');
    expect(write.money(1200, 'JPY')).toBe('JP¥1\u00a0200');
  });
});

describe('a chance', () => {
  it('is never shown as certain while it is not', () => {
    expect([0, 0.004, 0.006, 0.5, 0.994, 0.996, 1].map(write.percent)).toEqual([
      '0%',
      '<\u00a01%',
      '1%',
      '50%',
      '99%',
      '>\u00a099%',
      '100%',
    ]);
  });
});

import { describe, expect, it } from 'vitest';
import { moneyDigits, toDay, writeDay, writeMoney } from '../src/index.ts';

describe('a day as it is written', () => {
  it('has its weekday, and its year unless it is this one', () => {
    const today = toDay('2026-11-30');
    expect(writeDay(toDay('2026-12-04'), today)).toBe('Fri 4 Dec');
    expect(writeDay(toDay('2025-12-31'), today)).toBe('Wed 31 Dec 2025');
    expect(writeDay(toDay('2027-01-02'), today)).toBe('Sat 2 Jan 2027');
  });

  it('has its year where nobody knows when it is read', () => {
    expect(writeDay(toDay('2026-12-04'))).toBe('Fri 4 Dec 2026');
  });
});

describe('an amount as it is written', () => {
  // ISO 4217: two digits for the euro, none for the yen, three for the Tunisian dinar.
  it.each([
    ['EUR', 2, '€36.05'],
    ['JPY', 0, 'JP¥3\u00a0605'],
    ['TND', 3, 'TND\u00a03.605'],
  ])('counts in the smallest unit of %s', (currency, digits, text) => {
    expect(moneyDigits(currency)).toBe(digits);
    expect(writeMoney(3605, currency)).toBe(text);
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { billOf, money } from '../src/index.ts';

const hour = money(6000);

describe('a bill', () => {
  it('adds labour, parts and tax', () => {
    const parts = [{ words: 'Case', count: 2, each: money(1250) }];
    // 50 min at 60.00 = 50.00; parts 25.00; 20 % of 75.00 = 15.00 (arithmetic).
    expect(billOf(50, parts, { hour, taxPerMille: 200, taxIncluded: false })).toEqual({
      labourMinutes: 50,
      labour: 5000,
      parts: 2500,
      toLeastFee: 0,
      discount: 0,
      tax: 1500,
      total: 9000,
    });
    // With the tax inside: 75.00 x 200 / 1200 = 12.50.
    expect(billOf(50, parts, { hour, taxPerMille: 200, taxIncluded: true })).toMatchObject({
      tax: 1250,
      total: 7500,
    });
  });

  it('is never below the lowest fee; the difference is a line of its own, taxed like the rest', () => {
    const rates = { hour, taxPerMille: 200, taxIncluded: false, leastFee: money(3000) };
    // 10 min at 60.00 = 10.00; 20.00 more up to 30.00; 20 % of 30.00 = 6.00 (arithmetic).
    expect(billOf(10, [], rates)).toEqual({
      labourMinutes: 10,
      labour: 1000,
      parts: 0,
      toLeastFee: 2000,
      discount: 0,
      tax: 600,
      total: 3600,
    });
    expect(billOf(30, [], rates).toLeastFee).toBe(0);
    const part = [{ words: 'Case', count: 1, each: money(2500) }];
    expect(billOf(10, part, rates).toLeastFee).toBe(0);
  });

  it('takes off before the tax, and never more than there is', () => {
    const rates = { hour, taxPerMille: 200, taxIncluded: false };
    // 50.00 less 10.00; 20 % of 40.00 = 8.00 (arithmetic).
    expect(billOf(50, [], rates, money(1000))).toMatchObject({
      discount: 1000,
      tax: 800,
      total: 4800,
    });
    expect(billOf(50, [], rates, money(99_999))).toMatchObject({
      discount: 5000,
      tax: 0,
      total: 0,
    });
  });

  it('rounds to the smallest unit, and its lines add up', () => {
    fc.assert(
      fc.property(
        fc.nat(2000),
        fc.nat(20000),
        fc.nat(300),
        fc.boolean(),
        (worked, each, tax, inside) => {
          const rates = { hour: money(4999), taxPerMille: tax, taxIncluded: inside };
          const bill = billOf(worked, [{ words: 'x', count: 3, each: money(each) }], rates);
          expect(bill.total).toBe(bill.labour + bill.parts + (inside ? 0 : bill.tax));
          expect(Math.abs(bill.labour - (worked * 4999) / 60)).toBeLessThanOrEqual(0.5);
          expect(Object.values(bill).every(Number.isSafeInteger)).toBe(true);
        },
      ),
      { seed: 1, numRuns: 200 },
    );
  });

  it('refuses what is no money and no time', () => {
    expect(() => money(-1)).toThrow('not-money');
    expect(() => money(0.5)).toThrow('not-money');
    expect(() => billOf(1.5, [], { hour, taxPerMille: 0, taxIncluded: false })).toThrow(
      'not-a-duration',
    );
  });
});

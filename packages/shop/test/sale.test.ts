import { describe, expect, it } from 'vitest';
import { saleOf } from '../src/index.ts';

const LINES = [
  { words: 'Needles, pack of five', count: 2, each: 550 },
  { words: 'Oil', count: 1, each: 400 },
];

describe('a sale without a ticket', () => {
  // 19 % in 15.00 are 2.395 (arithmetic), rounded half up.
  it('has the tax in its prices, where they are given with it', () => {
    const sale = saleOf(LINES, { taxPerMille: 190, taxIncluded: true, currency: 'EUR' });
    expect(sale).toEqual({
      total: 1500,
      taxed: { perMille: 190, included: true, tax: 239, currency: 'EUR' },
    });
  });

  it('adds the tax, where prices are given without it', () => {
    const sale = saleOf(LINES, { taxPerMille: 190, taxIncluded: false, currency: 'EUR' });
    expect(sale).toMatchObject({ total: 1785, taxed: { tax: 285 } });
  });
});

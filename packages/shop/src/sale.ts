import { billOf, money } from '@nodo/core';
import type { ShopProfile } from './profiles.ts';

interface SaleLine {
  readonly words: string;
  readonly count: number;
  readonly each: number;
}

/** What a sale without a ticket comes to, and the tax in it, in the smallest unit. */
export function saleOf(
  lines: readonly SaleLine[],
  {
    taxPerMille,
    taxIncluded,
    currency,
  }: Pick<ShopProfile, 'taxPerMille' | 'taxIncluded' | 'currency'>,
): {
  readonly total: number;
  readonly taxed: {
    readonly perMille: number;
    readonly included: boolean;
    readonly tax: number;
    readonly currency: string;
  };
} {
  const parts = lines.map((line) => ({ ...line, each: money(line.each) }));
  const { total, tax } = billOf(0, parts, { hour: money(0), taxPerMille, taxIncluded });
  return { total, taxed: { perMille: taxPerMille, included: taxIncluded, tax, currency } };
}

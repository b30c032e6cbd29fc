import { CoreError } from '../errors/coreError.ts';

/** Money in the smallest unit of its currency: cents, pence, öre. */
export type Money = number & { readonly unit: 'minor' };

/**
 * @throws CoreFault `not-money` unless a whole number of the smallest unit, not negative.
 */
export function money(minor: number): Money {
  if (!Number.isSafeInteger(minor) || minor < 0) throw new CoreError('not-money', { minor });
  return minor as Money;
}

export interface Rates {
  /** Price of an hour of work. */
  readonly hour: Money;
  /** Tax in thousandths: 190 is 19 %. */
  readonly taxPerMille: number;
  /** Whether the prices given contain the tax already. */
  readonly taxIncluded: boolean;
  /** What a repair costs at least, as prices are given; nothing when left out. */
  readonly leastFee?: Money;
}

export interface PricedPart {
  readonly words: string;
  readonly count: number;
  readonly each: Money;
}

export interface Bill {
  readonly labourMinutes: number;
  readonly labour: Money;
  readonly parts: Money;
  /** What is added so that the lowest fee is reached. */
  readonly toLeastFee: Money;
  /** What is taken off, as prices are given. */
  readonly discount: Money;
  /** Of the total, what is tax. */
  readonly tax: Money;
  readonly total: Money;
}

/**
 * What work and parts come to. Labour is rounded to the smallest unit once, the tax once on
 * the sum (half up), so that the lines add up to the total. Below the lowest fee the difference is a line
 * of its own. What is taken off comes before the tax.
 * @param labourMinutes worked, whole minutes
 * @param off what is wished to be taken off; never more than there is
 */
export function billOf(
  labourMinutes: number,
  parts: readonly PricedPart[],
  rates: Rates,
  off: Money = money(0),
): Bill {
  if (!Number.isSafeInteger(labourMinutes) || labourMinutes < 0) {
    throw new CoreError('not-a-duration', { labourMinutes });
  }
  const labour = money(halfUp((labourMinutes * rates.hour) / 60));
  const forParts = money(parts.reduce((sum, { count, each }) => sum + count * each, 0));
  const toLeastFee = money(Math.max(0, (rates.leastFee ?? 0) - labour - forParts));
  const whole = labour + forParts + toLeastFee;
  const discount = money(Math.min(off, whole));
  const sum = whole - discount;
  const { taxPerMille: tax, taxIncluded } = rates;
  const taxed = taxIncluded ? halfUp((sum * tax) / (1000 + tax)) : halfUp((sum * tax) / 1000);
  return {
    labourMinutes,
    labour,
    parts: forParts,
    toLeastFee,
    discount,
    tax: money(taxed),
    total: money(taxIncluded ? sum : sum + taxed),
  };
}

function halfUp(value: number): number {
  return Math.floor(value + 0.5);
}

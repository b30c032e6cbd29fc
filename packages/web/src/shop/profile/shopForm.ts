import { currencyCode } from '@nodo/kernel';
import { type ShopProfile, shopProfile } from '@nodo/shop';
import { z } from 'zod';
import { readMoney, typedMoney } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { readNumber } from '../../messages/typed.ts';

/** Whole numbers of the profile, in the order of the page. */
export const NUMBERS = ['usualDays', 'stuckDays', 'uncollectedDays', 'warrantyDays'] as const;
/** Amounts of the profile. */
export const MONEY = ['hour', 'leastFee'] as const;

/** Texts that stand on papers, and how each is typed. */
export const TEXTS = [
  { name: 'address', maxLength: 300 },
  { name: 'taxNumber', maxLength: 40 },
  { name: 'phone', maxLength: 40, inputMode: 'tel' },
  { name: 'openingHours', maxLength: 200 },
  {
    name: 'publicAddress',
    maxLength: 200,
    inputMode: 'url',
    hint: later.cards.shop.publicHint,
  },
] as const;

type Typed = (typeof NUMBERS)[number] | (typeof MONEY)[number] | 'taxPerMille';

/** The shop's profile with its numbers as they are typed, the tax in per cent. */
export type TypedProfile = Omit<ShopProfile, Typed> & Readonly<Record<Typed, string>>;

/** Each of some fields through a function. */
function each<Name extends string, From, To>(
  names: readonly Name[],
  from: { readonly [name in Name]: From },
  change: (value: From) => To,
): Record<Name, To> {
  return Object.fromEntries(names.map((name) => [name, change(from[name])])) as Record<Name, To>;
}

export function typedProfile(card: ShopProfile): TypedProfile {
  return {
    ...card,
    ...each(MONEY, card, (amount: number) => typedMoney(amount, card.currency)),
    ...each(NUMBERS, card, (number: number) => String(number)),
    taxPerMille: String(card.taxPerMille / 10),
  };
}

export const readyProfile = z.pipe(
  z.transform((form: TypedProfile): unknown => {
    // Money is read in its currency: without one there is none.
    const isCurrency = currencyCode.safeParse(form.currency).success;
    const money = (typed: string) => (isCurrency ? readMoney(typed, form.currency) : undefined);
    const percent = readNumber(form.taxPerMille);
    return {
      ...form,
      ...each(MONEY, form, money),
      ...each(NUMBERS, form, readNumber),
      publicAddress: form.publicAddress.trim(),
      taxPerMille: percent && Math.round(percent * 10),
    };
  }),
  shopProfile,
);

/** What the first field that is not filled in as it must be is called on the page; empty without one. */
export function faultyField(
  faults: Readonly<Record<string, object | undefined>>,
  nameOf: (id: string) => string,
): string {
  const words = later.cards.shop;
  const [field = ''] = Object.keys(faults);
  if (field === 'people') {
    return words.hoursOfPerson(nameOf(Object.keys(faults.people ?? {})[0] ?? ''));
  }
  // Most fields have the name of their label.
  const labels = { ...words, taxPerMille: words.tax, priceList: words.prices.title };
  const label = Object.entries(labels).find(([name]) => name === field)?.[1];
  return typeof label === 'string' ? label : '';
}

import { humanText, instant, lowerFirst, minorUnits, uuid } from '@nodo/kernel';
import type { FamilyModel } from '@nodo/knowledge';
import { closingProposal, discount, PAID_BY, paidBy, type Ticket, UNREPAIRED } from '@nodo/ticket';
import { z } from 'zod';
import type { ShopProfile } from './profiles.ts';

/** A bill, or the credit that takes one back. */
export const BILL_KINDS = ['bill', 'credit'] as const;
export type BillKind = (typeof BILL_KINDS)[number];

/** What a bill says of one machine. */
const machineContent = z.object({
  label: z.string(),
  found: z.string(),
  done: z.string(),
  helps: z.string(),
  /** Given back as it came. */
  unrepaired: z.boolean(),
  /** Why; left out on bills from before it was asked. */
  why: z.enum(UNREPAIRED).optional(),
  parts: z.array(
    z.object({
      words: z.string(),
      count: z.number().int().positive(),
      each: minorUnits,
      amount: minorUnits,
    }),
  ),
  labourMinutes: z.number().int().nonnegative(),
  labour: minorUnits,
  toLeastFee: minorUnits,
  /** Left out where nothing was taken off. */
  discount: discount.optional(),
});
export type MachineContent = z.infer<typeof machineContent>;

/** All that a bill says, as it was handed over: never changed by what is set or corrected afterwards. */
export const billContent = machineContent.extend({
  shop: z.object({ name: z.string(), address: z.string(), taxNumber: z.string() }),
  /** Further machines on the same bill; left out where it is about one. */
  also: z.array(machineContent).optional(),
  taxIncluded: z.boolean(),
  /** What of the total is taxed by which rate. */
  taxes: z.array(
    z.object({ perMille: z.number().int().nonnegative(), net: minorUnits, tax: minorUnits }),
  ),
  total: minorUnits,
  currency: z.string(),
  paid: z.enum(PAID_BY),
});
export type BillContent = z.infer<typeof billContent>;

export const issuedBill = z.object({
  id: uuid,
  /** All that it is about: the ticket where it was made first. */
  tickets: z.array(uuid).min(1),
  /** Running in the shop, without gaps, over bills and credits. */
  number: z.number().int().positive(),
  kind: z.enum(BILL_KINDS),
  /** The number of the bill that a credit takes back. */
  of: z.number().int().positive().nullable(),
  /** Why a credit was given. */
  reason: humanText(500, 0),
  at: instant,
  by: uuid,
  content: billContent,
});
export type IssuedBill = z.infer<typeof issuedBill>;

/** The bill that holds: the latest that no credit takes back. */
export function standingBill<Bill extends Pick<IssuedBill, 'number' | 'kind' | 'of'>>(
  bills: readonly Bill[],
): Bill | undefined {
  const credited = new Set(bills.map(({ of }) => of));
  return bills.findLast(({ kind, number }) => kind === 'bill' && !credited.has(number));
}

/** What a bill is about by name, the first machine first. */
export function labelsOn({ label, also = [] }: Pick<BillContent, 'label' | 'also'>): string[] {
  return [label, ...also.map((machine) => machine.label)];
}

/** What a customer learns of the work. */
export type ClosingWords = Pick<
  BillContent,
  'found' | 'done' | 'helps' | 'paid' | 'unrepaired' | 'why'
>;

/** What the customer learns of the work: as somebody wrote it, else in the tables' own words. */
export function closingWordsOf(ticket: Ticket, model: FamilyModel): ClosingWords {
  const { closingSheet } = ticket.life;
  const why = ticket.closing?.unrepaired;
  const ending = { paid: paidBy(ticket.life), unrepaired: why !== undefined, ...(why && { why }) };
  if (closingSheet) return { ...closingSheet, ...ending };
  const { found, probable, done, helps } = closingProposal(ticket, model);
  const nameOf = (cause: string) => model.causes.get(cause)?.name ?? cause;
  return {
    found: [
      ...found.map(nameOf),
      ...(probable === undefined ? [] : [`Probably: ${lowerFirst(nameOf(probable))}`]),
    ].join('; '),
    done: done.map((action) => model.actions.get(action)?.title ?? action).join('; '),
    helps: helps.join(' '),
    ...ending,
  };
}

/** What the bill of a ticket says now; undefined before a price was worked out. */
export function billContentOf(
  ticket: Ticket,
  model: FamilyModel,
  name: string,
  { address, taxNumber }: Pick<ShopProfile, 'address' | 'taxNumber'>,
): BillContent | undefined {
  const { bill, parts } = ticket.life;
  if (!bill) return undefined;
  return {
    shop: { name, address, taxNumber },
    label: ticket.intake?.label ?? '',
    ...closingWordsOf(ticket, model),
    parts: parts.map(({ words, count, each }) => ({ words, count, each, amount: count * each })),
    labourMinutes: bill.labourMinutes,
    labour: bill.labour,
    toLeastFee: bill.toLeastFee,
    ...(bill.discount && { discount: bill.discount }),
    taxIncluded: bill.rates.taxIncluded,
    taxes: [{ perMille: bill.rates.taxPerMille, net: bill.total - bill.tax, tax: bill.tax }],
    total: bill.total,
    currency: bill.currency,
  };
}

/**
 * One bill over several machines: the first with its customer's other ones, sums and taxes added up as they were
 * rounded. It is paid once all of it is.
 * @returns undefined where the prices are of different currencies, or given with and without tax
 */
export function jointContent(
  first: BillContent,
  others: readonly BillContent[],
): BillContent | undefined {
  const isAlike = others.every(
    ({ currency, taxIncluded }) => currency === first.currency && taxIncluded === first.taxIncluded,
  );
  if (!isAlike) return undefined;
  if (others.length === 0) return first;
  const all = [first, ...others];
  const taxes = new Map<number, BillContent['taxes'][number]>();
  for (const { perMille, net, tax } of all.flatMap((one) => one.taxes)) {
    const before = taxes.get(perMille) ?? { net: 0, tax: 0 };
    taxes.set(perMille, { perMille, net: before.net + net, tax: before.tax + tax });
  }
  return {
    ...first,
    also: others.map((one) => machineContent.parse(one)),
    taxes: [...taxes.values()],
    total: all.reduce((sum, { total }) => sum + total, 0),
    paid: all.some(({ paid, total }) => paid === 'not-yet' && total > 0) ? 'not-yet' : first.paid,
  };
}

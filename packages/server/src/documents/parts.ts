import type { Customer } from '@nodo/api';
import { type Day, dayOf, writeDayIn, writeMoney, writeNumber } from '@nodo/kernel';
import type { FamilyModel } from '@nodo/knowledge';
import type { BillContent, IssuedBill, ShopProfile } from '@nodo/shop';
import type { Ticket } from '@nodo/ticket';
import { drawCode, type Page, roomFor, rule, write } from './page.ts';
import type { PaperWords } from './words/en.ts';
import { wordsIn } from './words/index.ts';

/** What is printed about. */
export interface Subject {
  readonly shop: string;
  /** When it is printed. */
  readonly at: Date;
  readonly card: ShopProfile;
  readonly ticket: Ticket;
  readonly model: FamilyModel;
  readonly customer: Customer | null;
  /** Bills and credits that were handed over, the earliest first. */
  readonly bills: readonly IssuedBill[];
  /** What a bill would say now. */
  readonly content: BillContent | undefined;
  /** What the code on a tag opens: the ticket, for the shop's own screens. */
  readonly address: string;
  /** The page that a customer reads; undefined where they cannot reach one, then there is no code. */
  readonly page: string | undefined;
  /** The customer's signature as a JPEG, where there is one. */
  readonly signature: Buffer | undefined;
}

/** How a shop writes its papers. */
export interface PaperStyle {
  readonly words: PaperWords;
  readonly day: (day: Day) => string;
  /** The day in the shop on which something happened. */
  readonly dayOf: (instant: string) => string;
  /** @param currency the shop's if left out */
  readonly money: (minor: number, currency?: string) => string;
  readonly number: (value: number) => string;
}

export function styleOf({ timeZone, currency, paperLanguage }: ShopProfile): PaperStyle {
  const day = (one: Day) => writeDayIn(paperLanguage, one);
  return {
    words: wordsIn(paperLanguage),
    day,
    dayOf: (instant) => day(dayOf(instant, timeZone)),
    money: (minor, of = currency) => writeMoney(minor, of, paperLanguage),
    number: (value) => writeNumber(value, paperLanguage),
  };
}

export const LEFT = 14;
export const WIDE = 120;

/**
 * The head of what a customer takes along.
 * @param subjectLine whether it names the machine; a paper about several names each below
 * @returns where it ends
 */
export function drawHead(
  page: Page,
  subject: Subject,
  title: string,
  at: string | undefined,
  { subjectLine = true }: { readonly subjectLine?: boolean } = {},
): number {
  const { shop, card, ticket, customer } = subject;
  if (subject.page !== undefined) drawCode(page, subject.page, [112, 12, 22]);
  write(page, shop, [LEFT, 14], { size: 15, bold: true, width: 92 });
  const { words, dayOf: dayIn } = styleOf(card);
  let top = write(page, `${title}${at ? `, ${dayIn(at)}` : ''}`, [LEFT, 23], {
    size: 11,
    width: 92,
  });
  top = Math.max(top, 38);
  rule(page, LEFT, top, WIDE);
  top += 3;
  if (subjectLine) {
    const name = `${ticket.intake?.label ?? ''}, ${words.tag} ${ticket.intake?.tag ?? ''}`;
    top = write(page, name, [LEFT, top], { size: 12, bold: true, width: WIDE });
  }
  if (customer) {
    const reach = [customer.name, customer.phone, customer.other].filter(Boolean).join(', ');
    top = write(page, reach, [LEFT, top + 1], { width: WIDE });
  }
  return top;
}

/** One fact with its name in front. @returns where it ends */
export function fact(page: Page, name: string, text: string, from: number): number {
  if (text === '') return from;
  const top = roomFor(page, from, FACT_HEIGHT);
  write(page, name, [LEFT, top + 2.5], { size: 8, width: 30 });
  return write(page, text, [LEFT + 32, top + 2.2], { size: 10, width: WIDE - 32 });
}

const FACT_HEIGHT = 8;

/** Where to ask. @returns where it ends */
export function reachUs(page: Page, card: ShopProfile, top: number): number {
  const { words } = styleOf(card);
  return fact(
    page,
    words.questions,
    [card.phone, card.openingHours].filter(Boolean).join(', '),
    top,
  );
}

/** One line of a bill; a heading has no amount. */
export interface Line {
  readonly words: string;
  readonly amount?: number;
  readonly bold?: boolean;
}

/** Lines with their amounts below each other, under a rule. @returns where they end */
export function lines(
  page: Page,
  all: readonly Line[],
  money: (minor: number) => string,
  from: number,
): number {
  let top = roomFor(page, from, FACT_HEIGHT);
  rule(page, LEFT, top, WIDE);
  for (const { words, amount, bold = false } of all) {
    top = roomFor(page, top, FACT_HEIGHT);
    if (amount !== undefined) {
      const at = [LEFT + 85, top + 2] as const;
      write(page, money(amount), at, { size: 10, bold, width: 35, align: 'right' });
    }
    top = write(page, words, [LEFT, top + 2], { size: 10, bold, width: 84 });
  }
  return top;
}

/** What of the sum is tax. */
export function taxLine(
  { words, money, number }: PaperStyle,
  {
    perMille,
    included,
    net,
    tax,
    currency,
  }: {
    readonly perMille: number;
    readonly included: boolean;
    readonly net: number;
    readonly tax: number;
    readonly currency: string;
  },
): Line {
  return { words: words.tax(included, number(perMille / 10), money(net, currency)), amount: tax };
}

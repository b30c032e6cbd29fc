import type { Bill, Rates } from '@nodo/core';
import { type Day, minutesBetween } from '@nodo/kernel';
import type { Mark } from './marks.ts';
import type { RegisterEntry } from './needleEntry.ts';
import type { KeptSample } from './sample.ts';
import type {
  CaseWhich,
  ClosingSheet,
  Contact,
  Discount,
  KeptTry,
  Measure,
  NeverCollected,
  PaidBy,
  PartPut,
  Payment,
  PiecesLaid,
  ScrewLog,
  SetUp,
} from './values.ts';
import type { SewingWork } from './work.ts';

/** What was asked for the work, and what the customer said to it. */
export interface PriceAsked {
  readonly amount: number;
  readonly words: string;
  readonly seq: number;
  readonly answer:
    | {
        readonly agreed: boolean;
        readonly how: Spoken;
        readonly words: string;
        readonly at: string;
      }
    | undefined;
}

/** How the shop and a customer spoke to each other. */
export const SPOKEN = ['telephone', 'counter', 'message'] as const;
export type Spoken = (typeof SPOKEN)[number];

/** A part that was ordered and is waited for. */
export interface PartAwaited {
  readonly id: string;
  readonly part: string;
  /** When it should come; null when nobody knows. */
  readonly expected: Day | null;
  /** What one costs, where that was known. */
  readonly each: number | undefined;
  readonly came: boolean;
  /** It went in, or home with the machine. */
  readonly fitted: boolean;
}

/** At whose bench a job is done, and behind which other one, because somebody decided so. */
export interface Pin {
  readonly person: string;
  /** The ticket before it; null: before all others; undefined: in its turn at that bench. */
  readonly after?: string | null | undefined;
  readonly at: string;
}

/** A stretch of work by one person; still going on where it has no end. */
export interface Worked {
  readonly person: string;
  readonly from: string;
  readonly until: string | undefined;
}

/** The side of a ticket that is not the diagnosis: money, time, waiting, promises. */
export interface Life {
  /** The machine's row, if it is known as one. */
  readonly machine: string | undefined;
  /** The ticket that this one comes back from. */
  readonly comebackOf: string | undefined;
  /** Tickets by which this machine came back. */
  readonly comebacks: readonly string[];
  readonly accessories: readonly string[];
  readonly condition: string;
  readonly setUp: SetUp | undefined;
  /** What may be spent without asking; null: nothing without asking; undefined: not spoken of. */
  readonly limit: number | null | undefined;
  /** What the look alone costs, whatever becomes of the repair. */
  readonly inspectionFee: number | undefined;
  readonly asked: PriceAsked | undefined;
  readonly awaits: readonly PartAwaited[];
  readonly parts: readonly (PartPut & { readonly entry: string })[];
  readonly worked: readonly Worked[];
  /** Whole minutes that were written down without the clock. */
  readonly booked: number;
  /** The day that was promised to the customer. */
  readonly promised: Day | undefined;
  readonly measures: readonly (Measure & { readonly seq: number })[];
  /** Which needle was in, from when on, the latest last. */
  readonly needles: readonly (RegisterEntry & { readonly seq: number })[];
  /** What the customer sews with it. */
  readonly work: SewingWork | undefined;
  /** The pieces of a broken needle as they were last recorded. */
  readonly pieces: (PiecesLaid & { readonly seq: number }) | undefined;
  /** What was sewn to set the tension, the latest last. */
  readonly tries: readonly (KeptTry & { readonly seq: number })[];
  /** Sewn samples that were measured from pictures, the latest last. */
  readonly samples: readonly (KeptSample & { readonly seq: number; readonly at: string })[];
  /** How far the screws of its cases were turned. */
  readonly screws: Readonly<Partial<Record<CaseWhich, ScrewLog>>>;
  /** Marks found on what the needle can reach. */
  readonly marks: readonly Mark[];
  /** What was given back counts below nothing. */
  readonly payments: readonly (Payment & { readonly entry: string; readonly at: string })[];
  /** Of what came with it, what was given back; undefined before it was handed out. */
  readonly givenBack: readonly string[] | undefined;
  /** Why it was handed out without a bill. */
  readonly withoutBill: string | undefined;
  /** What became of it, because it was never collected. */
  readonly instead: { readonly way: NeverCollected; readonly reason: string } | undefined;
  readonly signed: readonly { readonly photo: string; readonly what: 'intake' | 'collected' }[];
  readonly bill:
    | (Omit<Bill, 'discount'> & {
        readonly rates: Rates;
        readonly currency: string;
        readonly discount: Discount | undefined;
      })
    | undefined;
  /** What the customer learns of the work, as it was last written. */
  readonly closingSheet: ClosingSheet | undefined;
  /** Where it is done, decided by hand. */
  readonly pin: Pin | undefined;
  /** When the customer was last informed that it is ready. */
  readonly toldAt: string | undefined;
  /** The last try to speak to the customer, and when it was. */
  readonly contact: (Contact & { readonly at: string }) | undefined;
}

export const NEW_LIFE: Life = {
  machine: undefined,
  comebackOf: undefined,
  comebacks: [],
  accessories: [],
  condition: '',
  setUp: undefined,
  limit: undefined,
  inspectionFee: undefined,
  asked: undefined,
  awaits: [],
  parts: [],
  worked: [],
  booked: 0,
  promised: undefined,
  measures: [],
  needles: [],
  work: undefined,
  pieces: undefined,
  tries: [],
  samples: [],
  screws: {},
  marks: [],
  payments: [],
  givenBack: undefined,
  withoutBill: undefined,
  instead: undefined,
  signed: [],
  bill: undefined,
  closingSheet: undefined,
  pin: undefined,
  toldAt: undefined,
  contact: undefined,
};

/**
 * What the customer agreed to pay: once they said no, the limit or the fee for the look that was agreed before,
 * if any; undefined when it was never spoken of.
 */
export function agreedPrice({ limit, asked, inspectionFee = 0 }: Life): number | undefined {
  const answered = asked?.answer && asked;
  if (!answered && limit === undefined) return undefined;
  return Math.max(answered?.answer?.agreed ? answered.amount : 0, limit ?? 0, inspectionFee);
}

/** How the bill was paid, as far as it was: by the latest payment once they come to the total. */
export function paidBy({ payments, bill, closingSheet }: Life): PaidBy {
  const last = payments.findLast(({ amount }) => amount > 0);
  if (!last) return closingSheet?.paid ?? 'not-yet';
  return dueOf({ payments, bill, closingSheet }) > 0 ? 'not-yet' : last.how;
}

/** What is still to be paid of the price that was worked out, in the smallest unit. */
export function dueOf({
  payments,
  bill,
  closingSheet,
}: Pick<Life, 'payments' | 'bill' | 'closingSheet'>): number {
  const isPaidInWords = payments.length === 0 && (closingSheet?.paid ?? 'not-yet') !== 'not-yet';
  if (!bill || isPaidInWords) return 0;
  return Math.max(0, bill.total - paidSum({ payments }));
}

/** What the customer paid less what was given back, in the smallest unit. */
export function paidSum({ payments }: Pick<Life, 'payments'>): number {
  return payments.reduce((sum, { amount }) => sum + amount, 0);
}

/** What was paid above the price that holds now: to be given back. */
export function overpaidOf({ payments, bill }: Pick<Life, 'payments' | 'bill'>): number {
  return bill ? Math.max(0, paidSum({ payments }) - bill.total) : 0;
}

/** Whether the customer had the last word, and it was no. */
export function wasDeclined({ asked }: Life): boolean {
  return asked?.answer?.agreed === false;
}

/**
 * Minutes of work so far: the clock's and those written down without it.
 * @param until instant up to which a clock counts that still runs; what runs is left out without it.
 */
export function minutesWorked({ worked, booked }: Life, until?: string): number {
  return worked.reduce((sum, one) => {
    const end = one.until ?? until;
    // A clock set back cannot make work undone.
    return end === undefined ? sum : sum + Math.max(0, minutesBetween(one.from, end));
  }, booked);
}

/** Who is at work on it by the clock. */
export function atTheClock({ worked }: Life): readonly string[] {
  return worked.filter(({ until }) => until === undefined).map(({ person }) => person);
}

/** The life with the clock of one person stopped, or of everybody. */
export function clockStopped(life: Life, at: string, person?: string): Life {
  return {
    ...life,
    worked: life.worked.map((one) =>
      one.until === undefined && (person === undefined || one.person === person)
        ? { ...one, until: at }
        : one,
    ),
  };
}

/** Where a ticket stands in the life of the shop; what only the calendar knows is not here. */
export const STAGES = [
  'away',
  'taken-in',
  'on-the-bench',
  'ask-customer',
  'part-awaited',
  'ready',
  'collected',
] as const;
export type Stage = (typeof STAGES)[number];

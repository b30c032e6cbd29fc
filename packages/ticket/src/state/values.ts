import type { HowOften } from '@nodo/core';
import { day, humanText, LEAST_REASON, minorUnits, uuid } from '@nodo/kernel';
import { type Provenance, STRUCK_PLACES, type StruckId } from '@nodo/knowledge';
import { z } from 'zod';
import { needlePosition } from './needleEntry.ts';
import { QUANTITY_IDS } from './quantities.ts';

/** How needle, threads and settings were, each in the words of who looked; empty where nobody did. */
export const setUpFound = z.object({
  needle: humanText(120, 0),
  thread: humanText(120, 0),
  bobbin: humanText(120, 0),
  dial: humanText(40, 0),
  screw: humanText(40, 0),
});
export type SetUp = z.infer<typeof setUpFound>;

/** A part that went into the machine. */
export const partPut = z.object({
  words: humanText(120),
  count: z.number().int().min(1).max(999),
  /** Price of one. */
  each: minorUnits,
  /** The order by which it came, where it was one. */
  awaited: uuid.optional(),
});
export type PartPut = z.infer<typeof partPut>;

/** What a customer is called about. */
export const CALL_REASONS = ['price', 'ready', 'part-late', 'promise', 'not-fetched'] as const;
export type CallReason = (typeof CALL_REASONS)[number];

/** What came of it. */
export const CONTACT_OUTCOMES = ['reached', 'no-answer', 'message-left'] as const;
export type ContactOutcome = (typeof CONTACT_OUTCOMES)[number];

/** Somebody tried to speak to the customer. */
export const contact = z.object({
  about: z.enum(CALL_REASONS),
  outcome: z.enum(CONTACT_OUTCOMES),
  /** When to try again; null: not by itself. */
  again: day.nullable(),
});
export type Contact = z.infer<typeof contact>;

/** Why a machine goes back unrepaired. */
export const UNREPAIRED = ['refused', 'not-worth-it', 'no-part'] as const;
export type Unrepaired = (typeof UNREPAIRED)[number];

/** What becomes of a machine that its customer never collects. */
export const NEVER_COLLECTED = ['kept', 'given-away', 'scrapped', 'sold'] as const;
export type NeverCollected = (typeof NEVER_COLLECTED)[number];

/** How a bill was paid. */
export const PAID_BY = ['not-yet', 'cash', 'card', 'transfer'] as const;
export type PaidBy = (typeof PAID_BY)[number];

/** How money is given. */
/** What a machine is called by across the shop: the colour of most of its body. */
export const BODY_COLOURS = [
  'white',
  'cream',
  'grey',
  'black',
  'red',
  'pink',
  'purple',
  'blue',
  'teal',
  'green',
  'yellow',
  'orange',
  'brown',
] as const;
export type BodyColour = (typeof BODY_COLOURS)[number];

export const PAYMENT_WAYS = ['cash', 'card', 'transfer'] as const;
export type PaymentWay = (typeof PAYMENT_WAYS)[number];

/** Money that a customer gave for a ticket. */
export const payment = z.object({
  how: z.enum(PAYMENT_WAYS),
  amount: minorUnits,
});
export type Payment = z.infer<typeof payment>;

/** What is taken off a price, and why. */
export const discount = z.object({ amount: minorUnits, reason: humanText(300, LEAST_REASON) });
export type Discount = z.infer<typeof discount>;

/** What the customer learns of the work, in sentences that anybody may correct. */
export const closingSheet = z.object({
  found: humanText(1000, 0),
  done: humanText(1000, 0),
  /** What helps next time. */
  helps: humanText(1000, 0),
  /** As pages said it before payments were entries of their own. */
  paid: z.enum(PAID_BY),
});
export type ClosingSheet = z.infer<typeof closingSheet>;

/** Where a limit comes from; `shop` is the machine's own card. */
const LIMIT_PROVENANCES = [
  'published',
  'common-practice',
  'typical',
  'derived',
  'tuned',
  'shop',
] as const satisfies readonly Provenance[];

/** Where the dial of the top tension stands: most count from 0 to 9. */
export const dialNumber = z.number().min(0).max(9);

/** Minutes of a clock that a case's screw was turned in all, clockwise plus. */
export const screwTotal = z.number().min(-120).max(120);

/** Signed balance of a seam: -1 on top, 0 in the middle, 1 below. */
export const balanceValue = z.number().min(-1).max(1);

/** Seams by which the balance is read. */
export const SEAM_KINDS = ['straight', 'zigzag'] as const;
export type SeamKind = (typeof SEAM_KINDS)[number];

/** One sewn try: how the tension stood, and where the knot lay along the seam. */
export const tensionTry = z.object({
  dial: dialNumber,
  screw: screwTotal,
  /** At one or more places along the seam. */
  read: z.array(balanceValue).min(1).max(9),
  seam: z.enum(SEAM_KINDS),
  /** Where the knot was wanted. */
  wanted: balanceValue,
  /** Which needle of a head it is about. */
  at: needlePosition.optional(),
});
export type KeptTry = z.infer<typeof tensionTry>;

/** Where the needle stands in its swing, to the right as one sits before the machine. */
export const SWING_PLACES = ['left', 'middle', 'right'] as const;
export type SwingPlace = (typeof SWING_PLACES)[number];

/** What was measured on it, as it was found or as it was set. */
export const measure = z.object({
  quantity: z.enum(QUANTITY_IDS),
  /** In the unit of the quantity. */
  value: z.number().min(-1000).max(1e10),
  when: z.enum(['found', 'set']),
  /** Which needle of a head it is about. */
  at: needlePosition.optional(),
  /** At which swing of a zigzag machine. */
  swing: z.enum(SWING_PLACES).optional(),
  /** Of a pull of the top thread: how dial and presser stood. */
  pulled: z
    .discriminatedUnion('presser', [
      z.object({ presser: z.literal('up') }),
      z.object({ presser: z.literal('down'), dial: dialNumber, going: z.enum(['up', 'down']) }),
    ])
    .optional(),
  /** What it was held against, and who says so. */
  limit: z
    .object({
      least: z.number().nullable(),
      most: z.number().nullable(),
      standing: z.enum(LIMIT_PROVENANCES),
    })
    .optional(),
});
export type Measure = z.infer<typeof measure>;
export type MeasureLimit = NonNullable<Measure['limit']>;

const pieceLength = z.number().positive().max(200);

/** The pieces of a broken needle, end to end. */
export const piecesFound = z.object({
  at: needlePosition,
  /** Of a whole needle of its system, in millimetres. */
  whole: pieceLength,
  /** Each measured along the needle, in millimetres. */
  pieces: z.array(pieceLength).max(40),
  /** What it struck, where that is known. */
  struck: z.enum(STRUCK_PLACES.map(({ id }) => id) as [StruckId, ...StruckId[]]).nullable(),
});

/** With what they come to. */
export const piecesLaid = piecesFound.extend({
  missing: z.number(),
  state: z.enum(['missing', 'whole', 'too-much']),
});
export type PiecesLaid = z.infer<typeof piecesLaid>;

/** A bobbin case of the machine: its own, or a second one for experiments. */
export const CASES = ['own', 'second'] as const;
export type CaseWhich = (typeof CASES)[number];

/** One turn of a case's screw, in minutes of a clock, clockwise plus. */
export const screwTurn = z.object({
  which: z.enum(CASES),
  /** Where the slot pointed before it, 0 to 60 as on a clock. */
  start: z.number().min(0).max(60),
  turn: z.number().min(-120).max(120),
});

/** Every turn of one screw on a ticket. */
export interface ScrewLog {
  /** Where the slot pointed before the first. */
  readonly start: number;
  readonly turns: readonly number[];
}

/** How often the customer sees a symptom. */
export const HOW_OFTEN = [
  'always',
  'seam',
  'now-and-then',
  'hours',
] as const satisfies readonly HowOften[];

import { AT_THE_COUNTER, day, humanText, instant, minorUnits, uuid } from '@nodo/kernel';
import { partPut, payment, rackEntry } from '@nodo/ticket';
import { z } from 'zod';
import { ADDRESSES } from './addresses.ts';
import { defineEndpoint } from './endpoint.ts';

/** A machine of a day, and when that happened to it. */
const dayLine = z.object({ at: instant, line: rackEntry });

/** What somebody bought without bringing a machine. */
const saleLines = z
  .array(partPut.omit({ awaited: true }))
  .min(1)
  .max(50);
const sale = z.object({
  id: uuid,
  at: instant,
  by: uuid,
  lines: saleLines,
  how: payment.shape.how,
  total: minorUnits,
  /** The tax in it; null for what was sold before it was kept. */
  taxed: z
    .object({
      perMille: z.number().int().nonnegative(),
      included: z.boolean(),
      tax: minorUnits,
      currency: z.string(),
    })
    .nullable(),
});
export type Sale = z.infer<typeof sale>;

/** The cash in the till as somebody counted it. */
const tillCount = z.object({
  id: uuid,
  at: instant,
  by: uuid,
  counted: minorUnits,
  /** What had been taken in cash on that day until then; below nothing where more was given back. */
  taken: z.number().int(),
  note: humanText(300, 0),
});
export type TillCount = z.infer<typeof tillCount>;

/** What came in and went out of the shop on a day, and what was paid. */
const daySheet = z.object({
  day,
  takenIn: z.array(dayLine),
  handedOut: z.array(dayLine.extend({ withoutBill: z.string().nullable() })),
  /** Payments by whom they were for, in the order of the day; what was given back is below nothing. */
  payments: z.array(
    payment.extend({ amount: z.number().int(), at: instant, by: uuid, line: rackEntry }),
  ),
  /** What was sold without a ticket. */
  sales: z.array(sale),
  /** Sums by the way of paying, tickets and sales together, in the smallest unit. */
  takings: z.record(payment.shape.how, z.number().int()),
  /** Each time the till was counted, the first first. */
  counts: z.array(tillCount),
});
export type DaySheet = z.infer<typeof daySheet>;

export const readDaySheet = defineEndpoint({
  ...ADDRESSES.readDaySheet,
  roles: AT_THE_COUNTER,
  params: z.object({ day }),
  answer: daySheet,
});

/** The till was counted: kept beside what was taken until then. Sending again is safe. */
export const countTill = defineEndpoint({
  ...ADDRESSES.countTill,
  roles: AT_THE_COUNTER,
  params: z.object({ day }),
  body: z.object({ id: uuid, counted: minorUnits, note: humanText(300, 0) }),
  answer: daySheet,
});

/** Something is sold without a ticket, today. Sending again is safe. */
export const makeSale = defineEndpoint({
  ...ADDRESSES.makeSale,
  roles: AT_THE_COUNTER,
  body: z.object({ id: uuid, lines: saleLines, how: payment.shape.how }),
  answer: sale,
});

/** What somebody takes along who bought something without a ticket, as PDF. */
export const readSaleReceipt = defineEndpoint({
  ...ADDRESSES.readSaleReceipt,
  sends: 'application/pdf',
  roles: AT_THE_COUNTER,
  params: z.object({ sale: uuid }),
  answer: z.never(),
});

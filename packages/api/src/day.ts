import { AT_THE_COUNTER, day, instant, minorUnits, uuid } from '@nodo/kernel';
import { payment, rackEntry } from '@nodo/ticket';
import { z } from 'zod';
import { ADDRESSES } from './addresses.ts';
import { defineEndpoint } from './endpoint.ts';

/** A machine of a day, and when that happened to it. */
const dayLine = z.object({ at: instant, line: rackEntry });
export type DayLine = z.infer<typeof dayLine>;

/** What came in and went out of the shop on a day, and what was paid. */
const daySheet = z.object({
  day,
  takenIn: z.array(dayLine),
  handedOut: z.array(dayLine.extend({ withoutBill: z.string().nullable() })),
  /** Payments by whom they were for, in the order of the day. */
  payments: z.array(payment.extend({ at: instant, by: uuid, line: rackEntry })),
  /** Sums by the way of paying, in the smallest unit. */
  takings: z.record(payment.shape.how, minorUnits),
});
export type DaySheet = z.infer<typeof daySheet>;

export const readDaySheet = defineEndpoint({
  ...ADDRESSES.readDaySheet,
  roles: AT_THE_COUNTER,
  params: z.object({ day }),
  answer: daySheet,
});

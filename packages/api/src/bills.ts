import { AT_THE_COUNTER, humanText, uuid } from '@nodo/kernel';
import { BILL_KINDS, issuedBill } from '@nodo/shop';
import { z } from 'zod';
import { ADDRESSES } from './addresses.ts';
import { defineEndpoint } from './endpoint.ts';

const ofTicket = z.object({ ticket: uuid });
const bills = z.array(issuedBill);

/** The bills and credits of a ticket, the earliest first. */
export const readBills = defineEndpoint({
  ...ADDRESSES.readBills,
  roles: AT_THE_COUNTER,
  params: ofTicket,
  answer: bills,
});

/**
 * Hands a bill over, or takes the one that holds back by a credit: it gets the shop's next number and is
 * never changed. It can be about several tickets of one customer. Sent again with the same id it counts once.
 */
export const issueBill = defineEndpoint({
  ...ADDRESSES.issueBill,
  roles: AT_THE_COUNTER,
  params: ofTicket,
  body: z.object({
    id: uuid,
    /** Tickets of the same customer that the bill is about as well. */
    also: z.array(uuid).max(10).default([]),
    kind: z.enum(BILL_KINDS),
    /** Why a credit is given. */
    reason: humanText(500, 0).default(''),
  }),
  answer: bills,
});

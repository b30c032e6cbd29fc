import { z } from 'zod';
import { AT_THE_COUNTER, EVERY_ROLE } from '../roles.ts';
import { customerCard, machineCard } from '../shop/cards.ts';
import { day, instant, tableId, uuid } from '../text.ts';
import { draft, ticketEvent } from '../tickets/events/index.ts';
import { STANDINGS } from '../tickets/life.ts';
import { ADDRESSES } from './addresses.ts';
import { defineEndpoint } from './endpoint.ts';

/** One machine as the Rack shows it; kept beside the events and rebuilt from them at will. */
const ticketSummary = z.object({
  ticket: uuid,
  seq: z.number().int().positive(),
  /** Null for a machine that was talked about on the telephone and is not in the shop. */
  tag: z.number().int().positive().nullable(),
  call: z.enum(['solved', 'bring-in', 'stop']).nullable(),
  shelf: z.string(),
  label: z.string(),
  family: tableId,
  status: z.enum(['open', 'closed', 'collected']),
  words: z.string(),
  takenInAt: instant,
  changedAt: instant,
  /** Who made the last entry at the bench, if anybody has yet. */
  lastBy: uuid.nullable(),
  /** Entries above and below the seam's line. */
  seen: z.number().int().nonnegative(),
  done: z.number().int().nonnegative(),
  /** Duties still owed, by id. */
  owed: z.array(tableId),
  contested: z.number().int().nonnegative(),
  likely: z.object({ cause: z.string(), name: z.string(), chance: z.number() }).nullable(),
  risk: z.number().min(0).max(1),
  /** Left to somebody, or to whoever comes, who has not taken it up yet. */
  handOver: z.object({ to: uuid.nullable(), by: uuid, note: z.string() }).nullable(),
  /** Entries that arrived after the knot was tied. */
  late: z.number().int().nonnegative(),
  standing: z.enum(STANDINGS),
  machine: uuid.nullable(),
  comebackOf: uuid.nullable(),
  /** How often the machine came back after it. */
  comebacks: z.number().int().nonnegative(),
  /** Minutes of work left, expected and with their spread; null in a line of before they were reckoned. */
  left: z.object({ mean: z.number(), spread: z.number() }).nullable(),
  /** The day that the customer was told. */
  promised: day.nullable(),
  awaited: z.object({ part: z.string(), expected: day.nullable() }).nullable(),
  /** Who works on it by the clock. */
  atTheClock: z.array(uuid),
  readyAt: instant.nullable(),
  /** When the customer was last told that it is ready. */
  toldAt: instant.nullable(),
  unrepaired: z.boolean(),
  /** What it came to, in the smallest unit of the shop's currency. */
  total: z.number().int().nullable(),
});
export type TicketSummary = z.infer<typeof ticketSummary>;

export const rackEntry = ticketSummary.extend({ customerName: z.string().nullable() });
export type RackEntry = z.infer<typeof rackEntry>;

const customer = customerCard.extend({ id: uuid });
export type Customer = z.infer<typeof customer>;

/** A machine that the shop sees for the first time. */
const newMachine = z.object({ id: uuid, card: machineCard });
export type NewMachine = z.infer<typeof newMachine>;

const ticketFile = z.object({
  ticket: uuid,
  events: z.array(ticketEvent),
  customer: customer.nullable(),
});
export type TicketFile = z.infer<typeof ticketFile>;

export const listTickets = defineEndpoint({
  ...ADDRESSES.listTickets,
  roles: EVERY_ROLE,
  params: z.object({}),
  body: z.undefined(),
  answer: z.array(rackEntry),
});

/** Takes a machine in: customer, machine and first entries together or not at all. */
export const takeIn = defineEndpoint({
  ...ADDRESSES.takeIn,
  roles: AT_THE_COUNTER,
  params: z.object({}),
  body: z.object({
    ticket: uuid,
    /** Written down with it; left out when the first entry names one that is known. */
    customer: customer.nullable(),
    machine: newMachine.nullish(),
    drafts: z.array(draft).min(1).max(8),
  }),
  answer: ticketFile,
});

/**
 * The open tickets in full, page by page: what a screen keeps so that it can work without the
 * network. @param after the last ticket of the page before
 */
export const openTickets = defineEndpoint({
  ...ADDRESSES.openTickets,
  roles: EVERY_ROLE,
  params: z.object({ after: uuid.optional() }),
  body: z.undefined(),
  answer: z.object({ files: z.array(ticketFile), next: uuid.nullable() }),
});

export const readTicket = defineEndpoint({
  ...ADDRESSES.readTicket,
  roles: EVERY_ROLE,
  params: z.object({ ticket: uuid }),
  body: z.undefined(),
  answer: ticketFile,
});

/** Records one event. Sending the same draft again answers with the stored event. */
export const recordEvent = defineEndpoint({
  ...ADDRESSES.recordEvent,
  roles: EVERY_ROLE,
  params: z.object({ ticket: uuid }),
  body: draft,
  answer: ticketEvent,
});

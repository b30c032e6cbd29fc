import { day, instant, timeZone } from '@nodo/kernel';
import type { FamilyModel } from '@nodo/knowledge';
import { z } from 'zod';
import type { Stage } from '../state/life.ts';
import { repairsDone, type Ticket } from '../state/ticket.ts';
import { UNREPAIRED } from '../state/values.ts';
import { cameInWith } from './cameIn.ts';
import { stageOf } from './stage.ts';

/** What a customer sees of a ticket: nothing of other people, chances, notes or photos. */
export const customerView = z.object({
  shop: z.string(),
  /** Where the shop is called, and when somebody is there; empty where it did not say. */
  phone: z.string(),
  openingHours: z.string(),
  /** The shop's currency. */
  currency: z.string(),
  /** Where the shop's days are counted. */
  timeZone,
  label: z.string(),
  family: z.string(),
  /** The customer's own words. */
  words: z.string(),
  state: z.enum([
    'away',
    'waiting',
    'at-the-bench',
    'ask-you',
    'part-awaited',
    'ready',
    'unrepaired',
    'collected',
  ]),
  takenInAt: instant,
  changedAt: instant,
  /** Why it goes back as it came; null where it was repaired. */
  unrepaired: z.enum(UNREPAIRED).nullable(),
  /** The day that was promised to them. */
  promised: day.nullable(),
  /** What it would come to, as long as they have not said yes or no. */
  asked: z.object({ amount: z.number(), words: z.string() }).nullable(),
  /** What it came to; money in the smallest unit. */
  bill: z.object({ total: z.number(), currency: z.string() }).nullable(),
  /** What was put right, in the order in which it was done. */
  done: z.array(z.string()),
  /** Until when the link holds. */
  until: instant,
});
export type CustomerView = z.infer<typeof customerView>;

/** Undefined for a ticket that was never taken in. */
export function viewForCustomer(
  ticket: Ticket,
  model: FamilyModel,
):
  | Omit<CustomerView, 'shop' | 'phone' | 'openingHours' | 'until' | 'currency' | 'timeZone'>
  | undefined {
  const { intake, life } = ticket;
  const { asked } = life;
  const came = cameInWith(ticket);
  const last = ticket.entries.at(-1);
  if (!intake || !came || !last) return undefined;
  return {
    label: intake.label,
    family: intake.family,
    words: intake.words,
    state: shownAs(ticket),
    takenInAt: came.receivedAt,
    changedAt: last.receivedAt,
    unrepaired: ticket.closing?.unrepaired ?? null,
    promised: life.promised ?? null,
    asked: asked && !asked.answer ? { amount: asked.amount, words: asked.words } : null,
    bill: life.bill ? { total: life.bill.total, currency: life.bill.currency } : null,
    done: repairsDone(ticket).map((action) => model.actions.get(action)?.title ?? action),
  };
}

/** What goes back as it came is never said to be ready. */
function shownAs(ticket: Ticket): CustomerView['state'] {
  const state = SHOWN_AS[stageOf(ticket)];
  return state === 'ready' && ticket.closing?.unrepaired ? 'unrepaired' : state;
}

const SHOWN_AS: Readonly<Record<Stage, CustomerView['state']>> = {
  away: 'away',
  'taken-in': 'waiting',
  'on-the-bench': 'at-the-bench',
  'ask-customer': 'ask-you',
  'part-awaited': 'part-awaited',
  ready: 'ready',
  collected: 'collected',
};

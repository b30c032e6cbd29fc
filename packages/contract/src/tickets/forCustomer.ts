import { type FamilyModel, INTERVIEWS } from '@nodo/knowledge';
import { z } from 'zod';
import { instant } from '../text.ts';
import type { Ticket } from './ticket.ts';

/** What a customer sees of a ticket: nothing of other people, chances, notes or photos. */
export const forCustomer = z.object({
  shop: z.string(),
  label: z.string(),
  /** The customer's own words. */
  words: z.string(),
  state: z.enum(['away', 'waiting', 'at-the-bench', 'ready', 'collected']),
  takenInAt: instant,
  changedAt: instant,
  /** What was put right, in the order in which it was done. */
  done: z.array(z.string()),
  /** Until when the link holds. */
  until: instant,
});
export type ForCustomer = z.infer<typeof forCustomer>;

/** Undefined for a ticket that was never taken in. */
export function toldToCustomer(
  ticket: Ticket,
  model: FamilyModel,
): Omit<ForCustomer, 'shop' | 'until'> | undefined {
  const { intake, deeds } = ticket;
  const [first] = ticket.entries;
  const last = ticket.entries.at(-1);
  if (!intake || !first || !last) return undefined;
  const repairs = deeds.filter(({ repair }) => repair);
  return {
    label: intake.label,
    words: intake.words,
    state: stateOf(ticket),
    takenInAt: first.receivedAt,
    changedAt: last.receivedAt,
    done: [...new Set(repairs.map(({ action }) => model.actions.get(action)?.title ?? action))],
  };
}

function stateOf({ status, intake, deeds, looks }: Ticket): ForCustomer['state'] {
  if (status === 'collected') return 'collected';
  if (status === 'closed') return 'ready';
  if (intake?.tag === undefined) return 'away';
  const atTheBench = deeds.length > 0 || looks.some(({ check }) => !INTERVIEWS.has(check));
  return atTheBench ? 'at-the-bench' : 'waiting';
}

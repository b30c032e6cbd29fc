import type { Ticket } from '../state/ticket.ts';
import { cameInWith, workInShop } from './cameIn.ts';

/** What a machine goes through between the customer's two visits. */
export const MILESTONES = [
  'taken-in',
  'begun',
  'price',
  'part',
  'ready',
  'informed',
  'collected',
] as const;

export interface Milestone {
  readonly id: (typeof MILESTONES)[number];
  /** When it was reached; undefined while it lies ahead. */
  readonly at: string | undefined;
}

/** The way of a ticket; price and part are on it only where they came up. */
export function milestonesOf(ticket: Ticket): readonly Milestone[] {
  const { entries, corrected, life, closing, status } = ticket;
  const valid = entries.filter(({ id }) => !corrected.has(id));
  const atSeq = (seq: number | undefined) =>
    seq === undefined ? undefined : entries[seq - 1]?.observedAt;
  const begun = workInShop(ticket);
  const lastOf = (type: string) => valid.findLast((entry) => entry.type === type)?.observedAt;
  const isWaiting = life.awaits.some(({ came }) => !came);
  return [
    { id: 'taken-in', at: cameInWith(ticket)?.observedAt },
    {
      id: 'begun',
      at: begun.length > 0 ? atSeq(Math.min(...begun)) : life.worked[0]?.from,
    },
    ...(life.asked ? [{ id: 'price', at: life.asked.answer?.at } as const] : []),
    ...(life.awaits.length > 0
      ? [
          {
            id: 'part',
            at: isWaiting ? undefined : (lastOf('part-came') ?? lastOf('part-fitted')),
          } as const,
        ]
      : []),
    { id: 'ready', at: atSeq(closing?.seq) },
    { id: 'informed', at: status === 'open' ? undefined : life.toldAt },
    { id: 'collected', at: status === 'collected' ? lastOf('machine-collected') : undefined },
  ];
}

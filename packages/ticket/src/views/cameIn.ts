import { INTERVIEWS } from '@nodo/knowledge';
import type { RecordedEvent } from '../state/envelope.ts';
import type { Ticket } from '../state/ticket.ts';

/** The entry with which a machine came into the shop: its intake, or its coming after a call. */
export function cameInWith({ entries, corrected }: Ticket): RecordedEvent | undefined {
  return (
    entries.findLast(({ type, id }) => type === 'machine-arrived' && !corrected.has(id)) ??
    entries[0]
  );
}

/** What was looked at and done in the shop, by seq; what was answered by telephone does not count. */
export function workInShop(ticket: Ticket): readonly number[] {
  const cameAt = cameInWith(ticket)?.seq ?? 0;
  return [
    ...ticket.looks.filter(({ check }) => !INTERVIEWS.has(check)),
    ...ticket.performedActions,
  ].flatMap(({ seq }) => (seq > cameAt ? [seq] : []));
}

import type { TicketEvent } from '../events/index.ts';

/** The events of several tickets, each ticket's in their order. */
export function byTicket(
  events: readonly TicketEvent[],
): ReadonlyMap<string, readonly TicketEvent[]> {
  const found = new Map<string, TicketEvent[]>();
  for (const event of events) {
    const before = found.get(event.ticket);
    if (before) before.push(event);
    else found.set(event.ticket, [event]);
  }
  return found;
}

import { applyTicketEvent, newTicket, type Ticket, type TicketEvent } from '@nodo/ticket';

/** A long ticket takes about a megabyte. */
const MOST = 100;

/**
 * Tickets on which something was written lately, as they were replayed, so that a further entry
 * costs the same however many there are already. Only a start for reading on: what is stored
 * decides, and the key of the stream says when somebody was faster.
 */
export class RecentTickets {
  private readonly known = new Map<string, Ticket>();

  /** The ticket as it was last seen here; a new one where it was not. */
  before(shop: string, ticket: string): Ticket {
    return this.known.get(keyOf(shop, ticket)) ?? newTicket(ticket);
  }

  /** @param events as they are stored, following on `before` */
  after(shop: string, before: Ticket, events: readonly TicketEvent[]): Ticket {
    const ticket = events.reduce(applyTicketEvent, before);
    // One that there is not would take the place of one that there is.
    if (ticket.seq === 0) return ticket;
    const key = keyOf(shop, ticket.id);
    // The one that was written on last is let go last.
    this.known.delete(key);
    this.known.set(key, ticket);
    const [quietest] = this.known.keys();
    if (this.known.size > MOST && quietest !== undefined) this.known.delete(quietest);
    return ticket;
  }
}

function keyOf(shop: string, ticket: string): string {
  return `${shop} ${ticket}`;
}

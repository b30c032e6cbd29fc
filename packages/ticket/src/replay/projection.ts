import { canonicalJson } from '@nodo/knowledge';
import type { TicketEvent } from '../events/index.ts';
import type { Ticket } from '../state/ticket.ts';
import { applyTicketEvent, foldTicket } from './apply.ts';

/** A ticket and the events that it was projected from. */
export interface TicketProjection {
  readonly ticket: Ticket;
  readonly events: readonly TicketEvent[];
}

/**
 * Projects a ticket from its events. Reuses `before` when `events` extends it; otherwise replays
 * from the start.
 */
export function projectTicket(
  before: TicketProjection | undefined,
  id: string,
  events: readonly TicketEvent[],
): TicketProjection {
  const follows =
    before?.ticket.id === id && before.events.every((event, index) => isSame(event, events[index]));
  const ticket = follows
    ? events.slice(before.events.length).reduce(applyTicketEvent, before.ticket)
    : foldTicket(id, events);
  return { ticket, events };
}

/** Whether the events of two tellings say the same, confirmed or not. */
export function isSameProjection(projection: TicketProjection, other: TicketProjection): boolean {
  return (
    projection.events.length === other.events.length &&
    projection.events.every((event, index) => isSame(event, other.events[index]))
  );
}

/** The instant at which the server received an event says nothing of the machine. */
function isSame(projection: TicketEvent, event: TicketEvent | undefined): boolean {
  if (projection === event) return true;
  return (
    projection.id === event?.id &&
    projection.seq === event.seq &&
    projection.epoch === event.epoch &&
    projection.knowledge === event.knowledge &&
    canonicalJson(projection.body) === canonicalJson(event.body)
  );
}

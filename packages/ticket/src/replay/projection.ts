import { canonicalJson } from '@nodo/knowledge';
import type { TicketEvent } from '../events/index.ts';
import type { Ticket } from '../state/ticket.ts';
import { applyTicketEvent, foldTicket } from './apply.ts';

/** A ticket, and the events that it was told from. */
export interface TicketProjection {
  readonly ticket: Ticket;
  readonly events: readonly TicketEvent[];
}

/**
 * Tells a ticket, going on from what was told before: only the new events when they follow
 * on it, all of them otherwise.
 */
export function projectTicket(
  before: TicketProjection | undefined,
  id: string,
  events: readonly TicketEvent[],
): TicketProjection {
  const follows =
    before?.ticket.id === id && before.events.every((event, place) => isSame(event, events[place]));
  const ticket = follows
    ? events.slice(before.events.length).reduce(applyTicketEvent, before.ticket)
    : foldTicket(id, events);
  return { ticket, events };
}

/** Whether the events of two tellings say the same, confirmed or not. */
export function isSameProjection(told: TicketProjection, other: TicketProjection): boolean {
  return (
    told.events.length === other.events.length &&
    told.events.every((event, place) => isSame(event, other.events[place]))
  );
}

/** The instant at which the server received an event says nothing of the machine. */
function isSame(told: TicketEvent, event: TicketEvent | undefined): boolean {
  if (told === event) return true;
  return (
    told.id === event?.id &&
    told.seq === event.seq &&
    told.epoch === event.epoch &&
    told.knowledge === event.knowledge &&
    canonicalJson(told.body) === canonicalJson(event.body)
  );
}

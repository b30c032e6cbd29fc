import { CoreError } from '@nodo/core';
import { type EventType, kindOf, type TicketEvent } from '../events/index.ts';
import type { RecordedEvent } from '../state/envelope.ts';
import { newTicket, type Ticket } from '../state/ticket.ts';

/**
 * The ticket after one more event; the same on the server and on every screen.
 * @throws CoreFault `event-out-of-order` unless the event is the ticket's next.
 */
export function applyTicketEvent(ticket: Ticket, event: TicketEvent): Ticket {
  if (event.seq !== ticket.seq + 1) {
    throw new CoreError('event-out-of-order', { has: ticket.seq, got: event.seq });
  }
  const entries = [...ticket.entries, event];
  if (event.type === 'entry-corrected') return replayWithoutCorrected(ticket.id, entries);
  return { ...step(ticket, event), seq: event.seq, entries };
}

/** Folds a ticket from its events, which must be complete and in order. */
export function foldTicket(id: string, events: readonly TicketEvent[]): Ticket {
  return events.reduce(applyTicketEvent, newTicket(id));
}

function step(ticket: Ticket, event: RecordedEvent): Ticket {
  return kindOf(event.type as EventType).apply(ticket, event.body, event);
}

/** From the beginning, leaving out what was corrected. */
function replayWithoutCorrected(id: string, entries: readonly RecordedEvent[]): Ticket {
  const corrected = new Set(
    entries.flatMap((entry) =>
      entry.type === 'entry-corrected'
        ? [(entry as TicketEvent & { type: 'entry-corrected' }).body.corrects]
        : [],
    ),
  );
  const replayed = entries.reduce((ticket, entry) => {
    if (!corrected.has(entry.id)) return step(ticket, entry);
    return kindOf(entry.type as EventType).applyCorrected?.(ticket, entry.body) ?? ticket;
  }, newTicket(id));
  return { ...replayed, seq: entries.length, entries };
}

import {
  type Actor,
  applyTicketEvent,
  type Customer,
  type Draft,
  decide,
  type Session,
  type Ticket,
  type TicketEvent,
  ticketOf,
} from '@nodo/contract';
import { useMemo } from 'react';
import { useTicketQuery } from '../../api/api.ts';
import type { CallFault } from '../../api/call.ts';
import { useAppSelector } from '../../app/store.ts';

export interface ShownTicket {
  readonly ticket: Ticket;
  /** Confirmed events and, after them, those that wait to be sent. */
  readonly events: readonly TicketEvent[];
  readonly waiting: ReadonlySet<string>;
  readonly customer: Customer | null;
}

/** What the server confirmed, with what was entered on this screen laid over it. */
export function useShownTicket(
  id: string,
  session: Session,
): { readonly shown?: ShownTicket; readonly fault?: CallFault; readonly refetch: () => void } {
  const { data: file, error, refetch } = useTicketQuery(id);
  const entries = useAppSelector(({ outbox }) => outbox.entries);
  const { id: person, role } = session.person;

  const shown = useMemo(() => {
    if (!file) return undefined;
    const drafts = entries
      .filter(({ ticket, refusal, person: by }) => ticket === id && !refusal && by === person)
      .map(({ draft }) => draft);
    return { ...lay(id, file.events, drafts, { person, role }), customer: file.customer };
  }, [id, file, entries, person, role]);

  return {
    ...(shown ? { shown } : {}),
    ...(error ? { fault: error as CallFault } : {}),
    refetch: () => void refetch(),
  };
}

export function actorOf({ person }: Session): Actor {
  return { person: person.id, role: person.role };
}

/** shown = waiting drafts laid over the confirmed ticket by the server's own rules. */
function lay(
  id: string,
  confirmed: readonly TicketEvent[],
  drafts: readonly Draft[],
  actor: Actor,
): Omit<ShownTicket, 'customer'> {
  let ticket = ticketOf(id, confirmed);
  const events = [...confirmed];
  const waiting = new Set<string>();
  for (const draft of drafts) {
    if (confirmed.some((event) => event.id === draft.id)) continue;
    const verdict = decide(ticket, draft, actor);
    if (!verdict.ok) continue;
    const event = { ...verdict.event, receivedAt: draft.observedAt } as TicketEvent;
    ticket = applyTicketEvent(ticket, event);
    events.push(event);
    waiting.add(event.id);
  }
  return { ticket, events, waiting };
}

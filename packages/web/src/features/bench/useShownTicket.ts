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
import type { Edition, TableChange } from '@nodo/knowledge';
import { useMemo } from 'react';
import { useTicketQuery } from '../../api/api.ts';
import type { CallFault } from '../../api/call.ts';
import { useAppSelector } from '../../app/store.ts';
import { useTables } from '../tables/useTables.ts';

export interface ShownTicket {
  readonly ticket: Ticket;
  /** Confirmed events and, after them, those that wait to be sent. */
  readonly events: readonly TicketEvent[];
  readonly waiting: ReadonlySet<string>;
  readonly customer: Customer | null;
  /** The tables that it is judged with. */
  readonly edition: Edition;
  /** What the shop changed in the shipped tables to get there. */
  readonly changes: readonly TableChange[];
}

/** What the server confirmed, with what was entered on this screen laid over it. */
export function useShownTicket(
  id: string,
  session: Session,
): { readonly shown?: ShownTicket; readonly fault?: CallFault; readonly refetch: () => void } {
  const { data: file, error, refetch } = useTicketQuery(id);
  const tables = useTables();
  const entries = useAppSelector(({ outbox }) => outbox.entries);
  const { id: person, role } = session.person;

  const shown = useMemo(() => {
    if (!file || !tables) return undefined;
    const { edition, changes } = tables;
    const drafts = entries
      .filter(({ ticket, refusal, person: by }) => ticket === id && !refusal && by === person)
      .map(({ draft }) => draft);
    const laid = lay(id, file.events, drafts, { person, role }, edition);
    return { ...laid, customer: file.customer, edition, changes };
  }, [id, file, tables, entries, person, role]);

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
  edition: Edition,
): Pick<ShownTicket, 'ticket' | 'events' | 'waiting'> {
  let ticket = ticketOf(id, confirmed);
  const events = [...confirmed];
  const waiting = new Set<string>();
  for (const draft of drafts) {
    if (confirmed.some((event) => event.id === draft.id)) continue;
    const verdict = decide(ticket, draft, actor, edition);
    if (!verdict.ok) continue;
    const event = { ...verdict.event, receivedAt: draft.observedAt } as TicketEvent;
    ticket = applyTicketEvent(ticket, event);
    events.push(event);
    waiting.add(event.id);
  }
  return { ticket, events, waiting };
}

import type { Customer, Session } from '@nodo/api';
import { type CallError, enteredOn } from '@nodo/client';
import type { Actor } from '@nodo/kernel';
import type { KnowledgeVersion, TableChange } from '@nodo/knowledge';
import { pendingOverlay, type Ticket, type TicketEvent } from '@nodo/ticket';
import { useMemo, useState } from 'react';
import { useAppSelector, useTicketQuery } from '../api/client.ts';
import { useSession } from '../session/SessionContext.tsx';
import { useTables } from '../session/useTables.ts';

export interface ShownTicket {
  readonly ticket: Ticket;
  /** Confirmed events and, after them, those that wait to be sent. */
  readonly events: readonly TicketEvent[];
  readonly waiting: ReadonlySet<string>;
  readonly customer: Customer | null;
  /** The tables that it is judged with. */
  readonly version: KnowledgeVersion;
  /** What the shop changed in the shipped tables to get there. */
  readonly changes: readonly TableChange[];
}

/** The confirmed ticket with the pending commands of this screen applied over it. */
export function useShownTicket(id: string): {
  readonly shown?: ShownTicket;
  readonly fault: CallError | undefined;
  readonly refetch: () => void;
} {
  const { data: file, error, refetch } = useTicketQuery(id);
  const { tables, fault: tablesFault, refetch: readTables } = useTables();
  const entries = useAppSelector(({ outbox }) => outbox.entries);
  const { people } = useSession().screen;

  const [layOn] = useState(pendingOverlay);
  const shown = useMemo(() => {
    if (!file || !tables) return undefined;
    const { version, changes } = tables;
    const entered = enteredOn(id, entries, people);
    const { ticket, events, waiting } = layOn(id, file.events, entered, version);
    return { ticket, events, waiting, customer: file.customer, version, changes };
  }, [id, file, tables, entries, people, layOn]);

  return {
    ...(shown ? { shown } : {}),
    fault: (error as CallError | undefined) ?? tablesFault,
    refetch: () => {
      if (error) void refetch();
      if (tablesFault) readTables();
    },
  };
}

export function actorOf({ person }: Session): Actor {
  return { person: person.id, role: person.role };
}

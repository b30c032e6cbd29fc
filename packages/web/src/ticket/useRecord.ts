import { outbox } from '@nodo/client';
import {
  applyTicketEvent,
  type CommandPayload,
  decide,
  type EventType,
  newCommand,
  type TicketEvent,
} from '@nodo/ticket';
import { useCallback, useLayoutEffect, useRef } from 'react';
import { toast } from 'sonner';
import { useAppDispatch } from '../api/client.ts';
import { m } from '../messages/index.ts';
import { useSession } from '../session/SessionContext.tsx';
import { deviceId } from '../store/device.ts';
import { actInstant } from './actInstant.ts';
import { askPlanner } from './planner.ts';
import { actorOf, type ShownTicket } from './useShownTicket.ts';

export type RecordEntry = <Type extends EventType>(
  type: Type,
  command: CommandPayload<Type>,
  /** The instant of the act that this ends; now where it is left out. */
  at?: string,
) => boolean;

/**
 * Makes an entry: judged here by the server's own rules, shown at once, sent as soon as the
 * server can be reached. False, with the reason shown, when the rules refuse it.
 */
export function useRecord(shown: ShownTicket): RecordEntry {
  const dispatch = useAppDispatch();
  const session = useSession();
  // The callback keeps its identity while the view is mounted, so memoised children do not re-render.
  const latest = useRef({ shown, session });
  useLayoutEffect(() => {
    latest.current = { shown, session };
  });
  return useCallback(
    (type, command, at = actInstant()) => {
      const { shown, session } = latest.current;
      const { ticket, events, version, changes } = shown;
      const entered = newCommand(type, command, {
        id: crypto.randomUUID(),
        epoch: ticket.epoch,
        observedAt: at,
        device: deviceId(),
      });
      const verdict = decide(ticket, entered, actorOf(session), version);
      if (!verdict.ok) {
        toast.error(m.refusals[verdict.refusal.code](verdict.refusal));
        return false;
      }
      const event = { ...verdict.event, receivedAt: entered.observedAt } as TicketEvent;
      const updated = [...events, event];
      // Several entries may follow each other before anything is rendered: each is based on the one before.
      latest.current = {
        session,
        shown: { ...shown, ticket: applyTicketEvent(ticket, event), events: updated },
      };
      askPlanner(ticket.id, updated, changes);
      dispatch(
        outbox.actions.added({ ticket: ticket.id, draft: entered, person: session.person.id }),
      );
      return true;
    },
    [dispatch],
  );
}

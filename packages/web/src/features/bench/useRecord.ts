import {
  type CommandOf,
  type Draft,
  decide,
  type EventType,
  type Session,
  type Ticket,
} from '@nodo/contract';
import type { Edition } from '@nodo/knowledge';
import { useCallback } from 'react';
import { toast } from 'sonner';
import { useAppDispatch } from '../../app/store.ts';
import { m } from '../../messages/index.ts';
import { deviceId } from '../../store/device.ts';
import { outbox } from '../../store/outbox.ts';
import { actorOf } from './useShownTicket.ts';

export type RecordEntry = <Type extends EventType>(type: Type, command: CommandOf<Type>) => boolean;

/**
 * Makes an entry: judged here by the server's own rules, shown at once, sent as soon as the
 * server can be reached. False, with the reason told, when the rules refuse it.
 */
export function useRecord(ticket: Ticket, session: Session, edition: Edition): RecordEntry {
  const dispatch = useAppDispatch();
  return useCallback(
    (type, command) => {
      const draft = {
        id: crypto.randomUUID(),
        type,
        command,
        epoch: ticket.epoch,
        observedAt: new Date().toISOString(),
        device: deviceId(),
      } as unknown as Draft;
      const verdict = decide(ticket, draft, actorOf(session), edition);
      if (!verdict.ok) {
        toast.error(m.refusals[verdict.refusal.code](verdict.refusal));
        return false;
      }
      dispatch(outbox.actions.added({ ticket: ticket.id, draft, person: session.person.id }));
      return true;
    },
    [ticket, session, edition, dispatch],
  );
}

import { outbox } from '@nodo/client';
import { type CommandPayload, type EventType, newCommand } from '@nodo/ticket';
import { useCallback } from 'react';
import { useAppDispatch } from '../api/client.ts';
import { useSession } from '../session/SessionContext.tsx';
import { deviceId } from '../store/device.ts';
import { actInstant } from './actInstant.ts';

/**
 * Makes an entry on a ticket that is not read here, for what does not hang on the state of the machine. The
 * server judges it; what it refuses comes to the tray.
 * @returns the id of the entry
 */
export type RecordElsewhere = <Type extends EventType>(
  ticket: string,
  type: Type,
  command: CommandPayload<Type>,
) => string;

export function useRecordElsewhere(): RecordElsewhere {
  const dispatch = useAppDispatch();
  const person = useSession().person.id;
  return useCallback(
    (ticket, type, command) => {
      const id = crypto.randomUUID();
      const rest = { id, epoch: 0, observedAt: actInstant(), device: deviceId() };
      const draft = newCommand(type, command, rest);
      dispatch(outbox.actions.added({ ticket, draft, person }));
      return id;
    },
    [dispatch, person],
  );
}

import { outbox } from '@nodo/client';
import type { TicketCommand } from '@nodo/ticket';
import { toast } from 'sonner';
import { call, useAppDispatch, useAppSelector, useRackQuery } from '../../../api/client.ts';
import { m } from '../../../messages/index.ts';
import { useSession } from '../../../session/SessionContext.tsx';
import { deviceId } from '../../../store/device.ts';
import { otherClocks } from './otherClocks.ts';

/**
 * Nobody works on two machines at once: when a clock is started here, the one that the same
 * person let run on another ticket is paused there. The start does not wait for it.
 */
export function useOtherClock(ticket: string): () => void {
  const dispatch = useAppDispatch();
  const { data: known = [] } = useRackQuery();
  const waiting = useAppSelector(({ outbox: { entries } }) => entries);
  const person = useSession().person.id;
  return () => {
    // The Rack on this screen may be older than what was just sent from it; one read now is not.
    // Without an answer the one that is known has to do.
    void call({ name: 'listTickets', params: {}, body: undefined }).then((answer) => {
      const lines = 'data' in answer ? answer.data : known;
      for (const line of otherClocks(lines, waiting, { ticket, person })) {
        const command: TicketCommand = {
          id: crypto.randomUUID(),
          type: 'clock-stopped',
          command: { why: 'interrupted' },
          epoch: 0,
          observedAt: new Date().toISOString(),
          device: deviceId(),
        };
        dispatch(outbox.actions.added({ ticket: line.ticket, draft: command, person }));
        toast(m.life.clock.elsewhere(line.label));
      }
    });
  };
}

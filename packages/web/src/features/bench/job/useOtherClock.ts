import { outbox } from '@nodo/client';
import type { Draft, Session } from '@nodo/contract';
import { toast } from 'sonner';
import { useAppDispatch, useRackQuery } from '../../../api/client.ts';
import { m } from '../../../messages/index.ts';
import { deviceId } from '../../../store/device.ts';

/**
 * Nobody works on two machines at once: before a clock is started here, the one that the same
 * person let run on another ticket is interrupted there.
 */
export function useOtherClock(ticket: string, session: Session): () => void {
  const dispatch = useAppDispatch();
  const { data: rack = [] } = useRackQuery();
  const person = session.person.id;
  return () => {
    for (const line of rack) {
      if (line.ticket === ticket || !line.atTheClock.includes(person)) continue;
      const draft: Draft = {
        id: crypto.randomUUID(),
        type: 'clock-stopped',
        command: { why: 'interrupted' },
        epoch: 0,
        observedAt: new Date().toISOString(),
        device: deviceId(),
      };
      dispatch(outbox.actions.added({ ticket: line.ticket, draft, person }));
      toast(m.life.clock.elsewhere(line.label));
    }
  };
}

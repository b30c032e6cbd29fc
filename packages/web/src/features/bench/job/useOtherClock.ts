import { outbox } from '@nodo/client';
import type { RackEntry, TicketCommand } from '@nodo/ticket';
import { toast } from 'sonner';
import { useAppDispatch, useAppSelector } from '../../../api/client.ts';
import { useRackRead } from '../../../api/useRackRead.ts';
import { m } from '../../../messages/index.ts';
import { useSession } from '../../../session/SessionContext.tsx';
import { deviceId } from '../../../store/device.ts';

/**
 * Nobody works on two machines at once: before a clock is started here, the one that the same
 * person let run on another ticket is interrupted there. Where the Rack is still on its way, that
 * happens as soon as it is here; the start does not wait for it.
 */
export function useOtherClock(ticket: string): () => void {
  const dispatch = useAppDispatch();
  const { rack, whenRead } = useRackRead();
  const waiting = useAppSelector(({ outbox: { entries } }) => entries);
  const person = useSession().person.id;
  const interruptOn = (lines: readonly RackEntry[]) => {
    for (const line of lines) {
      if (line.ticket === ticket || !line.atTheClock.includes(person)) continue;
      // It was paused from here already, and the shop has not heard of it yet.
      const isOnItsWay = waiting.some(
        (one) => one.ticket === line.ticket && one.draft.type === 'clock-stopped',
      );
      if (isOnItsWay) continue;
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
  };
  return () => {
    if (rack) interruptOn(rack);
    // Without an answer nothing is known of other machines.
    else void whenRead().then((lines = []) => interruptOn(lines));
  };
}

import { toast } from 'sonner';
import { call, useAppSelector, useRackQuery } from '../../../api/client.ts';
import { m } from '../../../messages/index.ts';
import { useSession } from '../../../session/SessionContext.tsx';
import { useRecordElsewhere } from '../../../ticket/useRecordElsewhere.ts';
import { otherClocks } from './otherClocks.ts';

/**
 * Nobody works on two machines at once: when a clock is started here, the one that the same
 * person let run on another ticket is paused there. The start does not wait for it.
 */
export function useOtherClock(ticket: string): () => void {
  const recordElsewhere = useRecordElsewhere();
  const { data: known = [] } = useRackQuery();
  const waiting = useAppSelector(({ outbox: { entries } }) => entries);
  const person = useSession().person.id;
  return () => {
    // The Rack on this screen may be older than what was just sent from it; one read now is not.
    // Without an answer the one that is known has to do.
    void call({ name: 'listTickets', params: {}, body: undefined }).then((answer) => {
      const lines = 'data' in answer ? answer.data : known;
      for (const line of otherClocks(lines, waiting, { ticket, person })) {
        recordElsewhere(line.ticket, 'clock-stopped', { why: 'interrupted' });
        toast(m.life.clock.elsewhere(line.label));
      }
    });
  };
}

import { workLeftOn } from '@nodo/ticket';
import { PromisePicker } from '../../../shop/promise/PromisePicker.tsx';
import { useTicket } from '../../../ticket/TicketContext.tsx';

/** The days on which this ticket can be ready by the work that is left on it; one of them is promised. */
export function DayPromise({ onDone }: { readonly onDone?: () => void }) {
  const { ticket, model, assessment, record } = useTicket();
  const left = workLeftOn(ticket, model, assessment);
  return (
    <PromisePicker
      ticket={ticket.id}
      minutes={left.mean}
      spread={left.spread}
      promised={ticket.life.promised}
      onPromise={(day, despite) => {
        if (record('day-promised', { day, ...(despite ? { despite } : {}) })) onDone?.();
      }}
    />
  );
}

import { mayRecord, type Situation } from '@nodo/ticket';
import { useState } from 'react';
import { useBillsQuery } from '../../../api/client.ts';
import { m } from '../../../messages/index.ts';
import { later } from '../../../messages/later.ts';
import { useSession } from '../../../session/SessionContext.tsx';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { Button } from '../../../ui/Button.tsx';
import { CustomerInformed } from '../closing/CustomerInformed.tsx';
import { AfterHandOut, UndoHandOut } from '../handOut/AfterHandOut.tsx';
import { HandOutButton } from '../handOut/HandOutButton.tsx';
import { DayPromise } from '../job/DayPromise.tsx';
import { PriceAnswer } from '../job/MoneyPart.tsx';
import { NotCollected } from './NotCollected.tsx';

/** What the counter can do for it now. */
export function PageActions({ situation }: { readonly situation: Situation }) {
  const { ticket, record } = useTicket();
  const { role } = useSession().person;
  const [isPromising, setPromising] = useState(false);
  const { isLoading } = useBillsQuery(ticket.id, { skip: situation.stage !== 'collected' });
  const { stage, awaited, conflict } = situation;
  const words = later.ticketPage;
  const toArrive = mayRecord(role, 'part-came') ? awaited : undefined;
  // A call that ended well has nothing to hand out.
  if (stage === 'away' || ticket.intake?.tag === undefined) return null;
  if (stage === 'collected') {
    // What comes late would push away what is just being touched.
    if (isLoading) return null;
    return (
      <div>
        <AfterHandOut />
        <UndoHandOut />
      </div>
    );
  }
  return (
    <div className="flex flex-col gap-3">
      {stage === 'ask-customer' && <PriceAnswer />}
      {stage === 'ready' && (
        <>
          <CustomerInformed />
          <div>
            <HandOutButton />
          </div>
          <NotCollected />
        </>
      )}
      {stage !== 'ready' && (
        <div className="flex flex-wrap gap-3">
          {toArrive && (
            <Button look="main" onClick={() => record('part-came', { awaited: toArrive.id })}>
              {words.partHere}
            </Button>
          )}
          <Button
            look={conflict && !toArrive ? 'main' : 'plain'}
            aria-expanded={isPromising}
            onClick={() => setPromising(!isPromising)}
          >
            {ticket.life.promised === undefined ? m.life.promise.title : words.newDay}
          </Button>
        </div>
      )}
      {isPromising && stage !== 'ready' && <DayPromise onDone={() => setPromising(false)} />}
    </div>
  );
}

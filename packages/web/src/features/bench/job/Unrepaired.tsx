import { UNREPAIRED, type Unrepaired, wasDeclined } from '@nodo/ticket';
import { useState } from 'react';
import { m } from '../../../messages/index.ts';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { Button } from '../../../ui/Button.tsx';
import { RadioBoxes } from '../../../ui/RadioBoxes.tsx';

/** The machine goes back as it came, with the reason. */
export function GoesBackUnrepaired() {
  const { ticket, record } = useTicket();
  const isRefused = wasDeclined(ticket.life);
  const [isOpen, setOpen] = useState(false);
  const [chosen, setChosen] = useState<Unrepaired>();
  const words = m.life.sheet;
  // Refused is only what somebody was asked for.
  const reasons = UNREPAIRED.filter((why) => why !== 'refused' || isRefused);
  const why = chosen ?? (isRefused ? 'refused' : undefined);
  return (
    <div className="flex flex-col gap-2">
      {isRefused && <p className="font-semibold">{words.declined}</p>}
      <Button className="self-start" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        {words.unrepaired.title}
      </Button>
      {isOpen && (
        <div className="border-l-3 border-edge pl-3">
          <RadioBoxes
            legend={words.unrepaired.why}
            options={reasons.map((one) => [one, m.life.unrepaired(one)] as const)}
            value={why}
            onChoose={setChosen}
          />
          <p className="text-sm text-quiet">{words.unrepairedNote}</p>
          <Button
            className="mt-2"
            lacks={why === undefined && m.shell.lacks.choice}
            onClick={() => why && record('ticket-closed', { unrepaired: true, why })}
          >
            {words.unrepaired.close}
          </Button>
        </div>
      )}
    </div>
  );
}

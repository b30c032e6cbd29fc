import type { MachineFile } from '@nodo/api';
import { useState } from 'react';
import { Link } from 'react-router';
import { write } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { ticketAddress } from '../../shop/ticketAddress.ts';
import { Visits } from '../../shop/Visits.tsx';
import { Button } from '../../ui/Button.tsx';
import { RadioBoxes } from '../../ui/RadioBoxes.tsx';

/** What is known of the machine on the counter: earlier visits, and what was left open then. */
export function KnownMachine({
  file,
  comebackOf,
  onComeback,
  onForget,
}: {
  readonly file: MachineFile;
  readonly comebackOf: string | null;
  readonly onComeback: (ticket: string | null) => void;
  readonly onForget: () => void;
}) {
  const { role } = useSession().person;
  // Asked of the customer, not taken for granted.
  const [answer, setAnswer] = useState<'yes' | 'no'>();
  const words = later.counter.known;
  const { visits, machine } = file;
  const here = visits.find(({ line }) => line.status === 'open' && line.tag !== null);
  const last = visits.find(({ line }) => line.status !== 'open');
  return (
    <section
      aria-label={words.visits}
      className="mb-6 rounded-md border-2 border-edge bg-paper p-4"
    >
      <div className="flex flex-wrap items-center gap-4">
        <h2 className="font-semibold">
          {words.itIs(machine.card.label)}
          <span className="ml-2 font-normal text-quiet">
            {[machine.card.model, machine.card.serial].filter(Boolean).join(', ')}
          </span>
        </h2>
        <Button look="quiet" onClick={onForget}>
          {words.another}
        </Button>
      </div>
      {here && (
        <p role="alert" className="my-2 font-semibold text-hazard">
          {words.here(here.line.tag ?? 0)}{' '}
          <Link to={ticketAddress(role, here.line)} className="underline underline-offset-4">
            {words.toTicket}
          </Link>
        </p>
      )}
      {last && (
        <RadioBoxes
          className="flex flex-wrap gap-x-6"
          legend={words.sameTrouble(write.day(last.line.collectedAt ?? last.line.changedAt))}
          options={[
            ['yes', words.yes],
            ['no', words.no],
          ]}
          value={answer ?? (comebackOf === last.line.ticket ? 'yes' : undefined)}
          onChoose={(one) => {
            setAnswer(one);
            onComeback(one === 'yes' ? last.line.ticket : null);
          }}
        />
      )}
      {visits.length > 0 && (
        <div className="mt-2 max-h-72 overflow-y-auto">
          <Visits visits={visits.slice(0, 4)} machine={machine.card} />
        </div>
      )}
    </section>
  );
}

import type { Ticket } from '@nodo/contract';
import type { FamilyModel } from '@nodo/knowledge';
import { Plug, Unplug, Wrench } from 'lucide-react';
import { m } from '../../messages/index.ts';
import { Button } from '../../ui/Button.tsx';
import type { RecordEntry } from './useRecord.ts';
import { openWords } from './words.ts';

/** What is off the machine, whether it is plugged in, and the caution that goes with it. */
export function MachineNow({
  ticket,
  model,
  record,
  mayWork,
}: {
  readonly ticket: Ticket;
  readonly model: FamilyModel;
  readonly record: RecordEntry;
  readonly mayWork: boolean;
}) {
  const words = m.bench.machine;
  const open = ticket.open.size > 0;
  const powered = ticket.power === 'on';
  return (
    <section aria-labelledby="machine-title">
      <h2 id="machine-title" className="mb-2 text-sm font-semibold text-quiet">
        {words.title}
      </h2>
      <div className="flex gap-3">
        {powered ? (
          <Plug aria-hidden size={22} className="mt-0.5 shrink-0" />
        ) : (
          <Unplug aria-hidden size={22} className="mt-0.5 shrink-0 text-below" />
        )}
        <p>
          <strong>{open ? words.open : words.closed}</strong>,{' '}
          <strong>{powered ? words.pluggedIn : words.unplugged}</strong>.
          <span className="block text-sm text-quiet">{words.caution[ticket.power]}</span>
        </p>
      </div>
      {open && (
        <div className="mt-2 flex gap-3">
          <Wrench aria-hidden size={22} className="mt-0.5 shrink-0" />
          <p>
            {words.inDish}:
            <span className="block text-sm text-quiet">{openWords(model, ticket)}</span>
          </p>
        </div>
      )}
      {mayWork && ticket.status === 'open' && (
        <div className="mt-2 flex flex-wrap gap-2">
          {powered ? (
            <Button onClick={() => record('action-done', { action: 'power-off-confirmed' })}>
              {words.unplug}
            </Button>
          ) : (
            !open && (
              <Button onClick={() => record('action-done', { action: 'power-on' })}>
                {words.plugIn}
              </Button>
            )
          )}
          {open && <Button onClick={() => record('machine-closed', {})}>{words.closeUp}</Button>}
        </div>
      )}
    </section>
  );
}

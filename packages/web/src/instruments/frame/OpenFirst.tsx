import { openingChain } from '@nodo/core';
import { POWER_OFF } from '@nodo/ticket';
import { later } from '../../messages/later.ts';
import { Button } from '../../ui/Button.tsx';
import { useInstrumentBench } from './InstrumentContext.tsx';
import { mayDo } from './instrumentBench.ts';

/**
 * What must be off the machine for a check that the ticket does not know to be off yet: one tap says that it
 * is, so that what stands open is true for whoever takes over. It stops nothing.
 */
export function OpenFirst({ check }: { readonly check: string }) {
  const bench = useInstrumentBench();
  const { model, onTicket } = bench;
  const access = model.checks.get(check)?.access;
  if (!onTicket || access === undefined || !mayDo(bench)) return null;
  const { ticket, record } = onTicket;
  const toOpen = openingChain(model.access, ticket.open, access);
  const target = toOpen.at(-1);
  if (!target) return null;
  const words = later.bench.step;
  return (
    <p className="flex flex-wrap items-center gap-3">
      <span>
        <strong>{words.openFirst}:</strong> {toOpen.map(({ title }) => title).join(', ')}
      </span>
      {ticket.power === 'on' ? (
        <Button onClick={() => record('action-done', { action: POWER_OFF })}>
          {words.unplugged}
        </Button>
      ) : (
        <Button onClick={() => record('machine-opened', { state: target.id })}>
          {words.opened(target.title)}
        </Button>
      )}
    </p>
  );
}

import { POWER_OFF } from '@nodo/ticket';
import type { ReactNode } from 'react';
import { later } from '../../messages/later.ts';
import { Button } from '../../ui/Button.tsx';
import { useInstrumentBench } from './InstrumentContext.tsx';

/** What is only done unplugged: on a ticket whose machine has power, one tap says that it has none now. */
export function UnpluggedFirst({ children }: { readonly children: ReactNode }) {
  const { onTicket } = useInstrumentBench();
  if (!onTicket || onTicket.ticket.power === 'off') return children;
  return (
    <p className="mt-2 flex flex-wrap items-center gap-3">
      <strong>{later.bench.step.onlyUnplugged}</strong>
      <Button onClick={() => onTicket.record('action-done', { action: POWER_OFF })}>
        {later.bench.step.unplugged}
      </Button>
    </p>
  );
}

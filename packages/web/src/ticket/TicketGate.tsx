import type { ReactNode } from 'react';
import { m } from '../messages/index.ts';
import { later } from '../messages/later.ts';
import { NotRead } from '../session/NotRead.tsx';
import { EmptySeam } from '../ui/Skeletons.tsx';
import { Blank } from '../ui/Stitches.tsx';
import { TextLink } from '../ui/TextLink.tsx';
import { TicketProvider } from './TicketContext.tsx';
import { useShownTicket } from './useShownTicket.ts';

/** Provides a ticket to what is inside, or says why there is none to show. */
export function TicketGate({
  id,
  children,
}: {
  readonly id: string;
  readonly children: ReactNode;
}) {
  const { shown, fault, refetch } = useShownTicket(id);
  if (shown?.ticket.intake) {
    return (
      <TicketProvider key={id} shown={shown}>
        {children}
      </TicketProvider>
    );
  }
  if (fault?.kind === 'refused') {
    return (
      <Blank title={m.refusals[fault.refusal.code](fault.refusal)} text={later.bench.missing}>
        <TextLink to="/">{m.shell.backToRack}</TextLink>
      </Blank>
    );
  }
  return (
    <NotRead title={later.bench.failed} fault={fault} again={refetch} skeleton={<EmptySeam />} />
  );
}

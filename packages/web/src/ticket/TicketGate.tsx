import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { m } from '../messages/index.ts';
import { NotRead } from '../session/NotRead.tsx';
import { Blank } from '../ui/Stitches.tsx';
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
      <Blank title={m.refusals[fault.refusal.code](fault.refusal)}>
        <p>{m.bench.missing}</p>
        <Link to="/" className="inline-flex min-h-11 items-center underline underline-offset-4">
          {m.shell.backToRack}
        </Link>
      </Blank>
    );
  }
  return <NotRead title={m.bench.failed} fault={fault} again={refetch} />;
}

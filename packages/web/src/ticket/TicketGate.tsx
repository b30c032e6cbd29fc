import type { Session } from '@nodo/api';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { m } from '../messages/index.ts';
import { NotRead } from '../session/NotRead.tsx';
import { Blank } from '../ui/Stitches.tsx';
import { type ShownTicket, useShownTicket } from './useShownTicket.ts';

/** A ticket from the server, or why there is none to show. */
export function TicketGate({
  id,
  session,
  children,
}: {
  readonly id: string;
  readonly session: Session;
  readonly children: (shown: ShownTicket) => ReactNode;
}) {
  const { shown, fault, refetch } = useShownTicket(id, session);
  if (shown?.ticket.intake) return children(shown);
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

import type { Session } from '@nodo/api';
import { Navigate, useParams } from 'react-router';
import { TicketGate } from '../../ticket/TicketGate.tsx';

/** Where the code on a tag leads: to the bench, or to the call of a machine that is away. */
export default function Tagged({ session }: { readonly session: Session }) {
  const { ticket: id = '' } = useParams();
  return (
    <TicketGate id={id} session={session}>
      {({ ticket }) => (
        <Navigate to={`/${ticket.intake?.tag === undefined ? 'phone' : 'bench'}/${id}`} replace />
      )}
    </TicketGate>
  );
}

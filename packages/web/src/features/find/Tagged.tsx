import { Navigate, useParams } from 'react-router';
import { useTicket } from '../../ticket/TicketContext.tsx';
import { TicketGate } from '../../ticket/TicketGate.tsx';

/** Where the code on a tag leads: to the bench, or to the call of a machine that is away. */
export default function Tagged() {
  const { ticket: id = '' } = useParams();
  return (
    <TicketGate id={id}>
      <ToTicket />
    </TicketGate>
  );
}

function ToTicket() {
  const { id, intake } = useTicket().ticket;
  return <Navigate to={`/${intake?.tag === undefined ? 'phone' : 'bench'}/${id}`} replace />;
}

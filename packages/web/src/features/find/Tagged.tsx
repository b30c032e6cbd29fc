import { Navigate, useParams } from 'react-router';
import { useSession } from '../../session/SessionContext.tsx';
import { ticketAddress } from '../../shop/ticketAddress.ts';
import { useTicket } from '../../ticket/TicketContext.tsx';
import { TicketGate } from '../../ticket/TicketGate.tsx';

/** Where the code on a tag leads. */
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
  const { role } = useSession().person;
  return <Navigate to={ticketAddress(role, { ticket: id, tag: intake?.tag })} replace />;
}

import { mayBeCorrected } from '@nodo/ticket';
import { Undo2 } from 'lucide-react';
import { m } from '../../messages/index.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Key } from '../../ui/Key.tsx';
import { useKeys } from '../../ui/useKeys.ts';
import { useShown, useTicket } from '../TicketContext.tsx';

/** Takes one's own last entry back, by a correcting entry: both stay in the record. */
export function TakeBack() {
  const { record } = useTicket();
  const { ticket, events } = useShown();
  const session = useSession();
  const last = events.findLast(
    ({ id, type, actor }) =>
      actor.person === session.person.id && mayBeCorrected(type) && !ticket.corrected.has(id),
  );
  const takeBack = () => last && record('entry-corrected', { corrects: last.id });
  useKeys({ u: takeBack });
  if (!last || ticket.status !== 'open') return null;
  return (
    <Button look="quiet" onClick={takeBack} className="bg-ground text-sm">
      <Key>u</Key> <Undo2 aria-hidden size={18} /> {m.bench.undo}
    </Button>
  );
}

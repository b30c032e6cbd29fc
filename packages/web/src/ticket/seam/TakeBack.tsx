import type { Session } from '@nodo/api';
import { mayBeCorrected } from '@nodo/ticket';
import { Undo2 } from 'lucide-react';
import { m } from '../../messages/index.ts';
import { Button } from '../../ui/Button.tsx';
import { Key } from '../../ui/Key.tsx';
import { useSingleKeys } from '../../ui/useDigitKeys.ts';
import type { RecordEntry } from '../useRecord.ts';
import type { ShownTicket } from '../useShownTicket.ts';

/** Takes one's own last entry back, by a correcting entry: both stay in the record. */
export function TakeBack({
  shown: { ticket, events },
  session,
  record,
}: {
  readonly shown: ShownTicket;
  readonly session: Session;
  readonly record: RecordEntry;
}) {
  const last = events.findLast(
    ({ id, type, actor }) =>
      actor.person === session.person.id && mayBeCorrected(type) && !ticket.corrected.has(id),
  );
  const takeBack = () => last && record('entry-corrected', { corrects: last.id });
  useSingleKeys({ u: takeBack });
  if (!last || ticket.status !== 'open') return null;
  return (
    <Button look="quiet" onClick={takeBack} className="bg-ground text-sm">
      <Key>u</Key> <Undo2 aria-hidden size={18} /> {m.bench.undo}
    </Button>
  );
}

import { pathTo } from '@nodo/api';
import { useAppSelector } from '../../api/client.ts';
import { later } from '../../messages/later.ts';
import { Sewing } from '../../ui/Stitches.tsx';
import { useTicket } from '../TicketContext.tsx';

/** A photo that is kept with a ticket. */
export function Photo({ photo, account }: { readonly photo: string; readonly account: string }) {
  const {
    ticket: { id: ticket },
  } = useTicket();
  // Read through the entry that names it: not before the server has that.
  const isOnItsWay = useAppSelector(({ outbox }) =>
    outbox.entries.some(
      ({ draft }) => draft.type === 'photo-kept' && draft.command.photo === photo,
    ),
  );
  if (isOnItsWay) return <Sewing label={later.bench.photo.onItsWay} />;
  return (
    // In small on the page, whole behind it.
    <a
      href={pathTo('readPhoto', { ticket, photo })}
      target="_blank"
      rel="noreferrer"
      className="block self-start"
    >
      <img
        src={pathTo('readPhoto', { ticket, photo, size: 'small' })}
        alt={account}
        className="max-h-56 rounded-md border border-rule"
      />
    </a>
  );
}

import type { TicketEvent } from '@nodo/ticket';
import { m } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { Photo } from '../photo/Photo.tsx';
import { useTicket } from '../TicketContext.tsx';

/** Notes and photos that somebody left at this check. */
export function NotedHere({ check }: { readonly check: string }) {
  const { ticket } = useTicket();
  const left = (ticket.entries as readonly TicketEvent[]).filter(
    (entry) =>
      (entry.type === 'observation-noted' || entry.type === 'photo-kept') &&
      entry.body.check === check &&
      !ticket.corrected.has(entry.id),
  );
  if (left.length === 0) return null;
  return (
    <section aria-label={later.bench.notedHere} className="mt-3 border-l-3 border-edge pl-3">
      <h2 className="text-sm font-semibold text-quiet">{later.bench.notedHere}</h2>
      <ul className="flex flex-wrap gap-3">
        {left.map((entry) =>
          entry.type === 'photo-kept' ? (
            <li key={entry.id}>
              <Photo photo={entry.body.photo} account={entry.body.words || m.seam.photoOnly} />
            </li>
          ) : (
            entry.type === 'observation-noted' && (
              <li key={entry.id} className="break-words">
                <bdi>“{entry.body.words}”</bdi>
              </li>
            )
          ),
        )}
      </ul>
    </section>
  );
}

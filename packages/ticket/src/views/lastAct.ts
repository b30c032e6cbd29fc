import { mayBeCorrected, mayBeUndoneAsLast } from '../events/entryCorrected.ts';
import type { TicketEvent } from '../events/index.ts';
import type { Ticket } from '../state/ticket.ts';

/**
 * The entries of somebody's last act on a ticket that can still be undone, the latest first: one tap may
 * have made several, all at the same instant and on the same screen. Empty while there is nothing to
 * undo. A closing or a handing out, with the signature and the payment that it wrote, can be undone only as
 * long as nothing was entered after it; so can a payment once the customer has the machine.
 */
export function lastAct(ticket: Ticket, person: string): readonly TicketEvent[] {
  const standing = (ticket.entries as readonly TicketEvent[]).filter(
    ({ id, type }) => type !== 'entry-corrected' && !ticket.corrected.has(id),
  );
  const own = standing.filter((event) => event.actor.person === person && mayBeCorrected(event));
  const latest = standing.at(-1);
  const isUndoneAsLast = latest !== undefined && mayBeUndoneAsLast(latest.type);
  if (isUndoneAsLast && latest.actor.person !== person) return [];
  if (!isUndoneAsLast && ticket.status !== 'open') return [];
  const last = isUndoneAsLast ? latest : own.at(-1);
  const ofTheAct = own.filter(
    ({ observedAt, device }) => observedAt === last?.observedAt && device === last.device,
  );
  const [...earlier] = ofTheAct.filter((event) => event !== last).toReversed();
  return last ? [last, ...earlier] : [];
}

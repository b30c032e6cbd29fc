import { isEnd, mayBeCorrected } from '../events/entryCorrected.ts';
import type { TicketEvent } from '../events/index.ts';
import type { Ticket } from '../state/ticket.ts';

/**
 * The entries of somebody's last act on a ticket that can still be undone, the latest first: one tap may
 * have made several, all at the same instant and on the same screen. Empty while there is nothing to
 * undo. A closing or a handing out can be undone only as long as nothing was entered after it.
 */
export function lastAct(ticket: Ticket, person: string): readonly TicketEvent[] {
  const standing = (ticket.entries as readonly TicketEvent[]).filter(
    ({ id, type }) => type !== 'entry-corrected' && !ticket.corrected.has(id),
  );
  const latest = standing.at(-1);
  if (latest && isEnd(latest.type)) return latest.actor.person === person ? [latest] : [];
  if (ticket.status !== 'open') return [];
  const own = standing.filter(({ type, actor }) => actor.person === person && mayBeCorrected(type));
  const last = own.at(-1);
  return own
    .filter(({ observedAt, device }) => observedAt === last?.observedAt && device === last.device)
    .toReversed();
}

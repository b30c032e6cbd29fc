import type { TicketEvent } from '../events/index.ts';
import type { RecordedEvent } from '../state/envelope.ts';
import type { Ticket } from '../state/ticket.ts';

export interface HandOver {
  readonly to: string | null;
  readonly by: string;
  readonly note: string;
}

/** The hand-over that nobody has taken up yet: whom it was for has made no entry since. */
export function handOverOf({ entries, corrected, status }: Ticket): HandOver | undefined {
  if (status !== 'open') return undefined;
  const valid = entries.filter(({ id }) => !corrected.has(id));
  const last = valid.findLast(isHandOver);
  if (!last) return undefined;
  const { to, note } = last.body;
  const by = last.actor.person;
  const takenUp = valid.some(
    ({ seq, actor }) => seq > last.seq && (to === null ? actor.person !== by : actor.person === to),
  );
  return takenUp ? undefined : { to, by, note };
}

function isHandOver(
  entry: RecordedEvent,
): entry is RecordedEvent & Extract<TicketEvent, { readonly type: 'handed-over' }> {
  return entry.type === 'handed-over';
}

import type { Candidate } from '@nodo/api';
import type { TicketEvent } from '@nodo/ticket';

/** Kinds of events that tell of causes which no table has. */
export const CANDIDATE_TYPES = ['own-cause-found', 'entry-corrected'] as const;

/** Causes named in these events and not taken back in them, the latest first. */
export function candidatesIn(events: readonly TicketEvent[]): readonly Candidate[] {
  const takenBack = new Set(
    events.flatMap((event) => (event.type === 'entry-corrected' ? event.body.corrects : [])),
  );
  return events
    .filter((event) => event.type === 'own-cause-found')
    .filter(({ id }) => !takenBack.has(id))
    .sort((a, b) => Date.parse(b.receivedAt) - Date.parse(a.receivedAt))
    .map(({ ticket, body: { cause, name, remedy, explains } }) => ({
      ticket,
      own: { id: cause, name, remedy, explains },
    }));
}

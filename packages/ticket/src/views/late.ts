import type { RecordedEvent } from '../state/envelope.ts';
import type { Ticket } from '../state/ticket.ts';

/** What was seen before closing and arrived after it; of a closed ticket. */
export function lateEntries({
  entries,
  corrected,
  closing,
  status,
}: Ticket): readonly RecordedEvent[] {
  if (status === 'open' || closing === undefined) return [];
  return entries.filter(
    ({ id, seq, type }) => seq > closing.seq && LATE.has(type) && !corrected.has(id),
  );
}

const LATE: ReadonlySet<string> = new Set([
  'findings-recorded',
  'could-not-tell',
  'observation-noted',
]);

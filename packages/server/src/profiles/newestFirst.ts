import type { TicketSummary } from '@nodo/ticket';

/** Tickets with the one that came last before the others. */
export function newestFirst(
  rows: readonly { readonly line: TicketSummary }[],
): readonly TicketSummary[] {
  return rows
    .map(({ line }) => line)
    .sort((a, b) => b.takenInAt.localeCompare(a.takenInAt) || (b.tag ?? 0) - (a.tag ?? 0));
}

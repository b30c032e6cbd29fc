import type { Visit } from '@nodo/api';
import { byTicket, foldTicket, type RackEntry, repairsDone, type TicketEvent } from '@nodo/ticket';

/** A cause less likely than this was as good as ruled out. */
const LEFT_OPEN_FROM = 0.05;
const PRESENT_FROM = 0.5;
const MOST_LEFT_OPEN = 5;

/** A machine's visits: what was found, put in and measured, and what was left. */
export function visitsOf(
  lines: readonly RackEntry[],
  events: readonly TicketEvent[],
): readonly Visit[] {
  const found = byTicket(events);
  return lines.map((line) => {
    const ticket = foldTicket(line.ticket, found.get(line.ticket) ?? []);
    const { life, closing } = ticket;
    return {
      line,
      setUp: life.setUp ?? null,
      parts: [...life.parts],
      measures: life.measures.map(({ quantity, value, when }) => ({ quantity, value, when })),
      marks: [...life.marks],
      repairs: [...repairsDone(ticket)],
      waived: closing?.snapshot.waived ?? [],
      leftOpen: (closing?.snapshot.causes ?? [])
        .filter(({ is }) => is >= LEFT_OPEN_FROM && is < PRESENT_FROM)
        .sort((a, b) => b.is - a.is)
        .slice(0, MOST_LEFT_OPEN)
        .map(({ cause, is }) => ({ cause, chance: is })),
    };
  });
}

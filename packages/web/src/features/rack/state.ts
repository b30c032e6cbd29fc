import { type Day, dayOf, daysBetween } from '@nodo/kernel';
import type { ShopProfile } from '@nodo/shop';
import type { RackEntry } from '@nodo/ticket';

/** What the calendar says of a machine on the Rack. */
export interface DueState {
  /** Promised for a day that is over, and not ready. */
  readonly overdue: boolean;
  /** Promised for today, and not ready. */
  readonly dueToday: boolean;
  /** In work, and nobody made an entry for longer than the shop puts up with. */
  readonly stuck: boolean;
  /** The customer has known for longer than the shop wants to keep it that it can be fetched. */
  readonly uncollected: boolean;
}

/** @param today the shop's own */
export function dueState(line: RackEntry, card: ShopProfile, today: Day): DueState {
  const { status, promised, changedAt, toldAt, awaited, lastBy } = line;
  const isOpen = status === 'open' && line.tag !== null;
  const since = (instant: string) => daysBetween(dayOf(instant, card.timeZone), today);
  // Who waits for a part is stuck only when the part is late.
  const isLateThere = awaited?.expected ? awaited.expected < today : awaited === null;
  return {
    overdue: isOpen && promised !== null && promised < today,
    dueToday: isOpen && promised === today,
    stuck: isOpen && lastBy !== null && isLateThere && since(changedAt) >= card.stuckDays,
    // Nobody fetches what they do not know of.
    uncollected: status === 'closed' && toldAt !== null && since(toldAt) >= card.uncollectedDays,
  };
}

/** What of the Rack is shown; all of it stands in the address. */
export interface RackFilter {
  readonly who: string;
  readonly stands: string;
  readonly shelf: string;
}

/** Standings and what the calendar says, as one thing to choose by. */
export const STANDS = [
  'taken-in',
  'on-the-bench',
  'ask-customer',
  'part-awaited',
  'ready',
  'overdue',
  'stuck',
  'uncollected',
  'comeback',
] as const;
export type Stands = (typeof STANDS)[number];

export function fitsFilter(
  line: RackEntry,
  { who, stands, shelf }: RackFilter,
  state: DueState,
  workOf: ReadonlyMap<string, string>,
): boolean {
  if (who !== '' && line.lastBy !== who && workOf.get(line.ticket) !== who) return false;
  if (shelf !== '' && line.shelf !== shelf) return false;
  return stands === '' || standsSo(line, stands as Stands, state);
}

function standsSo(line: RackEntry, stands: Stands, state: DueState): boolean {
  switch (stands) {
    case 'overdue':
    case 'stuck':
    case 'uncollected':
      return state[stands];
    case 'comeback':
      return line.comebackOf !== null;
    case 'taken-in':
    case 'on-the-bench':
    case 'ask-customer':
    case 'part-awaited':
    case 'ready':
      return line.standing === stands;
  }
}

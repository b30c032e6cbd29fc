import type { RackEntry } from '@nodo/ticket';
import { isUntouched } from './isUntouched.ts';
import type { DueState } from './state.ts';

/** Why a machine wants a person, the most urgent first. */
export const REASONS = [
  'calls',
  'overdue',
  'dueToday',
  'ask',
  'freed',
  'awaited',
  'stuck',
  'handed',
  'late',
  'differing',
  'uncollected',
  'untouched',
  'owing',
  'ready',
] as const;
export type Reason = (typeof REASONS)[number];

/** All reasons for which a machine wants a person, the most urgent first; none for one that is in good hands. */
export function reasonsOf(line: RackEntry, state: DueState | undefined): readonly Reason[] {
  return REASONS.filter((reason) => holds(reason, line, state));
}

function holds(reason: Reason, line: RackEntry, state: DueState | undefined): boolean {
  const { tag, status, standing } = line;
  const isOpen = status === 'open' && tag !== null;
  switch (reason) {
    case 'calls':
      return status === 'open' && tag === null;
    case 'overdue':
    case 'dueToday':
    case 'stuck':
    case 'uncollected':
      return tag !== null && state?.[reason] === true;
    case 'ask':
      return isOpen && standing === 'ask-customer';
    case 'awaited':
      return isOpen && line.awaited !== null;
    case 'freed':
      return isOpen && line.freedBy !== null;
    case 'handed':
      return isOpen && line.handOver !== null;
    case 'late':
      return tag !== null && line.late > 0;
    case 'differing':
      return isOpen && line.contested > 0;
    case 'untouched':
      return isOpen && isUntouched(line);
    case 'owing':
      return isOpen && line.owed.length > 0 && !isUntouched(line);
    case 'ready':
      return status === 'closed' && tag !== null && state?.uncollected !== true;
  }
}

/** One heading of the side, with the machines for which it is the most urgent reason. */
export interface ReasonGroup {
  readonly reason: Reason;
  readonly entries: readonly {
    readonly line: RackEntry;
    /** What else it wants a person for. */
    readonly also: readonly Reason[];
  }[];
}

/** Each machine once, under its most urgent reason, the longest in the shop first. */
export function groupsOf(
  rack: readonly RackEntry[],
  states: ReadonlyMap<string, DueState>,
): readonly ReasonGroup[] {
  const byAge = rack.toSorted((a, b) => (a.takenInAt < b.takenInAt ? -1 : 1));
  const withReasons = byAge.map((line) => ({
    line,
    reasons: reasonsOf(line, states.get(line.ticket)),
  }));
  return REASONS.map((reason) => ({
    reason,
    entries: withReasons
      .filter(({ reasons }) => reasons[0] === reason)
      .map(({ line, reasons }) => ({ line, also: reasons.slice(1) })),
  })).filter(({ entries }) => entries.length > 0);
}

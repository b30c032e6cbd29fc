import type { RackEntry } from '@nodo/ticket';
import { isUntouched } from './isUntouched.ts';
import type { DueState } from './state.ts';

/** Why a machine wants a person, the most urgent first. */
const REASONS = [
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

/** The headings of the side, from the top. What is in trouble is one list, whatever the trouble. */
export const SECTIONS = [
  'calls',
  'dueToday',
  'canGoOn',
  'trouble',
  'ask',
  'awaited',
  'handed',
  'uncollected',
  'untouched',
  'owing',
  'ready',
] as const;
export type Section = (typeof SECTIONS)[number];

const SECTION_OF: Readonly<Record<Reason, Section>> = {
  calls: 'calls',
  overdue: 'trouble',
  dueToday: 'dueToday',
  ask: 'ask',
  freed: 'canGoOn',
  awaited: 'awaited',
  stuck: 'trouble',
  handed: 'handed',
  late: 'trouble',
  differing: 'trouble',
  uncollected: 'uncollected',
  untouched: 'untouched',
  owing: 'owing',
  ready: 'ready',
};

/** A machine under the heading of its most urgent reason. */
export interface InSection {
  readonly line: RackEntry;
  readonly reason: Reason;
  /** What else it wants a person for. */
  readonly also: readonly Reason[];
}

/**
 * Each machine once, under the heading of its most urgent reason; the more urgent first within it, then the longest
 * in the shop.
 */
export function sectionsOf(
  rack: readonly RackEntry[],
  states: ReadonlyMap<string, DueState>,
): readonly { readonly section: Section; readonly entries: readonly InSection[] }[] {
  const all = rack
    .toSorted((a, b) => (a.takenInAt < b.takenInAt ? -1 : 1))
    .flatMap((line): InSection[] => {
      const [reason, ...also] = reasonsOf(line, states.get(line.ticket));
      return reason ? [{ line, reason, also }] : [];
    })
    .toSorted((a, b) => REASONS.indexOf(a.reason) - REASONS.indexOf(b.reason));
  return SECTIONS.map((section) => ({
    section,
    entries: all.filter(({ reason }) => SECTION_OF[reason] === section),
  })).filter(({ entries }) => entries.length > 0);
}

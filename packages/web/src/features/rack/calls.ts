import { type Day, dayAfter } from '@nodo/kernel';
import type { CallReason, ContactOutcome, RackEntry } from '@nodo/ticket';
import { type Reason, reasonsOf } from './reasons.ts';
import type { DueState } from './state.ts';

/** A customer to be called, and what about. */
export interface CallToMake {
  readonly line: RackEntry;
  readonly about: CallReason;
  /** What else the machine wants a person for. */
  readonly also: readonly Reason[];
}

/**
 * What can come of a call, in the order of its buttons. The entry's own list comes with the schemas of all
 * entries, which the first page does without.
 */
export const OUTCOMES: readonly ContactOutcome[] = ['reached', 'no-answer', 'message-left'];

/** Days until somebody is called again, by what came of the call. Ours, no source: the usual course of a counter. */
const AGAIN_DAYS: Readonly<Record<ContactOutcome, number>> = {
  'no-answer': 1,
  'message-left': 2,
  reached: 7,
};

/**
 * The customers to call today, the most urgent reason first, the longest waiting first within it. Who was
 * tried comes again on the day that was noted.
 */
export function callsToMake(
  rack: readonly RackEntry[],
  states: ReadonlyMap<string, DueState>,
  today: Day,
): readonly CallToMake[] {
  const calls = rack.flatMap((line) => {
    const about = callReason(line, states.get(line.ticket), today);
    if (about === undefined || isPutOff(line, about, today)) return [];
    const also = reasonsOf(line, states.get(line.ticket)).filter(
      (reason) => !SAID_BY[about].includes(reason),
    );
    return [{ line, about, also }];
  });
  return calls.toSorted(byUrgency);
}

export function byUrgency(one: CallToMake, other: CallToMake): number {
  return (
    ORDER.indexOf(one.about) - ORDER.indexOf(other.about) ||
    (one.line.takenInAt < other.line.takenInAt ? -1 : 1)
  );
}

/** Reasons of the Rack that a call says already. */
const SAID_BY: Readonly<Record<CallReason, readonly Reason[]>> = {
  promise: ['overdue', 'awaited'],
  price: ['ask'],
  'part-late': ['awaited'],
  ready: ['ready'],
  'not-fetched': ['uncollected'],
};

const ORDER: readonly CallReason[] = ['promise', 'price', 'part-late', 'ready', 'not-fetched'];

function callReason(
  { tag, status, standing, toldAt, promised, awaited, customerName }: RackEntry,
  state: DueState | undefined,
  today: Day,
): CallReason | undefined {
  if (tag === null || customerName === null) return undefined;
  if (status === 'closed') {
    if (toldAt === null) return 'ready';
    return state?.uncollected ? 'not-fetched' : undefined;
  }
  if (standing === 'ask-customer') return 'price';
  const expected = awaited?.expected ?? null;
  if (promised !== null && (promised < today || (expected !== null && expected > promised))) {
    return 'promise';
  }
  return expected !== null && expected < today ? 'part-late' : undefined;
}

/** Tried already, and its day has not come; or reached about just this, with nothing left to ask. */
function isPutOff({ contact }: RackEntry, about: CallReason, today: Day): boolean {
  if (!contact) return false;
  if (contact.again !== null && contact.again > today) return true;
  const isSaid = contact.outcome === 'reached' && contact.about === about;
  return isSaid && (about === 'promise' || about === 'part-late');
}

/** When to call again after this came of it; null where the call ends the matter. */
export function callAgain(about: CallReason, outcome: ContactOutcome, today: Day): Day | null {
  if (outcome === 'reached' && about !== 'not-fetched') return null;
  return dayAfter(today, AGAIN_DAYS[outcome]);
}

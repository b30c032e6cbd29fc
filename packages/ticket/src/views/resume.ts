import type { CauseBelief } from '@nodo/core';
import { INTERVIEWS } from '@nodo/knowledge';
import type { Assessment } from '../assessment/assess.ts';
import { reportedOn, type Ticket } from '../state/ticket.ts';

/** What somebody must know who takes a ticket over: ids, for words see the interface. */
export interface Resume {
  /** Complaints that the customer reported, in the order of reporting. */
  readonly reported: readonly string[];
  /** What was asked at the counter or by telephone, and denied. */
  readonly denied: readonly string[];
  /** Looks that still count, the questions at the counter left out. */
  readonly looks: number;
  readonly likeliest: CauseBelief | undefined;
  /** What was done to the machine, one line each, the latest last. */
  readonly done: readonly string[];
  /** Causes that its owner put right before it came in. */
  readonly byCustomer: readonly string[];
  readonly owed: readonly string[];
}

/** The standing of a ticket in short. */
export function resumeOf(
  ticket: Ticket,
  { beliefs, duties }: Pick<Assessment, 'beliefs' | 'duties'>,
): Resume {
  const { looks, performedActions, customerTreatments } = ticket;
  return {
    reported: reportedOn(ticket),
    denied: deniedOn(ticket),
    looks: looks.filter(({ check }) => !INTERVIEWS.has(check)).length,
    likeliest: beliefs[0],
    done: [
      ...new Set(
        performedActions.filter(({ treats }) => treats.length > 0).map(({ action }) => action),
      ),
    ],
    byCustomer: [...new Set(customerTreatments.flatMap(({ treats }) => treats))],
    owed: duties.filter(({ state }) => state === 'owed').map(({ duty }) => duty),
  };
}

/** Findings of the interviews whose latest answer is no. */
function deniedOn({ answers }: Ticket): readonly string[] {
  const latest = new Map<string, boolean>();
  for (const { check, finding, present } of answers) {
    if (INTERVIEWS.has(check)) latest.set(finding, present);
  }
  return [...latest].filter(([, present]) => !present).map(([finding]) => finding);
}

import { type CauseBelief, comebackRisk, type DutyStatus, posterior } from '@nodo/core';
import type { FamilyModel } from '@nodo/knowledge';
import { dutiesOf } from './duties.ts';
import { readingsOf, type Seen } from './readings.ts';
import type { Ticket } from './ticket.ts';

/** Which reckoning made a closing snapshot. */
export const ENGINE = 'noisy-or-exact/1';

export interface Assessment extends Seen {
  /** All causes, the likeliest now first. */
  readonly beliefs: readonly CauseBelief[];
  /** Chance that the reported complaints come back if the ticket were closed now. */
  readonly risk: number;
  readonly duties: readonly DutyStatus[];
}

/** The findings that the customer reported. */
export function reportedComplaints(ticket: Ticket): readonly string[] {
  return ticket.answers
    .filter(({ check, present, epoch }) => check === 'complaint' && present && epoch === 0)
    .map(({ finding }) => finding);
}

/** Everything that can be said of a ticket at once: a few milliseconds of exact reckoning. */
export function assess(ticket: Ticket, model: FamilyModel): Assessment {
  const seen = readingsOf(ticket, model);
  const { beliefs } = posterior(model.network, seen.evidence);
  return {
    ...seen,
    beliefs: [...beliefs].sort((a, b) => b.is - a.is),
    risk: comebackRisk(model.network, seen.evidence, reportedComplaints(ticket)),
    duties: dutiesOf(ticket, model),
  };
}

import { type CauseBelief, comebackRisk, type DutyStatus, posterior } from '@nodo/core';
import { type FamilyModel, reportedComplaints } from '@nodo/knowledge';
import type { Ticket } from '../state/ticket.ts';
import { dutiesOf } from './duties.ts';
import { type ObservedEvidence, readingsOf } from './readings.ts';

export interface Assessment extends ObservedEvidence {
  /** All causes, the likeliest now first. */
  readonly beliefs: readonly CauseBelief[];
  /** Chance that the reported complaints come back if the ticket were closed now. */
  readonly risk: number;
  readonly duties: readonly DutyStatus[];
}

/**
 * Everything that can be said of a ticket at once: a few milliseconds of exact reckoning. Of a
 * closed ticket, what was known when it was closed.
 */
export function assess(ticket: Ticket, model: FamilyModel): Assessment {
  const seen = readingsOf(ticket, model);
  const duties = dutiesOf(ticket, model);
  if (ticket.closing) {
    const { causes, risk } = ticket.closing.snapshot;
    return { ...seen, beliefs: likeliestFirst(causes), risk, duties };
  }
  const { beliefs } = posterior(model.network, seen.evidence);
  return {
    ...seen,
    beliefs: likeliestFirst(beliefs),
    risk: comebackRisk(
      model.network,
      seen.evidence,
      reportedComplaints(model, seen.evidence.readings),
    ),
    duties,
  };
}

function likeliestFirst(beliefs: readonly CauseBelief[]): readonly CauseBelief[] {
  return [...beliefs].sort((a, b) => b.is - a.is);
}

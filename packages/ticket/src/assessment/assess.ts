import { type CauseBelief, comebackRisk, type DutyStatus, posterior } from '@nodo/core';
import type { FamilyModel } from '@nodo/knowledge';
import type { Ticket } from '../state/ticket.ts';
import { dutiesOf } from './duties.ts';
import { type ObservedEvidence, readingsOf } from './readings.ts';
import { type OwedSymptom, symptomsOwed } from './symptoms.ts';

export interface Assessment extends ObservedEvidence {
  /** All causes, what is likeliest to blame now first. */
  readonly beliefs: readonly CauseBelief[];
  /** Chance that the reported complaints come back if the ticket were closed now. */
  readonly risk: number;
  readonly duties: readonly DutyStatus[];
  /** The reported symptoms, and how each was settled. */
  readonly debts: readonly OwedSymptom[];
}

/**
 * Everything that can be said of a ticket at once: a few milliseconds of exact inference. Of a
 * closed ticket, what was known when it was closed.
 */
export function assess(ticket: Ticket, model: FamilyModel): Assessment {
  const seen = readingsOf(ticket, model);
  const duties = dutiesOf(ticket, model);
  if (ticket.closing) {
    const { causes, risk, waived } = ticket.closing.snapshot;
    const beliefs = causes.map((cause) => ({ ...cause, blame: cause.blame ?? cause.is }));
    // What later tables would owe besides was not owed then.
    const asClosed = duties.filter(({ duty, state }) => state !== 'owed' || waived.includes(duty));
    return { ...seen, beliefs: mostToBlameFirst(beliefs), risk, duties: asClosed, debts: [] };
  }
  const { beliefs } = posterior(model.network, seen.evidence);
  const risk = comebackRisk(model.network, seen.evidence);
  return {
    ...seen,
    beliefs: mostToBlameFirst(beliefs),
    risk,
    duties,
    debts: symptomsOwed(ticket, model, seen.evidence, risk),
  };
}

function mostToBlameFirst(beliefs: readonly CauseBelief[]): readonly CauseBelief[] {
  return [...beliefs].sort((a, b) => b.blame - a.blame || b.is - a.is);
}

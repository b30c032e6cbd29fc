import type { FamilyCheck, FamilyModel } from '@nodo/knowledge';
import { stateEpoch, type Ticket } from '../state/ticket.ts';

/** The last word on each finding in the present state of the machine. */
export function seenNow(ticket: Ticket): ReadonlyMap<string, boolean> {
  const now = stateEpoch(ticket, ticket.epoch);
  return new Map(
    ticket.answers
      .filter(({ epoch }) => stateEpoch(ticket, epoch) === now)
      .map(({ finding, present }) => [finding, present]),
  );
}

/** The trials that took the fault away in the present state of the machine, by check. */
export function curedBy(ticket: Ticket, { checks, sewing }: FamilyModel): readonly FamilyCheck[] {
  const seen = seenNow(ticket);
  return [...checks.values()].filter(
    ({ id, findings }) =>
      sewing.get(id)?.isTrial && findings.some((finding) => seen.get(finding.id) === true),
  );
}

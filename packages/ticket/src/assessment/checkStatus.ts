import type { FamilyModel } from '@nodo/knowledge';
import { changesOf, type Ticket } from '../state/ticket.ts';

export interface CheckOutcome {
  /** Every finding was answered since anything that could change the answer. */
  readonly done: boolean;
  readonly normal: boolean;
}

/**
 * Whether what a check showed still holds: an action that treats a cause which the check's
 * findings can show makes the earlier look worthless, any other action does not.
 */
export function checkOutcome(ticket: Ticket, model: FamilyModel, checkId: string): CheckOutcome {
  const check = model.checks.get(checkId);
  if (!check) return { done: false, normal: false };
  const causes = new Set(
    check.findings.flatMap(({ id }) => {
      const index = model.network.findingIndex.get(id);
      const parents = index === undefined ? [] : (model.network.parents[index] ?? []);
      return parents.map(({ cause }) => model.network.causes[cause]?.id);
    }),
  );
  const overtaken = Math.max(
    0,
    ...changesOf(ticket)
      // Whatever was done, it is sewn anew.
      .filter(
        ({ treats }) => model.sewing.has(checkId) || treats.some((cause) => causes.has(cause)),
      )
      .map(({ seq }) => seq),
  );
  const latest = new Map<string, boolean>();
  for (const answer of ticket.answers) {
    if (answer.check === checkId && answer.seq > overtaken)
      latest.set(answer.finding, answer.present);
  }
  const done = check.findings.every(({ id }) => latest.has(id));
  return { done, normal: done && ![...latest.values()].includes(true) };
}

/**
 * How a check stands on a ticket: never looked at, nothing found, something found, or looked at before
 * something was done that can have changed it.
 */
export type CheckStatus = 'not-yet' | 'sound' | 'found' | 'again';

export function checkStatus(ticket: Ticket, model: FamilyModel, check: string): CheckStatus {
  const { done, normal } = checkOutcome(ticket, model, check);
  if (done) return normal ? 'sound' : 'found';
  return ticket.looks.some((look) => look.check === check) ? 'again' : 'not-yet';
}

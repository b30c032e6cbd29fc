import type { SymptomDebt } from '@nodo/knowledge';
import { COMPLAINT, type FamilyEvidence, type FamilyModel, symptomDebts } from '@nodo/knowledge';
import { changesOf, type SettledByHand, type Ticket } from '../state/ticket.ts';

/** Stands for a complaint that was given in words alone. */
export const IN_WORDS = 'words';

/** What is owed to the customer, and how it was settled, if it was. */
export interface OwedSymptom {
  /**
   * A reported symptom; a fault that was seen and that nothing treated since; or `words`, for a complaint
   * that was given in words alone.
   */
  readonly kind: 'symptom' | 'fault' | 'words';
  /** Id of the symptom or of the cause; `words`. */
  readonly symptom: string;
  /** Minutes sewn in silence, as it failed, since the last repair. */
  readonly silentMinutes: number;
  readonly settled: SymptomDebt['settled'] | SettledByHand;
}

/**
 * What a ticket owes of its complaint. A symptom is settled by sewing or by a person, until it shows
 * again; a complaint in words alone is owed until it was asked into symptoms.
 */
export function symptomsOwed(
  ticket: Ticket,
  model: FamilyModel,
  evidence: FamilyEvidence,
  risk: number,
): readonly OwedSymptom[] {
  const debts = symptomDebts(model, evidence, risk);
  const byHand = (kind: 'fault' | 'words', symptom: string): OwedSymptom => ({
    kind,
    symptom,
    silentMinutes: 0,
    settled: settledByHand(ticket, symptom),
  });
  const isUnasked = debts.length === 0 && ticket.intake && !wasAsked(ticket);
  return [
    ...(isUnasked ? [byHand('words', IN_WORDS)] : []),
    ...debts.map(
      ({ symptom, silentMinutes, settled }): OwedSymptom => ({
        kind: 'symptom',
        symptom,
        silentMinutes,
        settled: settled ?? settledByHand(ticket, symptom),
      }),
    ),
    ...[...seenFaults(ticket, model)].map((cause) => byHand('fault', cause)),
  ];
}

/** Causes whose finding was seen, by the last word on it, and that nothing treated since. */
export function seenFaults(ticket: Ticket, model: FamilyModel): ReadonlySet<string> {
  const changes = changesOf(ticket);
  const seen = new Set<string>();
  for (const { finding, present, seq } of ticket.answers) {
    const cause = model.findings.get(finding)?.defines;
    if (cause === undefined) continue;
    const isTreated = changes.some((change) => change.seq > seq && change.treats.includes(cause));
    if (present && !isTreated) seen.add(cause);
    else seen.delete(cause);
  }
  return seen;
}

/** Everything was asked, and none of it is the complaint. */
function wasAsked({ looks }: Ticket): boolean {
  return looks.some(({ check, complete }) => check === COMPLAINT && complete);
}

function settledByHand(
  { settledSymptoms, answers }: Ticket,
  symptom: string,
): SettledByHand | undefined {
  const last = settledSymptoms.findLast((one) => one.symptom === symptom);
  if (!last) return undefined;
  const showsAgain = answers.some(
    ({ finding, present, seq }) => present && finding === symptom && seq > last.seq,
  );
  return showsAgain ? undefined : last.how;
}

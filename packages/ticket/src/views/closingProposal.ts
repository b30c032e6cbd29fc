import { checkMinutes, type FamilyModel, helpAgainst, INTERVIEWS } from '@nodo/knowledge';
import { minutesWorked } from '../state/life.ts';
import { repairsDone, type Ticket } from '../state/ticket.ts';

/** What a closing sheet begins with, before anybody writes on it: ids, for words see the interface. */
export interface ClosingProposal {
  /** Causes that were there and are not any more, or are known and left, the likeliest first. */
  readonly found: readonly string[];
  /** What it probably was, where something was put right on suspicion and the complaint is gone. */
  readonly probable: string | undefined;
  readonly done: readonly string[];
  /** What helps next time, a sentence for each cause that has one, none twice. */
  readonly helps: readonly string[];
  /** Parts that went in by what was done, and that nobody put on the bill since, as a bill names them. */
  readonly parts: readonly string[];
  /** Whole minutes to charge, never none where something was done. */
  readonly minutes: number;
  /** Whether the clock counted them; else they are summed up from what was looked at and done. */
  readonly isByClock: boolean;
}

/** From this chance on a cause counts as found. Ours, no source. */
const FOUND = 0.5;

/** From this chance on a cause is named as what it probably was. Ours, no source. */
const PROBABLE = 0.1;

/** What a ticket's own entries say for its closing sheet. */
export function closingProposal(ticket: Ticket, model: FamilyModel): ClosingProposal {
  const causes = ticket.closing?.snapshot.causes ?? [];
  const done = repairsDone(ticket);
  const treated = new Set(done.flatMap((action) => model.actions.get(action)?.treats ?? []));
  const found = causes
    .filter(({ cause, was }) => was >= FOUND && model.causes.has(cause))
    .sort((a, b) => Number(treated.has(b.cause)) - Number(treated.has(a.cause)) || b.was - a.was)
    .map(({ cause }) => cause);
  const probable = found.some((cause) => treated.has(cause))
    ? undefined
    : causes
        .filter(({ cause, was }) => was >= PROBABLE && treated.has(cause))
        .toSorted((a, b) => b.was - a.was)[0]?.cause;
  const byClock = Math.round(minutesWorked(ticket.life));
  return {
    found,
    probable,
    done,
    helps: [
      ...new Set(
        [...found, ...(probable === undefined ? [] : [probable])].flatMap(
          (cause) => helpAgainst(cause) ?? [],
        ),
      ),
    ],
    parts: partsLeft(ticket, model),
    minutes: byClock > 0 ? byClock : minutesOfWork(ticket, model),
    isByClock: byClock > 0,
  };
}

/** A part that somebody wrote down after an action counts as its part. */
function partsLeft({ performedActions, entries, life }: Ticket, model: FamilyModel): string[] {
  const lastPart = entries.findLast(({ id }) => life.parts.some(({ entry }) => entry === id));
  const fitted = performedActions.flatMap(({ action, seq }) =>
    lastPart && lastPart.seq > seq ? [] : (model.actions.get(action)?.fits ?? []),
  );
  return [...new Set(fitted)];
}

/** Minutes that what was looked at, sewn and done usually takes; what was opened counts with the first that asks for it. */
function minutesOfWork({ looks, performedActions, answers }: Ticket, model: FamilyModel): number {
  const looked = looks.reduce((sum, { check, seq }) => {
    const known = INTERVIEWS.has(check) ? undefined : model.checks.get(check);
    if (!known) return sum;
    const sewn = answers.find((answer) => answer.seq === seq)?.sewnMinutes;
    return sum + (sewn ?? checkMinutes(model, new Set(), known));
  }, 0);
  const worked = performedActions.reduce(
    (sum, { action }) => sum + (model.actions.get(action)?.minutes ?? 0),
    0,
  );
  return Math.ceil(looked + worked);
}

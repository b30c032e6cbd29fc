import { machineMinutes, type Suspect, type WorkLeft, workLeft } from '@nodo/core';
import type { CheckId } from '@nodo/knowledge';
import {
  checkMinutes,
  type FamilyModel,
  parseRequirement,
  SEARCH_MINUTES,
  SURE_ENOUGH,
} from '@nodo/knowledge';
import type { Ticket } from '../state/ticket.ts';
import type { Assessment } from './assess.ts';

/** A cause below this chance takes nobody's time. Ours, no source. */
const LEAST_SUSPECTED = 0.02;
/** Debts whose way of being paid has no minutes of its own. Ours, no source. */
const USUAL_DEBT_MINUTES = 3;
/** Putting the machine together, writing it down. Ours, no source. */
const CLOSING_MINUTES = 4;

/**
 * How many minutes of work a ticket still needs: looking, putting right, proof and debts, as
 * the assessment sees it. Nothing once it is closed.
 */
export function workLeftOn(
  ticket: Ticket,
  model: FamilyModel,
  { beliefs, duties }: Pick<Assessment, 'beliefs' | 'duties'>,
): WorkLeft {
  if (ticket.status !== 'open') return { mean: 0, spread: 0 };
  const { open } = ticket;
  const looks = model.decisive;
  const proof = proofMinutes(model);
  const suspects = beliefs
    // What was found is put right, whether or not it does harm; what was not is looked for where it does.
    .map(({ cause, is, blame }) => ({ cause, chance: is >= SURE_ENOUGH ? is : blame }))
    .filter(({ chance }) => chance >= LEAST_SUSPECTED)
    .map(({ cause, chance }): Suspect => {
      const check = looks.get(cause);
      const isKnown = chance >= SURE_ENOUGH || !check;
      const fix = model.causes.get(cause)?.fixMinutes ?? SEARCH_MINUTES;
      const repair = { minutes: fix + proof, access: check?.access ?? 'closed', sews: false };
      return {
        chance,
        heard: 1,
        look: isKnown ? 0 : checkMinutes(model, open, check),
        repair: machineMinutes(model.access, open, repair),
      };
    });
  const owed = duties
    .filter(({ state }) => state === 'owed')
    .reduce((sum, { duty }) => sum + debtMinutes(model, duty), CLOSING_MINUTES);
  // Each repair brings its proof; a machine on which there is none to make is proven all the same.
  const isRepaired = ticket.performedActions.some(({ repair }) => repair);
  const noneToMake = suspects.reduce((none, { chance }) => none * (1 - chance), 1);
  return workLeft(suspects, isRepaired ? owed : owed + noneToMake * proof);
}

/** What the whole proof sews at the end. */
const PROOFS: readonly CheckId[] = ['standard-straight', 'standard-zigzag'];

function proofMinutes(model: FamilyModel): number {
  return PROOFS.reduce((sum, id) => sum + (model.checks.get(id)?.minutes ?? 0), 0);
}

function debtMinutes(model: FamilyModel, id: string): number {
  const duty = model.duties.get(id);
  const ways = duty?.clearedAll ?? duty?.clearedAny?.slice(0, 1) ?? [];
  const minutes = ways.reduce((sum, text) => {
    const way = parseRequirement(text);
    if (way?.kind === 'check') return sum + (model.checks.get(way.id)?.minutes ?? 0);
    if (way?.kind === 'action') return sum + (model.actions.get(way.id)?.minutes ?? 0);
    return sum;
  }, 0);
  return minutes || USUAL_DEBT_MINUTES;
}

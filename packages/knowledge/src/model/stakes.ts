import { type Minutes, machineMinutes, type Remedy, type Stakes } from '@nodo/core';
import type { CheckId } from '../ids.ts';
import type { ActionSource } from '../schema/schema.ts';
import type { Situation } from './candidates.ts';
import { type FamilyEvidence, SEWN_AS_FOUND } from './evidence.ts';
import type { FamilyCheck, FamilyModel } from './familyModel.ts';
import { CLOSED } from './machineNow.ts';

/**
 * What a machine that comes back costs: taking it in again, telling the customer, doing the
 * work once more. Ours, no source: an hour. The planner bench says what it does.
 */
export const COMEBACK_MINUTES = 60;

/**
 * Searching on for what no table names, once everything else was put right. Ours, no source: an hour.
 */
export const SEARCH_MINUTES = 60;
/** Id of the remedy that stands for it. */
export const SEARCH_ON = 'search-on';

/** What minutes are weighed with on the machine as it stands. */
export function stakesOf(model: FamilyModel, situation: Situation): Stakes {
  const { open, plan, barred, standing } = situation;
  const { decisive: looks, actionAccess } = model;
  const { network } = model;
  const places = (causes: readonly string[]): readonly number[] =>
    causes.flatMap((cause) => network.causeIndex.get(cause) ?? []);
  const unnamed = network.causes.flatMap(({ id, unnamedFor }) => (unnamedFor ? [id] : []));
  const minutesAt = (from: ReadonlySet<string>, own: number, access: string): Minutes =>
    machineMinutes(model.access, from, { minutes: own, access, sews: false });
  const inReach = (own: number, access: string): Minutes => minutesAt(open, own, access);
  const remedies = [...model.actions.values()]
    .filter(({ id, treats }) => treats.length > 0 && !barred?.(`action:${id}`))
    .map((action): Remedy => {
      const { id } = action;
      const own = action.minutes + (model.owedAfter.get(id) ?? 0);
      const where = actionAccess.get(id) ?? 'closed';
      const reopening = Math.max(0, minutesAt(CLOSED, 0, where) - inReach(0, where));
      if (!waitsForLook(action, looks, situation)) {
        return { id, treats: places(action.treats), minutes: inReach(own, where), reopening };
      }
      // What no look shows is known once everything else is ruled out.
      if (!action.treats.some((cause) => looks.has(cause))) {
        return { id, treats: places(action.treats), minutes: inReach(own, where), isLast: true };
      }
      const lookMinutes = inReach(lookOwed(action.treats, looks, standing), where);
      return { id, treats: places(action.treats), minutes: own, lookMinutes, reopening };
    });
  return {
    remedies: [
      ...remedies,
      { id: SEARCH_ON, treats: places(unnamed), minutes: SEARCH_MINUTES, isLast: true },
    ],
    proofMinutes: minutesOfProof(model),
    comebackMinutes: COMEBACK_MINUTES,
    sharesProofs: plan !== 'one-at-a-time',
  };
}

/** By cause, the check that shows it. */
type Looks = ReadonlyMap<string, FamilyCheck>;

/**
 * Not done on suspicion: what is only done once its fault was seen, what was done already, what was looked
 * at and found right, and what takes longer than all the looks that tell it. A second new needle cures
 * nothing that the first did not, unless a look says that it does not sit right; a presser that is down is
 * not lowered; nobody fits another foot before looking at the one that is on.
 */
export function waitsForLook(
  { afterFinding, treats, minutes: own }: ActionSource,
  looks: Looks,
  { evidence, standing }: Pick<Situation, 'evidence' | 'standing'>,
): boolean {
  const isTold = (cause: string): boolean => {
    const look = looks.get(cause);
    return look !== undefined && standing(look.id).done;
  };
  return (
    afterFinding === true ||
    treats.every(isTold) ||
    (treats.every((cause) => looks.has(cause)) && lookOwed(treats, looks, standing) < own) ||
    wasDone(treats, evidence)
  );
}

/** Everything that it treats was treated already. */
export function wasDone(
  treats: readonly string[],
  { treatments }: Pick<FamilyEvidence, 'treatments'>,
): boolean {
  return treats.every((cause) => treatments.some(({ causes }) => causes.includes(cause)));
}

/** Minutes of the looks that tell whether it is needed: those that found nothing must be made again. */
function lookOwed(
  causes: readonly string[],
  looks: Looks,
  standing: Situation['standing'],
): number {
  const decisive = new Set(causes.flatMap((cause) => looks.get(cause) ?? []));
  return [...decisive]
    .map(({ id, minutes: cost }) => ({ ...standing(id), cost }))
    .filter(({ done, normal }) => !done || normal)
    .reduce((sum, { cost }) => sum + cost, 0);
}

/** The sew-out after a repair: the standard one where the family has it. */
const PROOFS = ['standard-straight', SEWN_AS_FOUND] as const satisfies readonly CheckId[];

function minutesOfProof(model: FamilyModel): number {
  const proof = PROOFS.flatMap((id) => model.checks.get(id) ?? [])[0];
  return proof?.minutes ?? 0;
}

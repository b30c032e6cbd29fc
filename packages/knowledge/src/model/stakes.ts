import { type Minutes, machineMinutes, type Remedy, type Stakes } from '@nodo/core';
import type { CheckId } from '../ids.ts';
import type { ActionSource } from '../schema/schema.ts';
import type { Situation } from './candidates.ts';
import { type FamilyEvidence, SEWN_AS_FOUND } from './evidence.ts';
import { decisiveChecks, type FamilyCheck, type FamilyModel } from './familyModel.ts';

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
  const { open, plan, barred, standing, evidence } = situation;
  const access = accessOfActions(model);
  const looks = decisiveChecks(model);
  const { network } = model;
  const places = (causes: readonly string[]): readonly number[] =>
    causes.flatMap((cause) => network.causeIndex.get(cause) ?? []);
  const unnamed = network.causes.flatMap(({ id, unnamedFor }) => (unnamedFor ? [id] : []));
  const inReach = (own: number, access: string): Minutes =>
    machineMinutes(model.access, open, { minutes: own, access, sews: false });
  const remedies = [...model.actions.values()]
    .filter(({ id, treats }) => treats.length > 0 && !barred?.(`action:${id}`))
    .map((action): Remedy => {
      const { id, minutes: own } = action;
      const treats = places(action.treats);
      const where = access.get(id) ?? 'closed';
      return waitsForLook(action, evidence)
        ? {
            id,
            treats,
            minutes: own,
            lookMinutes: inReach(lookOwed(action.treats, looks, standing), where),
          }
        : { id, treats, minutes: inReach(own, where) };
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

/**
 * Not done on suspicion: what is only done once its fault was seen, and what was done already. A second
 * new needle cures nothing that the first did not, unless a look says that it does not sit right.
 */
export function waitsForLook(
  { afterFinding, treats }: ActionSource,
  { treatments }: Pick<FamilyEvidence, 'treatments'>,
): boolean {
  return (
    afterFinding === true ||
    treats.every((cause) => treatments.some(({ causes }) => causes.includes(cause)))
  );
}

/** Minutes of the looks that tell whether it is needed, without those that were made. */
function lookOwed(
  causes: readonly string[],
  looks: ReadonlyMap<string, FamilyCheck>,
  standing: Situation['standing'],
): number {
  const decisive = new Set(causes.flatMap((cause) => looks.get(cause) ?? []));
  return [...decisive]
    .filter(({ id }) => !standing(id).done)
    .reduce((sum, { minutes: cost }) => sum + cost, 0);
}

/** By action, where the hand must get to: the nearest place at which a cause that it treats is seen. */
export function accessOfActions(model: FamilyModel): ReadonlyMap<string, string> {
  const places = decisiveChecks(model);
  const cost = (access: string): number =>
    machineMinutes(model.access, new Set(), { minutes: 0, access, sews: false });
  return new Map(
    [...model.actions.values()].map(({ id, treats }) => {
      const reached = treats.flatMap((cause) => places.get(cause)?.access ?? []);
      return [id, reached.sort((a, b) => cost(a) - cost(b))[0] ?? 'closed'];
    }),
  );
}

/** The sew-out after a repair: the standard one where the family has it. */
const PROOFS = ['standard-straight', SEWN_AS_FOUND] as const satisfies readonly CheckId[];

function minutesOfProof(model: FamilyModel): number {
  const proof = PROOFS.flatMap((id) => model.checks.get(id) ?? [])[0];
  return proof?.minutes ?? 0;
}

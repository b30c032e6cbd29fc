import {
  type CureProposal,
  drawStates,
  minutes,
  PosteriorEngine,
  type Remedy,
  rankForCure,
} from '@nodo/core';
import { candidatesOf, type Situation } from './candidates.ts';
import type { FamilyModel } from './familyModel.ts';
import { COMEBACK_MINUTES } from './stakes.ts';

/** What can be said next on the telephone. */
export type CallProposal = CureProposal &
  (
    | { readonly kind: 'ask'; readonly check: string }
    /** Tell the customer how to put this right, and to sew again. */
    | { readonly kind: 'advise'; readonly cause: string }
  );

/** Minutes to say a thing, have it done by a customer and hear the result. Ours, no source. */
const SPOKEN_MINUTES = 1;
/** Sewing a scrap after it. Ours, no source. */
const SEWN_MINUTES = 1;
/** What a machine is worth that needs not come in: as a comeback costs. Ours, no source. */
const CURE_MINUTES = minutes(COMEBACK_MINUTES);

/**
 * Everything that can be said on the telephone, what cures soonest first: questions, trials
 * that a customer can sew, and causes that a customer can put right. Heavy: belongs in a worker.
 */
export function planCall(
  model: FamilyModel,
  situation: Omit<Situation, 'place' | 'plan' | 'open'>,
): readonly CallProposal[] {
  const { network, checks } = model;
  const states = drawStates(new PosteriorEngine(network, situation.evidence), situation.draws);
  const candidates = candidatesOf(model, {
    ...situation,
    place: 'phone',
    plan: 'per-minute',
    open: new Set(),
  })
    .filter(({ waitsFor }) => waitsFor.length === 0)
    .map((candidate) => ({
      ...candidate,
      minutes: minutes(candidate.minutes + SPOKEN_MINUTES),
    }));
  const places = (causes: readonly string[]): readonly number[] =>
    causes.flatMap((cause) => network.causeIndex.get(cause) ?? []);

  const treatedBy = (check: string): readonly string[] => checks.get(check)?.trialTreats ?? [];
  const sewn = candidates.flatMap(({ id, minutes: cost }): readonly Remedy[] => {
    const treats = places(treatedBy(id));
    return treats.length > 0 ? [{ id: `check ${id}`, treats, minutes: cost }] : [];
  });
  const advised = [...model.causes.values()]
    .filter(({ byPhone }) => byPhone)
    .map(
      ({ id, fixMinutes }): Remedy => ({
        id: `cause ${id}`,
        treats: places([id]),
        minutes: minutes(fixMinutes + SPOKEN_MINUTES + SEWN_MINUTES),
      }),
    );
  const looks = candidates
    .filter(({ id }) => treatedBy(id).length === 0)
    .map((candidate) => ({ ...candidate, id: `check ${candidate.id}` }));
  const ranked = rankForCure(network, states, [...sewn, ...advised], looks, CURE_MINUTES);
  return ranked.map((proposal): CallProposal => {
    const [kind, id = ''] = proposal.id.split(' ');
    return kind === 'check'
      ? { ...proposal, kind: 'ask', check: id }
      : { ...proposal, kind: 'advise', cause: id };
  });
}

import { type CauseBelief, posterior, type Reading } from '@nodo/core';
import { type FamilyModel, withAnswer } from '@nodo/knowledge';
import type { Contest, ObservedEvidence } from './readings.ts';

/** What a contested answer would mean, one way and the other. */
export interface ContestEffect extends Contest {
  /** What is likeliest to blame, were the answer yes. */
  readonly ifYes: CauseBelief;
  readonly ifNo: CauseBelief;
  /** By how much the answer moves the cause that it moves most; 0 to 1. */
  readonly effect: number;
}

/** So many contested answers are shown at once. */
const MOST_SHOWN = 3;

/** The contested answers that matter most, each with what it would mean. */
export function contestEffects(
  model: FamilyModel,
  { evidence, contested }: ObservedEvidence,
): readonly ContestEffect[] {
  const under = (reading: Reading): readonly CauseBelief[] =>
    posterior(model.network, withAnswer(model, evidence, reading)).beliefs;
  return contested
    .flatMap((contest): ContestEffect[] => {
      const { finding, epoch } = contest;
      const yes = under({ finding, epoch, present: true });
      const no = under({ finding, epoch, present: false });
      const [ifYes, ifNo] = [likeliest(yes), likeliest(no)];
      const effect = Math.max(
        ...yes.map(({ blame }, cause) => Math.abs(blame - (no[cause]?.blame ?? 0))),
      );
      return ifYes && ifNo ? [{ ...contest, ifYes, ifNo, effect }] : [];
    })
    .sort((a, b) => b.effect - a.effect)
    .slice(0, MOST_SHOWN);
}

function likeliest(beliefs: readonly CauseBelief[]): CauseBelief | undefined {
  return [...beliefs].sort((a, b) => b.blame - a.blame)[0];
}

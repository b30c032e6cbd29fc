import type { CaseVerdict } from './judge.ts';

export interface CaseMove {
  readonly before: CaseVerdict;
  readonly after: CaseVerdict;
  /** Whether it is told rightly where it was not, or the other way round. */
  readonly turn: 'better' | 'worse' | 'same';
}

/** A chance that moves less is told as it was. */
const LEAST_MOVE = 0.05;

/** The worked cases that come out otherwise, those first that are no longer told rightly. */
export function caseMoves(
  before: readonly CaseVerdict[],
  after: readonly CaseVerdict[],
): readonly CaseMove[] {
  return after
    .flatMap((verdict, at) => {
      const earlier = before[at];
      if (!earlier) return [];
      const turn = turnOf(earlier, verdict);
      const moved = largestMove(earlier, verdict);
      return turn === 'same' && moved < LEAST_MOVE
        ? []
        : [{ before: earlier, after: verdict, turn, moved }];
    })
    .sort((a, b) => isWorse(b) - isWorse(a) || b.moved - a.moved);
}

function isWorse({ turn }: Pick<CaseMove, 'turn'>): number {
  return Number(turn === 'worse');
}

function turnOf(before: CaseVerdict, after: CaseVerdict): CaseMove['turn'] {
  const right = ({ first, amongThree }: CaseVerdict) => Number(first) + Number(amongThree);
  if (right(after) === right(before)) return 'same';
  return right(after) > right(before) ? 'better' : 'worse';
}

function largestMove(before: CaseVerdict, after: CaseVerdict): number {
  return Math.max(
    ...after.was.map(({ chance }, at) => Math.abs(chance - (before.was[at]?.chance ?? 0))),
  );
}

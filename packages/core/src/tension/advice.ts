import { SCREW_STEP } from '../bobbin/screw.ts';
import {
  balanceRead,
  chanceWithin,
  type TensionBelief,
  type TensionCause,
  type TensionSetting,
  type TensionTry,
  tensionBelief,
} from './belief.ts';

/** How a shop goes about it: on each of these practitioners disagree. */
export interface TensionSchool {
  /** By what the dial is turned until the knot changes sides; half of that afterwards. */
  readonly steps: 'whole' | 'half';
  /** What is looked at before the dial is turned, once it is threaded anew. */
  readonly first: 'bobbin' | 'dial';
  /** Whether the dial may stand in its outer parts. */
  readonly ends: 'when-nothing-else' | 'never' | 'like-any';
}

/** What the tables go by. */
export const USUAL_SCHOOL: TensionSchool = {
  steps: 'whole',
  first: 'bobbin',
  ends: 'when-nothing-else',
};

/** What is wanted, and what may be done for it. */
export interface TensionTask {
  /** Where the knot is wanted: nothing is the middle, below is positive. */
  readonly wanted: number;
  readonly school: TensionSchool;
  /** Threaded anew with the presser up since the complaint. */
  readonly rethreaded: boolean;
  /** Bobbin and case looked at: class, direction, under the spring, no lint. */
  readonly bobbinSeen: boolean;
  /** The bench may turn this case's screw. */
  readonly mayTurnScrew: boolean;
  /** Unlike threads may need an end of the dial. */
  readonly threadsDiffer: boolean;
}

/** What to do next, and how likely it balances. */
export type TensionAdvice =
  /** Sew it as it stands and read the sample. */
  | { readonly kind: 'sew' }
  | { readonly kind: 'rethread' }
  | { readonly kind: 'look-at-bobbin' }
  | { readonly kind: 'dial'; readonly setting: TensionSetting; readonly chance: number }
  | {
      readonly kind: 'screw';
      readonly setting: TensionSetting;
      /** Clock minutes from where it stands, clockwise plus. */
      readonly turn: number;
      readonly chance: number;
    }
  /** It is well as it stands. */
  | { readonly kind: 'balanced'; readonly chance: number }
  /** The dial cannot make up for the bobbin thread, and its screw is not to be turned further. */
  | { readonly kind: 'bobbin-side' }
  /** It is no matter of tension: turning helps nothing. */
  | { readonly kind: 'stop'; readonly cause: Exclude<TensionCause, 'dial'> | 'no-end' };

/** What the adviser goes by: the belief, and what follows. */
export interface TensionAnswer {
  readonly belief: TensionBelief;
  readonly advice: TensionAdvice;
}

/** So near to what is wanted counts as balanced: tiny dots on both faces. Ours. */
export const BALANCED = 0.1;
/** So sure it must be that something else than tension is behind it. Ours, tuned on the bench. */
const SURE_OF_ELSE = 0.7;
/** So sure that it is balanced; from the fourth and the fifth try on less, for another try tells little. Ours, tuned. */
const SURE_OF_BALANCE = [0.9, 0.9, 0.9, 0.9, 0.55] as const;
/** After so many tries nobody turns on. Ours. */
const MOST_TRIES = 8;
/** Numbers of the dial beyond which something else is usually wrong: common practice. */
export const DIAL_ENDS = { low: 2, high: 7 } as const;
export const DIAL = { least: 0, most: 9, middle: 4 } as const;
/** Below such a chance the dial does not reach what is wanted. Ours. */
const OUT_OF_REACH = 0.25;
/** So sure that the dial moves the knot before the bobbin's side is blamed. Ours. */
const SURE_OF_DIAL = 0.6;
/** Within so much of an end the dial was tried there. Ours. */
const NEAR_END = 1;
/** All turns of a screw together stay within a quarter: common practice. */
const MOST_SCREW = 3 * SCREW_STEP;
/** Between two halves the eye still sets a quarter. */
const FINEST = 0.25;
/** How much likelier an end of the dial must be than what lies between them. Ours. */
const END_IS_BETTER = 2;

/**
 * What to do next about the balance of the top thread, after the tries since it was last put right otherwise. The dial is
 * always come up to from below, so that its play is the same each time.
 * @throws CoreFault `not-a-try` for a setting or reading that cannot be.
 */
export function tensionAdvice(tries: readonly TensionTry[], task: TensionTask): TensionAnswer {
  const belief = tensionBelief(tries);
  return { belief, advice: adviceFor(tries, task, belief) };
}

function adviceFor(
  tries: readonly TensionTry[],
  task: TensionTask,
  belief: TensionBelief,
): TensionAdvice {
  const last = tries.at(-1);
  if (!last) return { kind: 'sew' };
  const { causes } = belief;
  const chanceAt = (setting: TensionSetting) =>
    causes.dial * chanceWithin(belief, setting, task.wanted, BALANCED);
  const here = chanceAt(last);
  const sure = SURE_OF_BALANCE[Math.min(tries.length, SURE_OF_BALANCE.length) - 1] ?? 1;
  if (here >= sure) return { kind: 'balanced', chance: here };
  if (!task.rethreaded) return { kind: 'rethread' };
  if (1 - causes.dial >= SURE_OF_ELSE) {
    return { kind: 'stop', cause: elseCause(belief) };
  }
  if (task.school.first === 'bobbin' && !task.bobbinSeen) return { kind: 'look-at-bobbin' };
  if (tries.length >= MOST_TRIES) return { kind: 'stop', cause: 'no-end' };
  const coarse = allowedDials(task, coarseStep(tries, task));
  const coarseBest = bestDial(coarse, last.screw, task, chanceAt);
  // What was sewn already is not sewn again while something between the steps is likelier.
  const isSewn = tries.some(({ dial, screw }) => dial === coarseBest.dial && screw === last.screw);
  const dials = isSewn ? allowedDials(task, FINEST) : coarse;
  const best = isSewn ? bestDial(dials, last.screw, task, chanceAt) : coarseBest;
  if (best.chance >= OUT_OF_REACH || tries.length < 2) {
    return { kind: 'dial', setting: { dial: best.dial, screw: last.screw }, chance: best.chance };
  }
  // The dial is tried to the end of what is allowed before the bobbin's side is blamed.
  const end = endWanted(last, task, dials);
  const isTried = tries.some(({ dial }) => Math.abs(dial - end) <= NEAR_END);
  if (!isTried) {
    const setting = { dial: end, screw: last.screw };
    return { kind: 'dial', setting, chance: chanceAt(setting) };
  }
  if (!task.bobbinSeen) return { kind: 'look-at-bobbin' };
  if (causes.dial < SURE_OF_DIAL) return { kind: 'stop', cause: elseCause(belief) };
  const turned = task.mayTurnScrew ? bestTurn(last, dials, chanceAt) : undefined;
  if (!turned || turned.chance <= best.chance) return { kind: 'bobbin-side' };
  return turned;
}

function elseCause({ causes }: TensionBelief): Exclude<TensionCause, 'dial'> {
  return causes.erratic > causes['no-answer'] ? 'erratic' : 'no-answer';
}

/** By what the dial is turned: the school's step until the knot has changed sides. */
function coarseStep(tries: readonly TensionTry[], { school, wanted }: TensionTask): number {
  const sides = tries.map((one) => balanceRead(one) - wanted);
  const hasChanged = sides.some((side) => side > 0) && sides.some((side) => side < 0);
  if (hasChanged) return FINEST;
  return school.steps === 'whole' ? 1 : 0.5;
}

/** Where the dial may be set, in such steps. */
function allowedDials({ school }: TensionTask, step: number): readonly number[] {
  const all = Array.from(
    { length: (DIAL.most - DIAL.least) / step + 1 },
    (_, index) => DIAL.least + index * step,
  );
  return school.ends === 'never' ? all.filter((dial) => !isAtEnd(dial)) : all;
}

export function isAtEnd(dial: number): boolean {
  return dial <= DIAL_ENDS.low || dial >= DIAL_ENDS.high;
}

function bestDial(
  dials: readonly number[],
  screw: number,
  { school, threadsDiffer }: TensionTask,
  chanceAt: (setting: TensionSetting) => number,
) {
  const shunsEnds = school.ends === 'when-nothing-else' && !threadsDiffer;
  let best = { dial: DIAL.middle as number, chance: -1 };
  let weighed = -1;
  for (const dial of dials) {
    const chance = chanceAt({ dial, screw });
    const weight = shunsEnds && isAtEnd(dial) ? chance / END_IS_BETTER : chance;
    if (weight > weighed) {
      weighed = weight;
      best = { dial, chance };
    }
  }
  return best;
}

/** The end of what is allowed towards which the dial would have to go. */
function endWanted(last: TensionTry, { wanted }: TensionTask, dials: readonly number[]): number {
  return (balanceRead(last) > wanted ? dials.at(-1) : dials[0]) ?? DIAL.middle;
}

/** One step of the screw, or more within a quarter turn in all, with the dial between its ends. */
function bestTurn(
  last: TensionTry,
  dials: readonly number[],
  chanceAt: (setting: TensionSetting) => number,
): Extract<TensionAdvice, { kind: 'screw' }> | undefined {
  let best: Extract<TensionAdvice, { kind: 'screw' }> | undefined;
  for (let screw = -MOST_SCREW; screw <= MOST_SCREW; screw += SCREW_STEP) {
    const turn = screw - last.screw;
    if (turn === 0) continue;
    for (const dial of dials.filter((one) => !isAtEnd(one))) {
      const chance = chanceAt({ dial, screw });
      // The least turn that does as well.
      if (
        !best ||
        chance > best.chance * 1.02 + 0.01 * Math.sign(Math.abs(turn) - Math.abs(best.turn))
      )
        best = { kind: 'screw', setting: { dial, screw }, turn, chance };
    }
  }
  return best;
}

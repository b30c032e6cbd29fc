import {
  type Adjustment,
  CoreError,
  leastAdjustments,
  mm,
  type SettingMinutes,
  type StitchScene,
  sceneOf,
} from '@nodo/core';
import { questionOf, type StitchQuestion, stitchMachine } from '@nodo/shop';
import { expose } from 'comlink';
import { type StitchAsked, settingMinutes, stitchAsked } from './questions.ts';

/** Steps of a turn: half a degree of the hand wheel. */
const STEPS = 720;

/** What of an adjustment can be sent: its meetings without their curves. */
export type AdjustmentFigures = Omit<Adjustment, 'meetings' | 'unmet'> & {
  readonly margins: readonly { readonly swing: number; readonly margin: number }[];
  /** Swings that are not met after it. */
  readonly unmet: readonly number[];
};

/** An answer, or the core's code for why there is none. */
export type Computed<Answer> = { readonly answer: Answer } | { readonly refused: string };

/** Scenes of the last questions: what is set is mostly what was found, and is asked for by itself. */
const lastScenes = new Map<string, Computed<StitchScene>>();
const KEPT = 4;

const stitch = {
  scene(asked: StitchAsked): Computed<StitchScene> {
    const key = JSON.stringify(asked);
    const kept = lastScenes.get(key);
    if (kept) return kept;
    const fresh = computed(asked, ({ set, seat, thread }) => sceneOf(set, seat, mm(thread), STEPS));
    lastScenes.set(key, fresh);
    for (const oldest of [...lastScenes.keys()].slice(0, -KEPT)) lastScenes.delete(oldest);
    return fresh;
  },

  least: (asked: StitchAsked, minutes: SettingMinutes): Computed<readonly AdjustmentFigures[]> =>
    computed(asked, ({ set, seat, thread }) =>
      leastAdjustments({ former: set.former, seat }, mm(thread), settingMinutes.parse(minutes)).map(
        ({ meetings, unmet, ...rest }) => ({
          ...rest,
          margins: meetings.map(({ swing, margin }) => ({ swing, margin })),
          unmet: unmet.map(({ swing }) => swing),
        }),
      ),
    ),
};

function computed<Answer>(
  asked: StitchAsked,
  answer: (question: StitchQuestion) => Answer,
): Computed<Answer> {
  const { family, service, settings, passes } = stitchAsked.parse(asked);
  try {
    const machine = stitchMachine(family, service);
    if (!machine) return { refused: 'no-hook' };
    const question = questionOf(machine, settings, passes);
    return { answer: answer(question) };
  } catch (error) {
    if (error instanceof CoreError) return { refused: error.code };
    throw error;
  }
}

export type StitchSolver = typeof stitch;

expose(stitch);

import {
  clearances,
  type MeetingFigures,
  OBSTACLES,
  type Obstacle,
  type StitchScene,
} from '@nodo/core';
import { type FindingId, SEEN_SKIPS, signsOf } from '@nodo/knowledge';
import type { StitchMachine, StitchQuestion, StitchSettings } from '@nodo/shop';
import type { SwingPlace } from '@nodo/ticket';
import { TIP } from '../../../drawing/stitch/needleShape.ts';
import { swingPlace } from '../scene/account.ts';

/** The index of the swing at which the stitch is missed first; where the needle is struck before everything. */
export function worstSwing({ swings }: Pick<StitchScene, 'swings'>): number {
  const rank = ({ margin, contact }: MeetingFigures) =>
    contact === 'strikes' ? margin - 100 : margin;
  const ranks = swings.map(({ meeting }) => rank(meeting));
  return ranks.indexOf(Math.min(...ranks));
}

/** The worst swing by its name; undefined where the needle does not swing. */
export function worstPlace(scene: Pick<StitchScene, 'swings'>): SwingPlace | undefined {
  const worst = scene.swings[worstSwing(scene)];
  return worst && scene.swings.length > 1 ? swingPlace(worst.meeting.swing) : undefined;
}

/** What is said of a stitch first. */
export type Headline = 'strikes' | 'rubs' | 'backward' | 'misses' | 'skips' | 'thread' | 'forms';

export function headlineOf(
  { scene, question }: Scened,
  settings: Pick<StitchSettings, 'backward'>,
): Headline {
  const meetings = scene.swings.map(({ meeting }) => meeting);
  if (settings.backward) return 'backward';
  if (meetings.some(({ contact }) => contact === 'strikes')) return 'strikes';
  if (meetings.some(({ skips }) => skips > 0.5)) return 'misses';
  if (meetings.some(({ skips }) => skips > SEEN_SKIPS)) return 'skips';
  if (meetings.some(({ contact }) => contact === 'rubs')) return 'rubs';
  if (seenSigns({ scene, question }).length > 0) return 'thread';
  return 'forms';
}

export interface Scened {
  readonly scene: StitchScene;
  readonly question: StitchQuestion;
}

/** What somebody would report of it, by the tables' findings. */
export function seenSigns({ scene, question }: Scened): readonly FindingId[] {
  const signs = signsOf(
    scene.swings.map(({ meeting }) => meeting),
    { needle: question.inNeedle, slack: Math.min(...scene.turn.slack) },
  );
  return [...new Set(signs.flat())];
}

/** What the needle would strike, at the widest swing, and by how much. */
export function struckBy(
  { preset }: StitchMachine,
  { low, bent, size }: StitchSettings,
): readonly (readonly [Obstacle, number])[] {
  const room = clearances(preset.around, {
    diameter: (size / 100) as Parameters<typeof clearances>[1]['diameter'],
    tip: TIP as Parameters<typeof clearances>[1]['tip'],
    swing: preset.set.former.swing,
    bent,
    low,
  });
  return OBSTACLES.flatMap((obstacle) =>
    room[obstacle] < 0 ? [[obstacle, -room[obstacle]] as const] : [],
  );
}

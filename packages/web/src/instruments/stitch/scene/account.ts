import type { SwingScene } from '@nodo/core';
import type { SwingPlace } from '@nodo/ticket';
import { type Phase, phaseAt, phaseStarts } from '../../../drawing/stitch/phases.ts';
import { eyeUpAt, type PictureSet } from '../../../drawing/stitch/stitchPicture.ts';
import { instruments } from '../../../messages/instruments.ts';

/** Whether the hook takes the loop: more often than not, and without running into the needle. */
export function isTakenAt({ meeting }: Pick<SwingScene, 'meeting'>): boolean {
  return meeting.margin >= 0 && meeting.contact !== 'strikes';
}

/** What a place of the swing is called; to the right positive. */
export function swingPlace(swing: number): SwingPlace {
  if (swing === 0) return 'middle';
  return swing < 0 ? 'left' : 'right';
}

/** What happens in a phase, at this swing: what it is called, and a sentence. */
export function phaseWords(
  phase: Phase,
  { swing, isTaken }: PictureSet,
): readonly [title: string, text: string] {
  const words = instruments.stitch.phases[phase];
  if (isTaken) return words.taken;
  return swing.meeting.contact === 'strikes' ? words.struck : words.missed;
}

/** What is seen at a step, in a sentence for whoever does not see it. */
export function accountOf(set: PictureSet, step: number): string {
  const { scene, swing } = set;
  const lift = scene.turn.lift[step] ?? 0;
  const isRising = step < scene.turn.shaft.length / 2;
  const phase = phaseAt(phaseStarts(scene, swing), step);
  return instruments.stitch.account({
    degrees: Math.round((step * 360) / scene.turn.shaft.length),
    lift,
    isRising,
    isEyeBelow: eyeUpAt(set, step) < 0,
    toMeeting: swing.passedAt - step,
    phase: phaseWords(phase, set)[1],
  });
}

import type { StitchScene, SwingScene } from '@nodo/core';

/** The four phases of a stitch, in the order in which a turn goes through them. */
export const PHASES = ['loop', 'carried', 'tight', 'down'] as const;
export type Phase = (typeof PHASES)[number];

/** The step at which each phase begins. */
export function phaseStarts(
  { letGoAt, turn }: Pick<StitchScene, 'letGoAt' | 'turn'>,
  { passedAt }: Pick<SwingScene, 'passedAt'>,
): Readonly<Record<Phase, number>> {
  return { loop: 0, carried: passedAt, tight: letGoAt, down: turn.tightAt };
}

export function phaseAt(starts: Readonly<Record<Phase, number>>, step: number): Phase {
  return PHASES.findLast((phase) => step >= starts[phase]) ?? 'loop';
}

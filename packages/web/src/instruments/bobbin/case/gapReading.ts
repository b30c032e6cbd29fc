import {
  mm,
  type StopGapReading,
  stopGapReading,
  tex,
  threadDiameter,
  whereValid,
} from '@nodo/core';
import type { MeasureLimit } from '@nodo/ticket';
import { readNumber } from '../../../messages/typed.ts';

/** What most is sewn with: the check asks whether this slips. */
export const ALL_PURPOSE = threadDiameter(tex(25), 'polyester');

/** What the gap at the stop is held against. */
export const GAP_LIMIT: MeasureLimit = {
  least: Math.round(ALL_PURPOSE * 1000) / 1000,
  most: null,
  standing: 'derived',
};

/** The feelers that pass and that stop in the gap, in millimetres. */
export interface Feelers {
  readonly passes: number;
  /** Undefined when none of the set stopped. */
  readonly stops: number | undefined;
}

/** Undefined while what was typed is no number, or nothing was. */
export function readFeelers(passes: string, stops: string): Feelers | undefined {
  const least = readNumber(passes);
  const most = readNumber(stops);
  const isNoNumber = stops.trim() !== '' && most === undefined;
  return least === undefined || isNoNumber ? undefined : { passes: least, stops: most };
}

/**
 * Whether a thread slips through the gap.
 * @param thread its diameter in millimetres
 * @returns undefined for feelers that contradict each other
 */
export function slipsThrough(
  { passes, stops }: Feelers,
  thread: number,
): StopGapReading | undefined {
  return whereValid(() =>
    stopGapReading(
      { passes: mm(passes), stops: stops === undefined ? undefined : mm(stops) },
      mm(thread),
    ),
  );
}

/** What the two threads together say of the gap. */
export function gapVerdict(
  usual: StopGapReading,
  here: StopGapReading,
): 'tight' | 'unsure' | 'right' | 'too-thick' {
  if (usual.slips === false) return 'tight';
  if (usual.slips === undefined || here.slips === undefined) return 'unsure';
  return here.slips ? 'right' : 'too-thick';
}

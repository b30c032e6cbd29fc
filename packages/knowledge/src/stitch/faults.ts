import {
  adjusted,
  degrees,
  mm,
  SEATED,
  type StitchSetup,
  type SwingMeeting,
  type ThreadInNeedle,
} from '@nodo/core';
import type { CauseId, FindingId } from '../ids.ts';

const DEGREE = Math.PI / 180;

/** A cause of the tables as the stitch's geometry knows it. */
export interface StitchFault {
  readonly cause: CauseId;
  /** Which way it is off, where that matters. */
  readonly way?: 'early' | 'late' | 'high' | 'deep';
  /** A machine that is set right, with this fault, so grave that somebody would bring it. */
  readonly apply: (setup: StitchSetup) => StitchSetup;
}

const seated =
  (seat: Partial<StitchSetup['seat']>): StitchFault['apply'] =>
  (setup) => ({ ...setup, seat: { ...SEATED, ...seat } });

/** How far each is off is ours, no source: what a shop is brought, not what a rule says. */
export const STITCH_FAULTS: readonly StitchFault[] = [
  { cause: 'needle-backward', apply: seated({ backward: true }) },
  { cause: 'needle-twisted', apply: seated({ turned: degrees(75) }) },
  { cause: 'needle-bent', apply: seated({ bend: 1.5 }) },
  { cause: 'needle-low', apply: seated({ low: 3 }) },
  {
    cause: 'hook-timing-off',
    way: 'early',
    apply: (setup) => adjusted(setup, 'timing', -15 * DEGREE),
  },
  {
    cause: 'hook-timing-off',
    way: 'late',
    apply: (setup) => adjusted(setup, 'timing', 8 * DEGREE),
  },
  { cause: 'needle-bar-height-off', way: 'high', apply: (setup) => adjusted(setup, 'bar', 2) },
  { cause: 'needle-bar-height-off', way: 'deep', apply: (setup) => adjusted(setup, 'bar', -3) },
  { cause: 'hook-gap-wide', apply: (setup) => adjusted(setup, 'gap', 1.2) },
  {
    cause: 'hook-rubs-needle',
    apply: (setup) => ({
      former: adjusted(setup, 'gap', -1).former,
      // The hook presses on the blade.
      seat: { ...setup.seat, bend: -0.05 },
    }),
  },
  {
    cause: 'flagging',
    apply: ({ former, seat }) => ({
      seat,
      former: { ...former, loop: { ...former.loop, rise: mm(2) } },
    }),
  },
];

/** So many stitches must be skipped for somebody to see it: one in a hundred. Ours. */
export const SEEN_SKIPS = 0.01;

/** What besides the meeting decides whether a stitch holds. */
export interface ThreadCondition {
  readonly needle: ThreadInNeedle;
  /** The least slack over a turn, in millimetres: below nothing the thread is pulled tight. */
  readonly slack: number;
}

/** Pulled tight by more, the thread does not only stretch; ours. */
const PULLED_TIGHT = -3;

/**
 * What somebody would report of a machine that meets its needle so, by the findings of the tables: of each list one or
 * several, for metal on metal is told as what it does.
 */
export function signsOf(
  meetings: readonly Pick<SwingMeeting, 'skips' | 'contact'>[],
  thread?: ThreadCondition,
): readonly (readonly FindingId[])[] {
  const signs: (readonly FindingId[])[] = [];
  if (meetings.some(({ skips }) => skips > SEEN_SKIPS)) signs.push(['skip']);
  if (meetings.some(({ contact }) => contact === 'rubs')) {
    signs.push(['shred', 'needle-strike', 'needle-break']);
  }
  if (meetings.some(({ contact }) => contact === 'strikes')) {
    signs.push(['needle-strike', 'needle-break']);
  }
  if (thread && (thread.needle.lies === 'stands-out' || thread.needle.hold === 'upright')) {
    signs.push(['shred', 'top-break']);
  }
  if (thread && thread.slack < PULLED_TIGHT) signs.push(['top-break']);
  return signs;
}

import { type NeedleSeat, type SeatEffect, seatEffect } from '../needle/seat.ts';
import { MOST_SLACK } from '../stitch/bentStrand.ts';
import type { LoopSet } from '../stitch/loop.ts';
import { type Millimetres, mm } from '../units/quantities.ts';
import type { StitchFormer } from './former.ts';
import { hookAt, passesLater, pointAt } from './hook.ts';
import { barAt } from './needleBar.ts';

/**
 * How far the point may press on the blade and still slide past: not beyond the middle of a blade of .8 mm, which gives
 * way so far under a quarter of a newton. Ours, derived.
 */
const RUBS_UNTIL = -0.35;

/** What happens where the hook's point passes a needle at one place of its swing. */
export interface SwingMeeting extends SeatEffect {
  /** To the right positive. */
  readonly swing: number;
  /** Radians of the main shaft after the needle was lowest. */
  readonly shaft: number;
  /** How far the needle has risen by then. */
  readonly lift: Millimetres;
  /** Whether the point goes by free of the needle. */
  readonly contact: 'free' | 'rubs' | 'strikes';
}

/**
 * The meeting at one place of the swing. Aside, the point comes by earlier or later, so that the needle has risen less
 * or more, and over a level axis lower than in the middle. The needle is taken to swing alongside the hook, so that the
 * gap stays: what is left of that is measured at each swing. Derived here from the geometry; what the loop is, is
 * {@link seatEffect}'s.
 * @param thread diameter of the thread
 * @param swing of the needle, to the right positive, in millimetres
 * @throws CoreFault `hook-does-not-reach`, `linkage-impossible`
 */
export function meetingAt(
  former: StitchFormer,
  seat: NeedleSeat,
  thread: Millimetres,
  swing: number,
): SwingMeeting {
  const { bar, hook, meetsAt, meeting, loop } = former;
  const later = passesLater(hook, swing);
  const shaft = meetsAt + later;
  const { lift } = barAt(bar, shaft);
  const risenMore = lift - barAt(bar, meetsAt).lift;
  const { down } = pointAt(hook, hookAt(hook, later).angle);
  const effect = seatEffect(seat, thread, {
    ...meeting,
    aboveEye: meeting.aboveEye - risenMore - down,
    loop: loopAt(loop, lift),
  });
  return {
    ...effect,
    swing,
    shaft,
    lift,
    contact: effect.gap >= 0 ? 'free' : effect.gap > RUBS_UNTIL ? 'rubs' : 'strikes',
  };
}

/**
 * The thread behind the needle when that has risen so far; no farther than such a strand can carry, where the needle's eye
 * has long gone past the hook.
 */
export function loopAt({ robs, ...strand }: StitchFormer['loop'], lift: Millimetres): LoopSet {
  const { free, rise, eye } = strand;
  const share = MOST_SLACK[eye];
  // Slack is what rose less what was robbed and the fabric's own rise; the strand is as long as what was not robbed.
  const most = (share * free + rise) / (1 - robs + share * robs);
  const risen = mm(Math.min(lift, 0.999 * most));
  return { ...strand, lift: risen, robbed: mm(robs * risen) };
}

/** Left, middle and right of what a machine can swing; the middle alone where it cannot. */
export function swingsOf({ swing }: StitchFormer): readonly number[] {
  const aside: number = swing;
  return aside > 0 ? [-aside, 0, aside] : [0];
}

/** The meetings over the whole swing. */
export function meetingsOf(
  former: StitchFormer,
  seat: NeedleSeat,
  thread: Millimetres,
): readonly SwingMeeting[] {
  return swingsOf(former).map((swing) => meetingAt(former, seat, thread, swing));
}

import { type HookMeeting, type NeedleSeat, type SeatEffect, seatEffect } from '../needle/seat.ts';
import { type Millimetres, mm } from '../units/quantities.ts';
import type { StitchFormer } from './former.ts';
import { hookAt, passesLater } from './hook.ts';
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
 * or more, and on its circle it is farther away (upright axis) or lower (level axis) than in the middle. Derived here
 * from the geometry; what the loop is, is {@link seatEffect}'s.
 * @param thread diameter of the thread
 * @param swing of the needle, to the right positive, in millimetres
 * @throws CoreFault `hook-does-not-reach`, `linkage-impossible`, `loop-impossible`
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
  const off = hook.radius * (1 - Math.cos(hookAt(hook, later).angle));
  const there: HookMeeting = {
    ...meeting,
    // Below the eye there is no loop: it is as if the point came by at the eye.
    aboveEye: mm(Math.max(0, meeting.aboveEye - risenMore - (hook.axis === 'level' ? off : 0))),
    gap: mm(meeting.gap + (hook.axis === 'upright' ? off : 0)),
    loop: { ...loop, lift },
  };
  const effect = seatEffect(seat, thread, there);
  return {
    ...effect,
    swing,
    shaft,
    lift,
    contact: effect.gap >= 0 ? 'free' : effect.gap > RUBS_UNTIL ? 'rubs' : 'strikes',
  };
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

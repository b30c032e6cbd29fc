import { normalTail } from '../chance/normal.ts';
import { type Loop, type LoopSet, needleLoop } from '../stitch/loop.ts';
import { type Degrees, type Millimetres, mm, positive } from '../units/quantities.ts';

/** How the hook meets a needle that is set right. */
export interface HookMeeting {
  /** Height of the hook's point above the eye. */
  readonly aboveEye: Millimetres;
  /** Between hook point and the scarf's floor. */
  readonly gap: Millimetres;
  readonly hookPoint: Millimetres;
  /** Length of the scarf upwards from the eye. */
  readonly scarfLength: Millimetres;
  /** How far the scarf's floor lies inside the blade's back. */
  readonly scarfDepth: Millimetres;
  readonly loop: LoopSet;
  /** From stitch to stitch the loop's reach differs so much (standard deviation). */
  readonly scatter: Millimetres;
}

/** A household machine set as its trade sets it: the middle of ranges from memory, typical. */
export const USUAL_MEETING: HookMeeting = {
  aboveEye: mm(1.5),
  gap: mm(0.075),
  hookPoint: mm(0.4),
  scarfLength: mm(5),
  scarfDepth: mm(0.3),
  loop: { free: mm(8), lift: mm(2.2), rise: mm(0), robbed: mm(0) },
  scatter: mm(0.15),
};

/** How a needle sits, against how it should. */
export interface NeedleSeat {
  /** How far it hangs below its stop. */
  readonly low: Millimetres;
  /** The scarf faces away from the hook. */
  readonly backward: boolean;
  /** Off its target angle. */
  readonly turned: Degrees;
  /** How far its blade is bent away from the hook (positive) or towards it, at the hook's height. */
  readonly bend: number;
}

export const SEATED: NeedleSeat = {
  low: mm(0),
  backward: false,
  turned: 0 as Degrees,
  bend: 0,
};

/** What the hook finds of a needle and its loop. */
export interface SeatEffect {
  readonly loop: Loop;
  /** How high above the eye the hook comes by. */
  readonly meetsAt: Millimetres;
  /** What of the loop stands towards the hook there, and what stands aside. */
  readonly towards: number;
  readonly aside: number;
  /** The hook comes by above the end of the scarf, where the blade is full. */
  readonly pastScarf: boolean;
  /** Room between hook and needle there; negative: it rubs or strikes. */
  readonly gap: number;
  /** What is left of the loop beyond what the hook needs; negative: it goes by. */
  readonly margin: number;
  /** Share of the stitches that are skipped. */
  readonly skips: number;
}

/**
 * What an error of the needle's seat does to the loop. A low needle has no smaller loop in this
 * model: it brings the hook nearer to the scarf's end. A turned one shows w cos a and moves w sin a
 * aside, a backward one shows nothing. Skips: the normal tail of margin over scatter. Derived here.
 * @param thread diameter of the thread.
 */
export function seatEffect(
  seat: NeedleSeat,
  thread: Millimetres,
  hook: HookMeeting = USUAL_MEETING,
): SeatEffect {
  const loop = needleLoop(hook.loop);
  const meetsAt = mm(hook.aboveEye + seat.low);
  const reach = seat.backward ? 0 : loop.reachAt(meetsAt);
  const angle = (seat.turned * Math.PI) / 180;
  const towards = Math.max(0, reach * Math.cos(angle));
  const pastScarf = meetsAt > hook.scarfLength;
  // Backward, the hook meets the front of the blade, which has no hollow.
  const hollow = pastScarf || seat.backward ? hook.scarfDepth : 0;
  const gap = hook.gap - hollow + seat.bend;
  const margin = towards - (Math.max(0, gap) + hook.hookPoint + thread / 2);
  return {
    loop,
    meetsAt,
    towards,
    aside: reach * Math.sin(angle),
    pastScarf,
    gap,
    margin,
    skips: normalTail(margin / positive('scatter', hook.scatter)),
  };
}

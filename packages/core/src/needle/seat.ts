import { normalTail } from '../chance/normal.ts';
import { type Loop, type LoopSet, needleLoop } from '../stitch/loop.ts';
import { type Degrees, type Millimetres, mm, positive } from '../units/quantities.ts';

/** The blade to which hooks are taken to be set, in millimetres: that of the proof; common practice. */
export const SET_TO_BLADE = 0.8;

/** How the hook meets a needle that is set right. */
export interface HookMeeting {
  /** Height of the hook's point above the eye, in millimetres; below it is negative. */
  readonly aboveEye: number;
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
  aboveEye: 1.5,
  gap: mm(0.075),
  hookPoint: mm(0.4),
  scarfLength: mm(5),
  scarfDepth: mm(0.3),
  // A fabric under a presser gives way a little, and some thread goes back through the eye: both ours, so that the loop
  // is the 1.5 mm or a little more that the trade tells.
  loop: { free: mm(8), lift: mm(2.2), rise: mm(0.3), robbed: mm(0.3 * 2.2), eye: 'swivels' },
  scatter: mm(0.15),
};

/** How a needle sits, against how it should. */
export interface NeedleSeat {
  /** How far its eye is lower than it should be, in millimetres: not up to its stop, or too long; too short is negative. */
  readonly low: number;
  /** The scarf faces away from the hook. */
  readonly backward: boolean;
  /** Off its target angle. */
  readonly turned: Degrees;
  /** How far its blade is bent away from the hook (positive) or towards it, at the hook's height. */
  readonly bend: number;
  /** By how much its blade is thinner than the one to which the hook was set, in millimetres; thicker is negative. */
  readonly thinner: number;
}

export const SEATED: NeedleSeat = {
  low: 0,
  backward: false,
  turned: 0 as Degrees,
  bend: 0,
  thinner: 0,
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
 * model: it brings the hook nearer to the scarf's end. A turned one shows w cos a, moves w sin a
 * aside and turns an edge of its scarf to the hook; a backward one shows nothing. Skips: the normal tail of margin over scatter. Derived here.
 * @param thread diameter of the thread.
 */
export function seatEffect(
  seat: NeedleSeat,
  thread: Millimetres,
  hook: HookMeeting = USUAL_MEETING,
): SeatEffect {
  const loop = needleLoop(hook.loop);
  const meetsAt = mm(Math.max(0, hook.aboveEye + seat.low));
  // At the eye or below it the point finds the thread's crossing, no loop to go through.
  const reach = seat.backward || meetsAt === 0 ? 0 : loop.reachAt(meetsAt);
  const angle = (seat.turned * Math.PI) / 180;
  const towards = Math.max(0, reach * Math.cos(angle));
  const pastScarf = meetsAt > hook.scarfLength;
  const away = pointFromScarf(seat, hook);
  const depth = scarfDepthOf(seat, hook);
  const gap = away - (pastScarf ? depth : bladeNearer(seat, depth));
  // Where metal meets metal the needle is pushed off, and its loop with it.
  const pushed = Math.max(0, -gap);
  const fromLoop = Math.max(0, away - (pastScarf ? depth : 0) + pushed);
  const margin = towards - (fromLoop + hook.hookPoint + thread / 2);
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

/** So much of what a blade is thicker its scarf is deeper, so that hooks fit several sizes; ours. */
const DEEPER = 2 / 3;

/** How deep the scarf of this blade is, in millimetres. */
export function scarfDepthOf(
  { thinner }: Pick<NeedleSeat, 'thinner'>,
  { scarfDepth }: Pick<HookMeeting, 'scarfDepth'>,
): number {
  return scarfDepth - (thinner / 2) * DEEPER;
}

/** Between the hook's point and the floor of this needle's scarf, were that turned to it. */
export function pointFromScarf(
  { bend, thinner }: Pick<NeedleSeat, 'bend' | 'thinner'>,
  { gap }: Pick<HookMeeting, 'gap'>,
): number {
  return gap + bend + (thinner / 2) * (1 - DEEPER);
}

/**
 * How much nearer to the hook a blade comes than the floor of a scarf that faces it: a disc, cut off flat where it is
 * hollow. Turned, an edge of the cut stands out; backward, it is round towards the hook.
 */
function bladeNearer({ turned, backward, thinner }: NeedleSeat, depth: number): number {
  const radius = (SET_TO_BLADE - thinner) / 2;
  const edge = Math.acos(1 - depth / radius);
  const angle = Math.abs((turned * Math.PI) / 180);
  if (backward || angle >= edge) return depth;
  return radius * Math.cos(edge - angle) - (radius - depth);
}

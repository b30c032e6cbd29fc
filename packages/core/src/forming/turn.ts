import { CoreError } from '../errors/coreError.ts';
import { assertCranks } from '../linkage/fourBar.ts';
import { threadPerStitch } from '../stitch/threadDemand.ts';
import { type Millimetres, mm } from '../units/quantities.ts';
import { type StitchFormer, USUAL_FORMER } from './former.ts';
import { hookAt, pointAt, turnsAfter } from './hook.ts';
import { barAt } from './needleBar.ts';
import { type TakeUp, takeUpAt, USUAL_TAKE_UP } from './takeUp.ts';

const ROUND = 2 * Math.PI;

/** What a turn is computed for. */
export interface TurnSet {
  readonly former: StitchFormer;
  readonly takeUp: TakeUp;
  /** How far the hook turns with the loop before it lets go, in radians of the hook. */
  readonly letsGo: number;
  readonly stitch: Millimetres;
  readonly fabric: Millimetres;
}

/** The usual machine at a straight stitch on a middling fabric; when the hook lets go is typical. */
export const USUAL_TURN: TurnSet = {
  former: USUAL_FORMER,
  takeUp: USUAL_TAKE_UP,
  letsGo: (200 * Math.PI) / 180,
  stitch: mm(2.5),
  fabric: mm(1),
};

/**
 * One turn of the main shaft in equal steps, from the needle's lowest on; every list has one value a step. Lengths in
 * millimetres, angles in radians.
 */
export interface Turn {
  readonly shaft: Float64Array;
  /** Of the needle above its lowest. */
  readonly lift: Float64Array;
  /** Of the hook's point from where it meets the needle. */
  readonly hook: Float64Array;
  /** Of the take-up's eye. */
  readonly takeUp: { readonly x: Float64Array; readonly y: Float64Array };
  /** Thread that the take-up gives, against the moment at which the stitch is drawn tight. */
  readonly given: Float64Array;
  /** Thread that needle and hook want, against the same moment. */
  readonly wanted: Float64Array;
  /** What is given and not wanted; below nothing the thread is pulled tight, or breaks. */
  readonly slack: Float64Array;
  /** The step at which the stitch is drawn tight: after the hook let go, take-up and needle together hold most. */
  readonly tightAt: number;
}

/**
 * Thread wanted against thread given over a turn. Wanted: the way down to the needle's eye; the strand below the
 * fabric, which stays as long as it was when the needle rises, until the hook widens it into a loop round the case, two
 * legs from the needle's hole to the hook's point; and what the stitch keeps once the hook has let go. A model of ours;
 * the legs go over the case's faces as if they were flat.
 * @param steps of a turn, from 36 on
 * @throws CoreFault `too-few-steps`, `linkage-impossible`, `never-lets-go`
 */
export function turnOf(set: TurnSet, steps: number): Turn {
  if (!(Number.isInteger(steps) && steps >= 36)) throw new CoreError('too-few-steps', { steps });
  const { former, takeUp } = set;
  assertCranks(takeUp.bars);
  const list = () => new Float64Array(steps);
  const turn = {
    shaft: list(),
    lift: list(),
    hook: list(),
    takeUp: { x: list(), y: list() },
    given: list(),
    wanted: list(),
    slack: list(),
  };
  const letGo = heldUntil(former, set.letsGo);
  // First against nothing, then against where both together hold most.
  let tightAt = 0;
  let most = Number.NEGATIVE_INFINITY;
  for (let step = 0; step < steps; step += 1) {
    const shaft = (step * ROUND) / steps;
    const { eye, path } = takeUpAt(takeUp, shaft);
    const wanted = wantedAt(set, shaft, letGo);
    turn.shaft[step] = shaft;
    turn.lift[step] = barAt(former.bar, shaft).lift;
    turn.hook[step] = hookAt(former.hook, shaft - former.meetsAt).angle;
    turn.takeUp.x[step] = eye.x;
    turn.takeUp.y[step] = eye.y;
    turn.given[step] = path;
    turn.wanted[step] = wanted;
    if (shaft >= letGo && path + wanted > most) {
      most = path + wanted;
      tightAt = step;
    }
  }
  const [path, wanted] = [turn.given[tightAt] ?? 0, turn.wanted[tightAt] ?? 0];
  for (let step = 0; step < steps; step += 1) {
    const given = path - (turn.given[step] ?? 0);
    const more = (turn.wanted[step] ?? 0) - wanted;
    turn.given[step] = given;
    turn.wanted[step] = more;
    turn.slack[step] = given - more;
  }
  return { ...turn, tightAt };
}

/** Thread from the face guide on: down to the eye, and below the fabric. */
function wantedAt({ former, stitch, fabric }: TurnSet, shaft: number, letGo: number): number {
  const { bar, loop, meetsAt } = former;
  const { lift } = barAt(bar, shaft);
  const down = 2 * bar.crank - lift;
  const strand = Math.max(0, loop.free - lift);
  const { angle } = hookAt(former.hook, shaft - meetsAt);
  const isRising = shaft < Math.PI;
  // Not taken yet: what the needle carried down stays below.
  if (isRising && shaft < meetsAt) return down + loop.free;
  if (shaft >= meetsAt && shaft < letGo)
    return down + Math.max(loop.free, 2 * legAt(former, angle));
  return down + Math.max(strand, threadPerStitch(stitch, mm(0), fabric));
}

/** From the needle's hole to the hook's point, turned so far since it met the needle. */
function legAt({ bar, hook, loop, meeting, meetsAt }: StitchFormer, angle: number): number {
  const depth = Math.max(0, loop.free - barAt(bar, meetsAt).lift - meeting.aboveEye);
  const { across, back, down } = pointAt(hook, angle);
  return Math.hypot(across, back, depth + down);
}

/** What draws the top thread tight: the take-up against discs that hold, against open ones, or nothing. */
export const TOP_THREADS = ['held', 'discs-open', 'out-of-take-up'] as const;
export type TopThread = (typeof TOP_THREADS)[number];

/**
 * Thread that stays below the fabric at each stitch, in millimetres. The take-up draws from where there is the least
 * resistance: from below while the discs hold; from the spool while they do not, so that what it gives back after the
 * hook let go comes from there; and a thread that is out of it leaves the whole way round the hook. Derived.
 */
export function leftBelow(set: TurnSet, turn: Turn, top: TopThread): number {
  if (top === 'held') return 0;
  if (top === 'out-of-take-up') return hookCircuit(set);
  const letGo = Math.ceil((heldUntil(set.former, set.letsGo) * turn.given.length) / ROUND);
  return (turn.given[letGo] ?? 0) - (turn.given[turn.tightAt] ?? 0);
}

/**
 * Thread that the hook carries round the case at most. What the take-up does not draw back of it stays below: a take-up
 * that the thread has slipped out of leaves all of it at each stitch.
 */
export function hookCircuit({ former, letsGo }: Pick<TurnSet, 'former' | 'letsGo'>): number {
  // The legs are longest where the point stands opposite the needle, if it comes so far.
  return 2 * legAt(former, Math.min(letsGo, Math.PI));
}

/** When the loop slips off, in radians of the main shaft after the needle's lowest. */
export function heldUntil({ hook, meetsAt }: StitchFormer, letsGo: number): number {
  const after = turnsAfter(hook, letsGo);
  if (after === undefined) throw new CoreError('never-lets-go', { letsGo });
  return meetsAt + after;
}

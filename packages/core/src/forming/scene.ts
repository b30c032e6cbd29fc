import type { NeedleSeat } from '../needle/seat.ts';
import { needleLoop } from '../stitch/loop.ts';
import { type Millimetres, mm } from '../units/quantities.ts';
import { pointAt } from './hook.ts';
import { loopAt, meetingAt, type SwingMeeting, swingsOf } from './meeting.ts';
import { heldUntil, type Turn, type TurnSet, turnOf } from './turn.ts';

/** Parts into which a picture cuts a strand. */
export const STRAND_PARTS = 32;
/** Values a strand takes: height above the eye and how far out, for each end of a part. */
export const STRAND_VALUES = 2 * (STRAND_PARTS + 1);

/** A meeting as figures alone, so that it can be sent about. */
export type MeetingFigures = Omit<SwingMeeting, 'loop'> & {
  readonly chord: number;
  readonly bulge: number;
};

/** What is seen at one place of the swing. */
export interface SwingScene {
  readonly meeting: MeetingFigures;
  /** The step from which on the point has passed the needle. */
  readonly passedAt: number;
  /** The strand behind the needle at each step until then, {@link STRAND_VALUES} each; and at the very meeting. */
  readonly strands: Float32Array;
  readonly atMeeting: Float32Array;
}

/** All that a picture of a turn is drawn from; millimetres and radians. */
export interface StitchScene {
  readonly turn: Turn;
  /** The hook's point from where it meets the needle in the middle. */
  readonly point: {
    readonly across: Float64Array;
    readonly back: Float64Array;
    readonly down: Float64Array;
  };
  /** The step from which on the loop is let go. */
  readonly letGoAt: number;
  readonly swings: readonly SwingScene[];
}

/**
 * One turn of the main shaft as a picture needs it.
 * @param steps of the turn
 * @throws CoreFault as {@link turnOf} and {@link meetingAt}
 */
export function sceneOf(
  set: TurnSet,
  seat: NeedleSeat,
  thread: Millimetres,
  steps: number,
): StitchScene {
  const turn = turnOf(set, steps);
  const { former } = set;
  const stepAfter = (shaft: number) => Math.ceil((shaft * steps) / (2 * Math.PI));
  const places = Array.from(turn.hook, (angle) => pointAt(former.hook, angle));
  const met = swingsOf(former).map((swing) => {
    const meeting = meetingAt(former, seat, thread, swing);
    return { meeting, passedAt: Math.max(1, stepAfter(meeting.shaft)) };
  });
  // How far the needle has risen decides the strand, not where it swings: one for all.
  const last = Math.max(...met.map(({ passedAt }) => passedAt));
  const strands = new Float32Array((last + 1) * STRAND_VALUES);
  for (let step = 0; step <= last; step += 1) {
    const lift = mm(turn.lift[step] ?? Number.NaN);
    strands.set(valuesOf(needleLoop(loopAt(former.loop, lift))), step * STRAND_VALUES);
  }
  return {
    turn,
    point: {
      across: Float64Array.from(places, ({ across }) => across),
      back: Float64Array.from(places, ({ back }) => back),
      down: Float64Array.from(places, ({ down }) => down),
    },
    letGoAt: stepAfter(heldUntil(former, set.letsGo)),
    swings: met.map(({ meeting: { loop, ...meeting }, passedAt }) => ({
      meeting: { ...meeting, chord: loop.chord, bulge: loop.bulge },
      passedAt,
      strands: strands.subarray(0, (passedAt + 1) * STRAND_VALUES),
      atMeeting: valuesOf(loop),
    })),
  };
}

function valuesOf(loop: SwingMeeting['loop']): Float32Array {
  return Float32Array.from(loop.outline(STRAND_PARTS).flatMap(({ above, out }) => [above, out]));
}

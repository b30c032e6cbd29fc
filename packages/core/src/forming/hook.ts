import { CoreError } from '../errors/coreError.ts';
import { type Millimetres, positive } from '../units/quantities.ts';

/** How a hook's point moves with the main shaft. */
export type HookMotion =
  /** Twice round for each turn. */
  | { readonly kind: 'rotary' }
  /**
   * To and fro, once for each turn: so far to either side of the middle of its way, and so far before that middle it
   * meets the needle, in radians.
   */
  | { readonly kind: 'oscillating'; readonly sweep: number; readonly before: number };

export interface Hook {
  readonly motion: HookMotion;
  /**
   * Where its axis points. Over an upright one the point goes round at one height, behind a needle that goes down within
   * its circle; over a level one it goes round across the swing, so that it comes lower to a needle that swings aside.
   */
  readonly axis: 'upright' | 'level';
  /** Of the circle on which its point goes. */
  readonly radius: Millimetres;
  /** Towards which side of the swing the point passes the needle: 1 to the right as one sits before it, -1 to the left. */
  readonly passes: 1 | -1;
}

/** Turns of the hook for one of the main shaft. */
const TURNS = 2;

export interface HookState {
  /** Of the point, in radians from where it meets the needle in the middle; grows with the passing. */
  readonly angle: number;
  /** For each radian of the main shaft. */
  readonly perRadian: number;
}

/** @param since radians of the main shaft since the point met the needle in the middle */
export function hookAt({ motion }: Hook, since: number): HookState {
  if (motion.kind === 'rotary') return { angle: TURNS * since, perRadian: TURNS };
  const { sweep, before } = motion;
  const from = Math.asin(before / sweep);
  return {
    angle: before + sweep * Math.sin(since - from),
    perRadian: sweep * Math.cos(since - from),
  };
}

/**
 * How much later than in the middle the point passes a needle that swings aside, in radians of the main shaft; earlier
 * is negative.
 * @param swing of the needle, to the right positive, in millimetres
 * @throws CoreFault `hook-does-not-reach` where its point never comes so far.
 */
export function passesLater(hook: Hook, swing: number): number {
  const { radius, passes } = hook;
  const share = (swing * passes) / positive('hook radius', radius);
  const since = Math.abs(share) < 1 ? turnsAfter(hook, Math.asin(share)) : undefined;
  if (since === undefined) throw new CoreError('hook-does-not-reach', { swing, radius });
  return since;
}

/**
 * How long after the meeting in the middle the hook has turned so far, on its way out, in radians of the main shaft.
 * @returns undefined where it never does
 */
export function turnsAfter({ motion }: Hook, angle: number): number | undefined {
  if (motion.kind === 'rotary') return angle / TURNS;
  const { sweep, before } = motion;
  const share = (angle - before) / sweep;
  return Math.abs(share) <= 1 ? Math.asin(share) + Math.asin(before / sweep) : undefined;
}

/** A place from where the point meets the needle in the middle, in millimetres. */
export interface PointPlace {
  /** To the right as one sits before it. */
  readonly across: number;
  /** Away from whoever sits before it. */
  readonly back: number;
  readonly down: number;
}

/** Where the point stands when it has turned so far since it met the needle in the middle. */
export function pointAt({ axis, radius, passes }: Hook, angle: number): PointPlace {
  const across = passes * radius * Math.sin(angle);
  const off = radius * (1 - Math.cos(angle));
  return axis === 'level' ? { across, back: 0, down: off } : { across, back: -off, down: 0 };
}

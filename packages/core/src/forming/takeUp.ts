import type { Point } from '../linkage/aroundDisc.ts';
import { type FourBar, fourBarAt } from '../linkage/fourBar.ts';

/**
 * A link take-up: the lever is the coupler of four bars, with its eye beyond the crank's pin. Places in millimetres, from
 * the crank's pivot, x along the ground bar.
 */
export interface TakeUp {
  readonly bars: FourBar;
  /** Angle of the crank when the needle is lowest, in radians. */
  readonly phase: number;
  /** From the crank's pin to the lever's eye, and by how much that line is turned from the coupler's, in radians. */
  readonly arm: { readonly length: number; readonly turned: number };
  /** Where the thread comes from (check spring), and where it goes on to the needle bar. */
  readonly before: Point;
  readonly after: Point;
}

export interface TakeUpState {
  readonly eye: Point;
  /** How fast the eye goes, for each radian of the main shaft. */
  readonly perRadian: Point;
  /** Thread between the two guides, over the lever's eye. */
  readonly path: number;
}

/** @param shaft radians of the main shaft after the needle was lowest; the crank turns with it */
export function takeUpAt({ bars, phase, arm, before, after }: TakeUp, shaft: number): TakeUpState {
  const crank = phase + shaft;
  const { coupler } = fourBarAt(bars, crank);
  const at = coupler.angle + arm.turned;
  const [pin, lever] = [
    { x: bars.crank * Math.cos(crank), y: bars.crank * Math.sin(crank) },
    { x: arm.length * Math.cos(at), y: arm.length * Math.sin(at) },
  ];
  const eye = { x: pin.x + lever.x, y: pin.y + lever.y };
  return {
    eye,
    // Both turn: the crank evenly, the lever as fast as the coupler.
    perRadian: {
      x: -pin.y - coupler.perRadian * lever.y,
      y: pin.x + coupler.perRadian * lever.x,
    },
    path: apart(before, eye) + apart(eye, after),
  };
}

/**
 * A take-up that gives what the usual former wants, without a thread pulled tight and with little to spare: a linkage of
 * ours, found by search; no machine's.
 */
export const USUAL_TAKE_UP: TakeUp = {
  bars: { crank: 29.3, coupler: 46, rocker: 46.2, ground: 57.5, built: 'open' },
  phase: 2.214,
  arm: { length: 32.7, turned: -1.021 },
  before: { x: 34.5, y: -50.1 },
  after: { x: 12.6, y: -36.5 },
};

function apart(one: Point, other: Point): number {
  return Math.hypot(other.x - one.x, other.y - one.y);
}

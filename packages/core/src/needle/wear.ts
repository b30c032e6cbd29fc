import { positive, type Stitches, stitches } from '../units/quantities.ts';

/** What turns one measure of sewing into another. */
export interface SewingHabit {
  /** Stitches a minute while it sews. */
  readonly rate: number;
  /** Share of the time at the machine in which it sews: 0 to 1. */
  readonly duty: number;
  /** Of the top seam, mm. */
  readonly stitchLength: number;
  /** Bobbin thread a stitch uses, mm. */
  readonly threadPerStitch: number;
  /** Metres on a full bobbin. */
  readonly bobbinMetres: number;
}

/** How much was sewn, in whatever the person knows. */
export type SewnAs = 'stitches' | 'hours' | 'bobbins' | 'metres';
export const SEWN_AS: readonly SewnAs[] = ['stitches', 'hours', 'bobbins', 'metres'];

/** Stitches in one hour, one bobbin, one metre of seam. */
function stitchesIn(unit: SewnAs, habit: SewingHabit): number {
  switch (unit) {
    case 'stitches':
      return 1;
    case 'hours':
      return 60 * positive('rate', habit.rate) * positive('duty', habit.duty);
    case 'bobbins':
      return (
        (positive('bobbin metres', habit.bobbinMetres) * 1000) /
        positive('thread per stitch', habit.threadPerStitch)
      );
    case 'metres':
      return 1000 / positive('stitch length', habit.stitchLength);
  }
}

/**
 * Stitches sewn, from hours, bobbins, metres of seam or a counter.
 * @throws CoreFault `not-above-nothing` for a habit that cannot be; `not-a-stitch-count`.
 */
export function stitchesSewn(amount: number, unit: SewnAs, habit: SewingHabit): Stitches {
  return stitches(amount * stitchesIn(unit, habit));
}

/** The same sewing in another measure: the way back from {@link stitchesSewn}. */
export function sewnAs(count: Stitches, unit: SewnAs, habit: SewingHabit): number {
  return count / stitchesIn(unit, habit);
}

/** When a needle is due by one way of counting. */
export interface NeedleDue {
  /** Stitches after which it is due. */
  readonly limit: Stitches;
  /** How much of that is sewn, 1 and more: due. */
  readonly share: number;
  readonly left: Stitches;
}

/** How far a needle is to one limit. A strike or a jam ends its life at once, whatever was sewn. */
export function needleDue(sewn: Stitches, limit: Stitches, struck: boolean): NeedleDue {
  const left = struck ? 0 : Math.max(0, limit - sewn);
  return {
    limit,
    share: struck ? Math.max(1, sewn / limit) : sewn / positive('limit', limit),
    left: stitches(left),
  };
}

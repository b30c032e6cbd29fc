import { CoreError } from '../errors/coreError.ts';
import { assertTurns, type SliderCrank, sliderAt } from '../linkage/sliderCrank.ts';
import { type Millimetres, mm } from '../units/quantities.ts';

/** What drives the needle bar: a crank of the main shaft and a rod, in line. */
export type NeedleBar = Pick<SliderCrank, 'crank' | 'rod'>;

const inLine = (bar: NeedleBar): SliderCrank => ({ ...bar, offset: 0 });

export interface BarState {
  /** How far the needle stands above its lowest. */
  readonly lift: Millimetres;
  /** How fast it rises, for each radian of the main shaft. */
  readonly perRadian: number;
}

/** @param shaft radians of the main shaft after the needle was lowest @throws CoreFault `linkage-impossible` */
export function barAt(bar: NeedleBar, shaft: number): BarState {
  const linkage = inLine(bar);
  assertTurns(linkage);
  const { along, perRadian } = sliderAt(linkage, shaft);
  // Rounding may leave less than nothing at the lowest.
  return { lift: mm(Math.max(0, bar.crank + bar.rod - along)), perRadian: -perRadian };
}

/**
 * When the needle has risen so far: radians of the main shaft after its lowest, on the way up.
 * @throws CoreFault `not-so-far` where it never does.
 */
export function shaftAtLift(bar: NeedleBar, lift: Millimetres): number {
  const stroke = barAt(bar, Math.PI).lift;
  if (lift > stroke) throw new CoreError('not-so-far', { lift, stroke });
  // The triangle of crank, rod and the line between both ends.
  const along = bar.crank + bar.rod - lift;
  const { crank, rod } = bar;
  return Math.acos(clamped((crank ** 2 + along ** 2 - rod ** 2) / (2 * crank * along)));
}

function clamped(cosine: number): number {
  return Math.min(1, Math.max(-1, cosine));
}

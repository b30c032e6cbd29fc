import { CoreFault } from '../errors/coreError.ts';
import { type Degrees, degrees, type Millimetres, mm, positive } from '../units/quantities.ts';

/** Crank and rod that move the needle bar. */
export interface BarDrive {
  readonly crank: Millimetres;
  readonly rod: Millimetres;
}

/** Typical of household machines, from memory. */
export const USUAL_BAR_DRIVE: BarDrive = { crank: mm(15.5), rod: mm(50) };

/**
 * Height of the needle bar above its lowest point: slider-crank in line,
 * z = r (1 - cos a) + l - sqrt(l^2 - r^2 sin^2 a). Source: any text on mechanisms.
 * @param turned angle of the shaft from the lowest point.
 */
export function barHeight(turned: Degrees, { crank, rod }: BarDrive): Millimetres {
  if (positive('crank', crank) >= rod) throw new CoreFault('rod-too-short', { crank, rod });
  const a = (turned * Math.PI) / 180;
  return mm(crank * (1 - Math.cos(a)) + rod - Math.sqrt(rod ** 2 - (crank * Math.sin(a)) ** 2));
}

/**
 * How far the shaft turns from the lowest point until the bar has risen so much.
 * @throws CoreFault `beyond-stroke` for more than the whole stroke.
 */
export function turnForLift(lift: Millimetres, drive: BarDrive): Degrees {
  const { crank, rod } = drive;
  if (lift > 2 * crank) throw new CoreFault('beyond-stroke', { lift, stroke: 2 * crank });
  // Where crank and rod close the triangle: the crank's pin lies `rod` from the slider.
  const slider = crank + rod - lift;
  const cos = (crank ** 2 + slider ** 2 - rod ** 2) / (2 * crank * slider);
  return degrees((Math.acos(Math.min(1, Math.max(-1, cos))) * 180) / Math.PI);
}

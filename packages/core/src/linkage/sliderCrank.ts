import { CoreError } from '../errors/coreError.ts';
import { positive } from '../units/quantities.ts';

/** A crank that drives something along a line through a rod, as the arm shaft drives the needle bar. Millimetres. */
export interface SliderCrank {
  readonly crank: number;
  readonly rod: number;
  /** How far the line passes beside the crank's centre. */
  readonly offset: number;
}

/** Where what is driven stands, and how fast it goes. */
export interface SliderState {
  /** From the crank's centre along the line, away from it positive. */
  readonly along: number;
  /** Change of that for each radian of the crank. */
  readonly perRadian: number;
  /** Change of that again. */
  readonly perRadian2: number;
}

/**
 * Sees that a crank can turn all the way round.
 * @throws CoreFault `linkage-impossible` where the rod is too short for that.
 */
export function assertTurns({ crank, rod, offset }: SliderCrank): void {
  positive('crank', crank);
  positive('rod', rod);
  if (!(rod > crank + Math.abs(offset))) {
    throw new CoreError('linkage-impossible', { crank, rod, offset });
  }
}

/**
 * Position, velocity and acceleration over the crank's angle. Source: closure of the vector loop, any text on
 * mechanisms (Norton, Design of Machinery, offset slider-crank).
 * @param linkage one that turns, see {@link assertTurns}
 * @param angle of the crank in radians, 0 where it points along the line, away
 */
export function sliderAt({ crank, rod, offset }: SliderCrank, angle: number): SliderState {
  const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
  const aside = crank * sin - offset;
  const root = Math.sqrt(rod * rod - aside * aside);
  const slope = (aside * crank * cos) / root;
  return {
    along: crank * cos + root,
    perRadian: -crank * sin - slope,
    perRadian2: -crank * cos - ((crank * cos) ** 2 - aside * crank * sin + slope * slope) / root,
  };
}

import { CoreError } from '../errors/coreError.ts';
import { positive } from '../units/quantities.ts';

/** Four bars in a ring, one of them fixed: a crank moves a rocker through a coupler. Millimetres. */
export interface FourBar {
  readonly crank: number;
  readonly coupler: number;
  readonly rocker: number;
  /** Between the two fixed pivots. */
  readonly ground: number;
  /** Which of the two ways it is put together: the joint left of the line from crank pin to rocker pivot, or right. */
  readonly built: 'open' | 'crossed';
}

/** A turning bar: its angle in radians from the ground, and how that changes with the crank's. */
export interface Turning {
  readonly angle: number;
  readonly perRadian: number;
  readonly perRadian2: number;
}

export interface FourBarState {
  readonly coupler: Turning;
  readonly rocker: Turning;
  /** Between the lines of coupler and rocker, a right angle at most; near nothing it jams. In radians. */
  readonly transmission: number;
}

/**
 * Sees that a crank can turn all the way round without pulling the ring apart.
 * @throws CoreFault `linkage-impossible` where it cannot.
 */
export function assertCranks({ crank, coupler, rocker, ground }: FourBar): void {
  const bars = { crank, coupler, rocker, ground };
  for (const [name, length] of Object.entries(bars)) positive(name, length);
  const [nearest, farthest] = [Math.abs(ground - crank), ground + crank];
  if (!(farthest < coupler + rocker && nearest > Math.abs(coupler - rocker))) {
    throw new CoreError('linkage-impossible', bars);
  }
}

/**
 * All angles of four bars over the crank's, by closing the two triangles; velocities and accelerations from the loop's
 * derivatives, for a crank that turns evenly. Source: vector loop, Norton, Design of Machinery.
 * @param linkage one that turns, see {@link assertCranks}
 * @param angle of the crank in radians from the ground, which points from the crank's pivot to the rocker's
 */
export function fourBarAt(linkage: FourBar, angle: number): FourBarState {
  const { crank: a, coupler: b, rocker: c, ground: d, built } = linkage;
  const pin = at(a, angle);
  const [x, y] = [d - pin.x, -pin.y];
  const reach = Math.hypot(x, y);
  const along = (reach * reach + b * b - c * c) / (2 * reach);
  const aside = Math.sqrt(b * b - along * along) * (built === 'open' ? 1 : -1);
  const joint = {
    x: pin.x + (along * x - aside * y) / reach,
    y: pin.y + (along * y + aside * x) / reach,
  };
  const coupler = Math.atan2(joint.y - pin.y, joint.x - pin.x);
  const rocker = Math.atan2(joint.y, joint.x - d);
  const between = Math.sin(rocker - coupler);
  const couplerRate = (a * Math.sin(angle - rocker)) / (b * between);
  const rockerRate = (a * Math.sin(angle - coupler)) / (c * between);
  // What the changes of both rates have to make up for.
  const [ofCoupler, ofRocker] = [
    at(b * couplerRate ** 2, coupler),
    at(c * rockerRate ** 2, rocker),
  ];
  const pull = { x: pin.x + ofCoupler.x - ofRocker.x, y: pin.y + ofCoupler.y - ofRocker.y };
  return {
    coupler: {
      angle: coupler,
      perRadian: couplerRate,
      perRadian2: (pull.x * Math.cos(rocker) + pull.y * Math.sin(rocker)) / (b * between),
    },
    rocker: {
      angle: rocker,
      perRadian: rockerRate,
      perRadian2: (pull.x * Math.cos(coupler) + pull.y * Math.sin(coupler)) / (c * between),
    },
    transmission: Math.asin(Math.abs(between)),
  };
}

function at(length: number, angle: number): { readonly x: number; readonly y: number } {
  return { x: length * Math.cos(angle), y: length * Math.sin(angle) };
}

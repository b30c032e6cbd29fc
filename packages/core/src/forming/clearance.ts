import { type Millimetres, mm } from '../units/quantities.ts';

/** What stands round the needle on its way, with the needle in the middle of its swing. */
export interface Surroundings {
  /** Half the width of the plate's hole and of the foot's slot, along the swing. */
  readonly plate: Millimetres;
  readonly foot: Millimetres;
  /** From the eye at its lowest to the case below it. */
  readonly case: Millimetres;
}

/** What goes up and down between them. */
export interface Blade {
  readonly diameter: Millimetres;
  /** From the eye to the needle's tip. */
  readonly tip: Millimetres;
  /** To either side at most, millimetres. */
  readonly swing: number;
  /** How far the blade is bent along the swing, to either side. */
  readonly bent: number;
  /** How far it is lower than it should be, in millimetres; higher is negative. */
  readonly low: number;
}

export const OBSTACLES = ['foot', 'plate', 'case'] as const;
export type Obstacle = (typeof OBSTACLES)[number];

/**
 * Room between the needle and each thing that it could strike; below nothing it does. Plain geometry: the foot is met
 * at the height of the plate, and a bent blade as far out as it is bent at its tip.
 */
export function clearances(around: Surroundings, blade: Blade): Readonly<Record<Obstacle, number>> {
  const out = Math.abs(blade.swing) + Math.abs(blade.bent) + blade.diameter / 2;
  return {
    foot: around.foot - out,
    plate: around.plate - out,
    case: around.case - blade.tip - blade.low,
  };
}

/** The widest swing at which nothing is struck, to either side; nothing where even the middle is too narrow. */
export function widestSwing(around: Surroundings, blade: Omit<Blade, 'swing'>): Millimetres {
  const { foot, plate } = clearances(around, { ...blade, swing: 0 });
  return mm(Math.max(0, Math.min(foot, plate)));
}

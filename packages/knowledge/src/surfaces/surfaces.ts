import { type ClockPlace, hourOf, type Millimetres, mm } from '@nodo/core';
import type { CheckId } from '../ids.ts';
import type { Family } from '../schema/schema.ts';

/** A part that the needle can reach and mark, in the order in which it comes down to them. */
export const STRUCK_PARTS = ['foot', 'plate', 'case', 'hook'] as const;
export type StruckPart = (typeof STRUCK_PARTS)[number];

/** One side of such a part, as it is looked at under the lamp. */
interface Told {
  readonly id: string;
  readonly part: StruckPart;
  readonly title: string;
  /** The check that looks at it. */
  readonly check: CheckId;
  /** How much of the part the map shows, across; typical, from memory: marks lie by hour, not by this. */
  readonly across: Millimetres;
  /** Where the needle comes down on the map; undefined on what turns under it. */
  readonly needle: ClockPlace | undefined;
  /** Front and back of the machine show on it, at 6 and at 12. */
  readonly showsAlong: boolean;
  /** It is turned over sideways to be looked at: what lies at 3 was on the machine's left. */
  readonly isTurnedOver: boolean;
}

const MIDDLE: ClockPlace = { hour: hourOf(0), out: 0 };
/** At the back of a drop-in case and on top of an upright one: 12 o'clock, near the rim. */
const AT_THE_RIM: ClockPlace = { hour: hourOf(0), out: 0.85 };

export const SURFACES = [
  {
    id: 'foot',
    part: 'foot',
    title: 'Foot, from below',
    check: 'foot-surface',
    across: mm(24),
    needle: MIDDLE,
    showsAlong: true,
    isTurnedOver: true,
  },
  {
    id: 'plate-top',
    part: 'plate',
    title: 'Plate, from above',
    check: 'plate-surface',
    across: mm(24),
    needle: MIDDLE,
    showsAlong: true,
    isTurnedOver: false,
  },
  {
    id: 'plate-under',
    part: 'plate',
    title: 'Plate, its underside',
    check: 'plate-surface',
    across: mm(24),
    needle: MIDDLE,
    showsAlong: true,
    isTurnedOver: true,
  },
  {
    id: 'case-outside',
    part: 'case',
    title: 'Case, outside',
    check: 'case-surface',
    across: mm(30),
    needle: AT_THE_RIM,
    showsAlong: false,
    isTurnedOver: false,
  },
  {
    id: 'case-inside',
    part: 'case',
    title: 'Case, inside',
    check: 'case-surface',
    across: mm(30),
    needle: AT_THE_RIM,
    showsAlong: false,
    isTurnedOver: false,
  },
  {
    id: 'hook',
    part: 'hook',
    title: 'Hook',
    check: 'hook-surface',
    across: mm(36),
    needle: undefined,
    showsAlong: false,
    isTurnedOver: false,
  },
] as const satisfies readonly Told[];
export type SurfaceId = (typeof SURFACES)[number]['id'];

export interface Surface extends Told {
  readonly id: SurfaceId;
}

export const SURFACE_IDS = SURFACES.map(({ id }) => id) as [SurfaceId, ...SurfaceId[]];

export function surfaceOf(id: SurfaceId): Surface {
  const surface = SURFACES.find((one) => one.id === id);
  if (!surface) throw new Error(`no surface ${id}`);
  return surface;
}

/** What a mark is. */
export const MARK_KINDS = ['raised', 'depression', 'scratch', 'pierced'] as const;
export type MarkKind = (typeof MARK_KINDS)[number];

/** What can be done about one. */
export const MARK_ENDS = ['dressed', 'replaced'] as const;
export type MarkEnd = (typeof MARK_ENDS)[number];

/** What a part is made of, as far as it decides what may be done to it. */
export function isPlastic(part: StruckPart, { traits }: Pick<Family, 'traits'>): boolean {
  return part === 'case' && traits.includes('plastic-case');
}

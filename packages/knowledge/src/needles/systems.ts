import { type Millimetres, mm } from '@nodo/core';

/** Lengths of a needle system, in millimetres; from memory, typical: measure a whole one. */
export interface NeedleSystem {
  /** Across the shank. */
  readonly shank: Millimetres;
  readonly shankLength: Millimetres;
  /** From the top of the shank to the upper end of the eye. */
  readonly buttToEye: Millimetres;
  readonly whole: Millimetres;
  readonly flat: boolean;
  readonly scarfLength: Millimetres;
  readonly scarfDepth: Millimetres;
}

/** Household system with a flat and a hollowed scarf. */
export const FLAT_SYSTEM: NeedleSystem = {
  shank: mm(2),
  shankLength: mm(11.5),
  buttToEye: mm(33.9),
  whole: mm(38.5),
  flat: true,
  scarfLength: mm(5),
  scarfDepth: mm(0.3),
};

/** Round shanks of fast heads: 1.6 mm across, here taken as long as the household system. */
const ROUND_SYSTEM: NeedleSystem = { ...FLAT_SYSTEM, shank: mm(1.6), flat: false };

/** The lengths that apply to a machine of these traits. */
export function systemFor(traits: readonly string[]): NeedleSystem {
  return traits.includes('round-shank') ? ROUND_SYSTEM : FLAT_SYSTEM;
}

/** To which side the scarf of a well-seated needle faces, seen by who sits at the machine. */
export type ScarfSide = 'back' | 'left' | 'right' | 'front';
export const SCARF_SIDES: readonly ScarfSide[] = ['back', 'left', 'right', 'front'];

/** By family; undefined where the machine's own guide must be read. */
const SCARF_FACES: Readonly<Record<string, ScarfSide | undefined>> = {
  'drop-in': 'back',
  'drop-in-magnet': 'back',
  'front-loading': 'back',
  'round-shank': 'back',
  'round-shank-straight': 'right',
};

/** Where the scarf should face on a family's machines; undefined: its guide or card must say. */
export function scarfFaces(family: string): ScarfSide | undefined {
  return SCARF_FACES[family];
}
/** Where on a head its needles are turned off square by more, the loop suffers: common practice. */
export const ANGLE_TOLERANCE = 5;
/** A needle that hangs lower than this is not at its stop; the eye cannot see less. Ours, no source. */
export const SEAT_TOLERANCE = mm(0.2);
/** A bend as large as the least hook gap makes the point touch or miss. Derived from that gap. */
export const BEND_TOLERANCE = mm(0.05);

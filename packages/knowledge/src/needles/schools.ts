import {
  type NeedleDue,
  needleDue,
  type SewingHabit,
  type Stitches,
  stitchesSewn,
} from '@nodo/core';
import type { Provenance } from '../schema/provenance.ts';

/** One way of saying when a needle is due. */
export interface NeedleSchool {
  readonly id: 'hours' | 'bobbins' | 'projects';
  readonly title: string;
  readonly why: string;
  readonly standing: Provenance;
}

/** The ways of the trade. A strike or a jam ends a needle's life in all of them. */
export const NEEDLE_SCHOOLS: readonly NeedleSchool[] = [
  {
    id: 'hours',
    title: 'After 8 hours of sewing',
    why: 'Counts the time the motor runs; at full speed that is 480 000 stitches',
    standing: 'common-practice',
  },
  {
    id: 'bobbins',
    title: 'After 3 full bobbins',
    why: 'Counts thread; three bobbins are about 40 000 stitches, a twelfth of eight hours',
    standing: 'common-practice',
  },
  {
    id: 'projects',
    title: 'A new one for every project',
    why: 'Counts nothing: what a project wears a needle differs too much, a needle costs less than a seam',
    standing: 'common-practice',
  },
];

const SCHOOL_HOURS = 8;
const SCHOOL_BOBBINS = 3;

/** How far a needle is by each school; projects: due when one project or more is sewn. */
export function schoolsDue(
  sewn: Stitches,
  projects: number,
  habit: SewingHabit,
  struck: boolean,
): readonly (NeedleSchool & { readonly due: boolean; readonly by: NeedleDue | undefined })[] {
  // Eight hours of sewing are hours of the running motor.
  const hours = needleDue(sewn, stitchesSewn(SCHOOL_HOURS, 'hours', { ...habit, duty: 1 }), struck);
  const bobbins = needleDue(sewn, stitchesSewn(SCHOOL_BOBBINS, 'bobbins', habit), struck);
  const counted = { hours, bobbins, projects: undefined };
  return NEEDLE_SCHOOLS.map((school) => {
    const by = counted[school.id];
    return { ...school, by, due: by ? by.share >= 1 : struck || projects >= 1 };
  });
}

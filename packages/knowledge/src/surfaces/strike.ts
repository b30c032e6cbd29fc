import { agree, type ClockPlace, type Lean, leanOf } from '@nodo/core';
import type { CheckId } from '../ids.ts';
import {
  type MarkKind,
  STRUCK_PARTS,
  type StruckPart,
  type SurfaceId,
  surfaceOf,
} from './surfaces.ts';

/** A mark as it lies on a map. */
export interface MarkOnMap extends ClockPlace {
  readonly id: string;
  readonly surface: SurfaceId;
  readonly kind: MarkKind;
}

/** One likely event that left several marks. */
export interface LikelyStrike {
  readonly marks: readonly string[];
  /** In the order in which the needle met them. */
  readonly parts: readonly StruckPart[];
  readonly across: Lean['across'];
  readonly along: -1 | 0 | 1;
}

/**
 * Joins marks of one visit into the events that likely left them: a needle pushed to one side strikes one
 * part after the other on its way down. Marks join where their sides do not contradict each other (a hook
 * turns under the needle and shows none); an event takes at least two parts, and something harder than
 * a scratch. Common practice put into a rule of ours: it says what is likely, not what was.
 */
export function joinStrikes(marks: readonly MarkOnMap[]): readonly LikelyStrike[] {
  const groups: { marks: MarkOnMap[]; leans: Lean[] }[] = [];
  for (const mark of byWayDown(marks)) {
    const lean = leanOn(mark);
    const fitting = groups.find(({ leans }) => !lean || leans.every((one) => agree(one, lean)));
    const group = fitting ?? { marks: [], leans: [] };
    if (!fitting) groups.push(group);
    group.marks.push(mark);
    if (lean) group.leans.push(lean);
  }
  return groups.flatMap(({ marks: joined, leans }): LikelyStrike[] => {
    const parts = STRUCK_PARTS.filter((part) =>
      joined.some(({ surface }) => surfaceOf(surface).part === part),
    );
    const isStrike = parts.length > 1 && joined.some(({ kind }) => kind !== 'scratch');
    if (!isStrike) return [];
    return [
      {
        marks: joined.map(({ id }) => id),
        parts,
        across: leans.find(({ across }) => across !== 0)?.across ?? 0,
        along: leans.find(({ along }) => along)?.along ?? 0,
      },
    ];
  });
}

/** The side that a mark shows, as its part sits on the machine. */
function leanOn(mark: MarkOnMap): Lean | undefined {
  const { needle, showsAlong, isTurnedOver } = surfaceOf(mark.surface);
  if (!needle) return undefined;
  const { across, along } = leanOf(mark, needle, showsAlong);
  return { across: isTurnedOver && across !== 0 ? (across === 1 ? -1 : 1) : across, along };
}

/** From above to below; what shows no side comes last, so that it joins the others. */
function byWayDown(marks: readonly MarkOnMap[]): readonly MarkOnMap[] {
  const place = ({ surface }: MarkOnMap) => STRUCK_PARTS.indexOf(surfaceOf(surface).part);
  return [...marks].sort((a, b) => place(a) - place(b));
}

/** What can have driven a needle where it does not belong: practitioners name three, all are looked at. */
export const DROVE_IT = [
  { id: 'lint', checks: ['hook-lint', 'case-seat'] },
  { id: 'deflection', checks: ['needle-match', 'foot-match'] },
  { id: 'heat', checks: ['needle-straight'] },
] as const satisfies readonly { id: string; checks: readonly CheckId[] }[];

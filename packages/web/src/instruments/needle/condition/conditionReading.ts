import { BEND_TOLERANCE, type CheckId, type FindingId } from '@nodo/knowledge';
import type { Measure, MeasureLimit } from '@nodo/ticket';

/** Looks with a yes and a no: the check that keeps it, its finding, and what a yes means. */
export const LOOKS = [
  { id: 'nail', check: 'needle-nail', finding: 'needle-catches', means: 'catches' },
  { id: 'loupe', check: 'needle-loupe', finding: 'point-blunt', means: 'blunt' },
  { id: 'gum', check: 'needle-gum', finding: 'needle-sticky', means: 'gum' },
  { id: 'pop', check: 'complaint', finding: 'pop', means: 'pop' },
  { id: 'struck', check: 'complaint', finding: 'needle-strike', means: 'struck' },
  { id: 'heat', check: 'context', finding: 'long-fast-runs', means: 'heat' },
] as const satisfies readonly {
  id: string;
  check: CheckId;
  finding: FindingId;
  means: string;
}[];
type LookId = (typeof LOOKS)[number]['id'];

/** Gaps under the needle on a flat plate, in millimetres. */
export const GAPS = [0, 0.05, 0.1, 0.2, 0.4] as const;
const BEND_LIMIT: MeasureLimit = { least: 0, most: BEND_TOLERANCE, standing: 'derived' };

/** What was answered, as far as somebody looked. */
export type NeedleSeen = Readonly<Partial<Record<LookId, 'yes' | 'no'>>>;

/** Whether a gap under the rolling needle counts as bent. */
export function isBentBy(gap: number): boolean {
  return gap >= BEND_TOLERANCE;
}

/** The gap as a measure of the first needle. */
export function bendMeasure(gap: number): Measure {
  return { quantity: 'needle-bend', value: gap, when: 'found', at: 1, limit: BEND_LIMIT };
}

/** A check that was answered, with its answers. */
interface NeedleLook {
  readonly check: CheckId;
  readonly answers: Partial<Record<FindingId, 'yes' | 'no'>>;
}

/** The checks that were answered, each with its answers. */
export function conditionLooks({
  gap,
  seen,
}: {
  readonly gap: number | undefined;
  readonly seen: NeedleSeen;
}): readonly NeedleLook[] {
  const straight: NeedleLook | undefined =
    gap === undefined
      ? undefined
      : { check: 'needle-straight', answers: { 'needle-crooked': yesNo(isBentBy(gap)) } };
  return [
    ...(straight ? [straight] : []),
    ...LOOKS.flatMap(({ id, check, finding }) => {
      const said = seen[id];
      return said ? [{ check, answers: { [finding]: said } }] : [];
    }),
  ];
}

function yesNo(isSo: boolean): 'yes' | 'no' {
  return isSo ? 'yes' : 'no';
}

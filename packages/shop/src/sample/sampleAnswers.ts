import { BALANCED } from '@nodo/core';
import type { CheckId, FamilyModel, FindingId } from '@nodo/knowledge';
import type { KeptSample } from '@nodo/ticket';

/** A thread of the wrong side shows for sure from here on; a little less may be seen or not. Ours. */
export const SHOWS = 0.25;

/** Checks that are sewn, and can be answered by a sample of it. */
export const SAMPLE_CHECKS = [
  'standard-straight',
  'standard-zigzag',
  'found-sew',
] as const satisfies readonly CheckId[];
export type SampleCheck = (typeof SAMPLE_CHECKS)[number];

/** What each finding of them is seen by; of the others a sample says nothing but that all is well. */
const SEEN_BY: Readonly<Partial<Record<FindingId, 'skips' | 'under' | 'top'>>> = {
  'found-skips': 'skips',
  'zigzag-skips': 'skips',
  'found-top-under': 'under',
  'zigzag-top-under': 'under',
  'found-bobbin-top': 'top',
  'zigzag-bobbin-top': 'top',
};
/** Said where anything at all is wrong with it. */
const ANY_WRONG = 'straight-bad' satisfies FindingId;

/**
 * How much was sewn, and how often it skipped: a side on which a skip was overlooked takes none back. Thread that hangs over a
 * hole hides it: where one side is clear of it, that one is believed.
 */
export function countOf({ faces }: Pick<KeptSample, 'faces'>): {
  readonly stitches: number;
  readonly skips: number;
} {
  const sides = [faces.top, faces.bottom].filter((face) => face !== undefined);
  const clear = sides.filter(({ loose = 0 }) => loose === 0);
  return {
    stitches: Math.max(0, ...sides.map(({ stitches }) => stitches)),
    skips: Math.max(0, ...(clear.length > 0 ? clear : sides).map(({ skips }) => skips)),
  };
}

/** Where the other side's thread shows; undefined where nobody can tell, or it may be seen or not. */
export function otherThreadShows(
  balance: KeptSample['balance'],
): 'under' | 'top' | 'nowhere' | undefined {
  if (!balance) return undefined;
  const { value } = balance;
  if (Math.abs(value) <= BALANCED) return 'nowhere';
  if (Math.abs(value) < SHOWS) return undefined;
  return value > 0 ? 'under' : 'top';
}

/** Square millimetres of thread that hang loose on either side. */
export function looseIn({ faces: { top, bottom } }: Pick<KeptSample, 'faces'>): number {
  return (top?.loose ?? 0) + (bottom?.loose ?? 0);
}

/** No skip, neither thread shows on the other's side, and none hangs loose. */
export function isGoodSample(sample: Pick<KeptSample, 'faces' | 'balance'>): boolean {
  return (
    countOf(sample).skips === 0 &&
    looseIn(sample) === 0 &&
    otherThreadShows(sample.balance) === 'nowhere'
  );
}

/**
 * What a sample answers of the check that it was sewn for; nothing of what it does not show. A good one answers all of it:
 * whoever sewed it saw nothing else.
 */
export function sampleAnswers(
  sample: Pick<KeptSample, 'faces' | 'balance'>,
  check: SampleCheck,
  model: FamilyModel,
): Readonly<Record<string, 'yes' | 'no'>> {
  const findings = model.checks.get(check)?.findings ?? [];
  if (isGoodSample(sample)) return Object.fromEntries(findings.map(({ id }) => [id, 'no']));
  const skips = countOf(sample).skips > 0;
  const shows = otherThreadShows(sample.balance);
  return Object.fromEntries(
    findings.flatMap(({ id }): readonly (readonly [string, 'yes' | 'no'])[] => {
      if (id === ANY_WRONG)
        return skips || looseIn(sample) > 0 || isOnOtherSide(shows) ? [[id, 'yes']] : [];
      const by = SEEN_BY[id as FindingId];
      if (by === 'skips') return [[id, skips ? 'yes' : 'no']];
      if (by === undefined || shows === undefined) return [];
      return [[id, by === shows ? 'yes' : 'no']];
    }),
  );
}

function isOnOtherSide(shows: ReturnType<typeof otherThreadShows>): boolean {
  return shows === 'under' || shows === 'top';
}

/** Minutes that so many stitches take. */
export function minutesSewn(stitches: number, rate: number): number {
  return stitches / rate;
}

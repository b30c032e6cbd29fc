import type { CheckId, FindingId } from '../ids.ts';

/** Turns by hand with less and less in the hook, in their order, each with the check that keeps it. */
export const HANG_TURNS = [
  { id: 'all', check: 'hand-turn', hangs: 'loop-hangs' },
  { id: 'without-bobbin', check: 'turn-without-bobbin', hangs: 'hangs-without-bobbin' },
  { id: 'without-case', check: 'turn-without-case', hangs: 'hangs-without-case' },
] as const satisfies readonly { id: string; check: CheckId; hangs: FindingId }[];
export type HangTurn = (typeof HANG_TURNS)[number]['id'];

/** What one turn showed; only the first can miss the loop. */
export type HangShown = 'passes' | 'hangs' | 'missed';

/** What the turns so far come to. */
export type HangUp =
  | { readonly kind: 'turn'; readonly next: HangTurn }
  | {
      readonly kind: 'located';
      readonly at: 'nowhere' | 'loop' | 'bobbin' | 'case' | 'hook';
      /** Checks that look at what holds it, the quickest first. */
      readonly lookAt: readonly CheckId[];
    };

const LOOK_AT = {
  nowhere: [],
  loop: ['needle-seat', 'needle-facing', 'timing'],
  bobbin: ['bobbin-rim', 'bobbin-wind', 'case-pull'],
  case: ['case-surface', 'case-seat', 'case-gap'],
  hook: ['hook-surface', 'race-scraps', 'hook-lint', 'plate-surface'],
} as const satisfies Readonly<Record<string, readonly CheckId[]>>;

/**
 * Where a thread hangs on its way round: turned with bobbin and case, then without the bobbin, then without
 * the case. What is taken out when it passes held it. Common practice.
 */
export function locateHangUp(shown: Readonly<Partial<Record<HangTurn, HangShown>>>): HangUp {
  const located = (at: keyof typeof LOOK_AT): HangUp => ({
    kind: 'located',
    at,
    lookAt: LOOK_AT[at],
  });
  const { all, 'without-bobbin': noBobbin, 'without-case': noCase } = shown;
  if (all === undefined) return { kind: 'turn', next: 'all' };
  if (all !== 'hangs') return located(all === 'passes' ? 'nowhere' : 'loop');
  if (noBobbin === undefined) return { kind: 'turn', next: 'without-bobbin' };
  if (noBobbin === 'passes') return located('bobbin');
  if (noCase === undefined) return { kind: 'turn', next: 'without-case' };
  return located(noCase === 'passes' ? 'case' : 'hook');
}

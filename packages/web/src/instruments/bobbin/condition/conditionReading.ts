import { type BobbinTurn, usualTurn, type Winding } from '@nodo/knowledge';

/** What an answer is as a finding of its check; undefined for what is as it should be. */
export const PATHS = { under: undefined, off: 'off-spring', empty: 'bobbin-out' } as const;
export const TAILS = { long: undefined, short: 'tail-short' } as const;
export const RIMS = ['above', 'below', 'core'] as const;

/** What was seen on the bobbin, as far as somebody looked. */
export interface BobbinSeen {
  readonly wound?: Winding;
  readonly turns?: BobbinTurn;
  readonly path?: keyof typeof PATHS;
  readonly tail?: keyof typeof TAILS;
  /** Where its rims are rough. */
  readonly rims?: ReadonlySet<(typeof RIMS)[number]>;
}

/** Which way the bobbin should turn, and who says so: the machine's card, its slot, or what is usual. */
export function rightTurn(
  byCard: BobbinTurn | null | undefined,
  arrow: BobbinTurn | 'none' | undefined,
  traits: readonly string[],
): { readonly should: BobbinTurn | undefined; readonly from: 'card' | 'slot' | 'usual' } {
  if (byCard) return { should: byCard, from: 'card' };
  if (arrow !== undefined && arrow !== 'none') return { should: arrow, from: 'slot' };
  return { should: usualTurn(traits), from: 'usual' };
}

/**
 * The checks that were answered, each with what was found.
 * @param should which way it should turn; unknown, its turn is no finding
 */
export function bobbinLooks(
  { wound, turns, path, tail, rims }: BobbinSeen,
  should: BobbinTurn | undefined,
): readonly { readonly check: string; readonly found: string | undefined }[] {
  return [
    ...(wound
      ? [{ check: 'bobbin-wind', found: wound === 'firm' ? undefined : 'bobbin-soft' }]
      : []),
    ...(turns && should
      ? [{ check: 'bobbin-turn', found: turns === should ? undefined : 'bobbin-reversed' }]
      : []),
    ...(path ? [{ check: 'bobbin-path', found: PATHS[path] }] : []),
    ...(tail ? [{ check: 'bobbin-tail', found: TAILS[tail] }] : []),
    ...(rims ? [{ check: 'bobbin-rim', found: rims.size > 0 ? 'bobbin-rough' : undefined }] : []),
  ];
}

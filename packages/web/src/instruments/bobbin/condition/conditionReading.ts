import {
  type BobbinTurn,
  type CheckId,
  type FindingId,
  usualTurn,
  type Winding,
} from '@nodo/knowledge';

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

/** What was seen, after a tap on a rim, on the core or on the winding: each tap says it and takes it back. */
export function tapped(seen: BobbinSeen, spot: (typeof RIMS)[number] | 'wound'): BobbinSeen {
  if (spot === 'wound') return { ...seen, wound: seen.wound === 'soft' ? 'firm' : 'soft' };
  const rims = new Set(seen.rims);
  if (!rims.delete(spot)) rims.add(spot);
  return { ...seen, rims };
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

/** A check that was answered, with what was found. */
interface BobbinLook {
  readonly check: CheckId;
  readonly found: FindingId | undefined;
}

/**
 * The checks that were answered, each with what was found.
 * @param should which way it should turn; unknown, its turn is no finding
 */
export function bobbinLooks(
  { wound, turns, path, tail, rims }: BobbinSeen,
  should: BobbinTurn | undefined,
): readonly BobbinLook[] {
  const looks: BobbinLook[] = [];
  const keep = (check: CheckId, found: FindingId | undefined) => looks.push({ check, found });
  if (wound) keep('bobbin-wind', wound === 'firm' ? undefined : 'bobbin-soft');
  if (turns && should) keep('bobbin-turn', turns === should ? undefined : 'bobbin-reversed');
  if (path) keep('bobbin-path', PATHS[path]);
  if (tail) keep('bobbin-tail', TAILS[tail]);
  if (rims) keep('bobbin-rim', rims.size > 0 ? 'bobbin-rough' : undefined);
  return looks;
}

/** The way from one stitch to the next: a run of thread, or a seam that was torn off and taken up again. */
export type Gap = { readonly kind: 'run'; readonly lead: number } | { readonly kind: 'torn' };

/** Pixels that a doubling of the minutes is worth. */
const PER_DOUBLING = 14;
/** Longer pauses than this tell nothing by their length: the machine stood, or the night came. */
const TORN_FROM_MINUTES = 4 * 60;
const MINUTE_MS = 60_000;

/**
 * How far a stitch lies from the one before it: the logarithm of the minutes between, so that a look of a minute and
 * an hour at the bench can stand in one picture.
 * @param before undefined for the first stitch
 */
export function gapBefore(before: string | undefined, at: string): Gap {
  if (before === undefined) return { kind: 'run', lead: 0 };
  // What was entered off line may be told after what came later.
  const minutes = Math.max(0, (Date.parse(at) - Date.parse(before)) / MINUTE_MS);
  if (minutes > TORN_FROM_MINUTES) return { kind: 'torn' };
  return { kind: 'run', lead: Math.round(PER_DOUBLING * Math.log2(1 + minutes)) };
}

import type { PriceLine } from './profiles.ts';

/** So many lines are shown at most. */
const MOST_SHOWN = 5;
/** From so many letters on something is meant. */
const LEAST_LETTERS = 2;

/**
 * The lines of a price list that a few letters mean: every word that was typed begins a word of the line, those
 * that begin with it first. None once a whole line stands there.
 */
export function pricesLike(list: readonly PriceLine[], typed: string): readonly PriceLine[] {
  const wanted = plain(typed);
  if (wanted.length < LEAST_LETTERS || list.some(({ words }) => plain(words) === wanted)) return [];
  const starts = wanted.split(/\s+/);
  return list
    .filter(({ words }) => {
      const parts = plain(words).split(/[\s,/-]+/);
      return starts.every((start) => parts.some((part) => part.startsWith(start)));
    })
    .toSorted((one, other) => rank(one, wanted) - rank(other, wanted))
    .slice(0, MOST_SHOWN);
}

function rank({ words }: PriceLine, wanted: string): number {
  return plain(words).startsWith(wanted) ? 0 : 1;
}

function plain(text: string): string {
  return text.trim().toLowerCase();
}

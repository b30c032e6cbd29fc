/** What comes again along a seam. */
export interface Repetition {
  /** After how many stitches. */
  readonly stitches: number;
  /** How often chance alone would show as much, at whichever number of stitches. */
  readonly chance: number;
}

/** What chance shows more often than this says nothing. Ours, as is usual. */
const LEAST_CHANCE = 0.05;
/** A repetition is seen at least so many times. */
const LEAST_TIMES = 3;
/** Steps in which the number of stitches is sought between two whole waves. */
const FINER = 20;

/**
 * After how many stitches it skips again: the number at which most skips lie a whole number of times apart.
 * Source: binomial distribution, times the numbers tried (Bonferroni).
 * @param skips which holes were skipped, from the first
 * @returns nothing where chance would do as well
 */
export function skipsAgain(skips: readonly number[], stitches: number): Repetition | undefined {
  const most = Math.floor(stitches / LEAST_TIMES);
  const tried = Array.from({ length: Math.max(0, most - 1) }, (_, index) => index + 2);
  const found = tried.map((every): Repetition => {
    const counts = new Map<number, number>();
    for (const at of skips) counts.set(at % every, (counts.get(at % every) ?? 0) + 1);
    const together = Math.max(0, ...counts.values());
    const one = every * atLeast(together, skips.length, 1 / every);
    return { stitches: every, chance: Math.min(1, one * tried.length) };
  });
  return surest(found);
}

/** Chance that at least so many of all happen. */
function atLeast(count: number, all: number, each: number): number {
  let [sum, ways] = [0, 1];
  for (let happened = 0; happened <= all; happened += 1) {
    if (happened >= count) sum += ways * each ** happened * (1 - each) ** (all - happened);
    ways = (ways * (all - happened)) / (happened + 1);
  }
  return sum;
}

/**
 * After how many stitches a measure comes again: the strongest wave in it, against all others.
 * Source: Fisher, Proc. R. Soc. A 125 (1929) 54, tests of significance in harmonic analysis.
 * @param values of each stitch, in order; about nothing
 * @param least height of a wave that anybody would look into
 * @returns nothing where chance would do as well
 */
export function measureAgain(values: readonly number[], least: number): Repetition | undefined {
  const count = values.length;
  const waves = Array.from({ length: Math.floor((count - 1) / 2) }, (_, index) => index + 1).filter(
    (wave) => wave >= LEAST_TIMES,
  );
  const powers = waves.map((wave) => powerAt(values, wave));
  const all = powers.reduce((sum, one) => sum + one, 0);
  const most = Math.max(...powers);
  if ((2 * Math.sqrt(Math.max(0, most))) / count < least) return undefined;
  const wave = waves[powers.indexOf(most)] ?? 1;
  const finer = Array.from({ length: 2 * FINER + 1 }, (_, index) => wave - 1 + index / FINER)
    .map((one) => ({ one, power: powerAt(values, one) }))
    .reduce((best, next) => (next.power > best.power ? next : best));
  return surest([{ stitches: count / finer.one, chance: fisherChance(most / all, waves.length) }]);
}

/** Power of a wave that comes so many times over all the values, whole or not. */
function powerAt(values: readonly number[], times: number): number {
  let [cos, sin] = [0, 0];
  for (const [at, value] of values.entries()) {
    const angle = (2 * Math.PI * times * at) / values.length;
    cos += value * Math.cos(angle);
    sin += value * Math.sin(angle);
  }
  return cos * cos + sin * sin;
}

/**
 * How often the strongest of so many waves of mere noise holds this part of them all. Source: Fisher 1929, as above.
 * @param part from 1/waves to 1
 */
export function fisherChance(part: number, waves: number): number {
  let [sum, ways] = [0, 1];
  for (let one = 1; one <= Math.min(waves, Math.floor(1 / part)); one += 1) {
    ways = (ways * (waves - one + 1)) / one;
    sum += (one % 2 === 1 ? 1 : -1) * ways * Math.max(0, 1 - one * part) ** (waves - 1);
  }
  return Math.min(1, Math.max(0, sum));
}

function surest(found: readonly Repetition[]): Repetition | undefined {
  const [best] = found.toSorted((a, b) => a.chance - b.chance || a.stitches - b.stitches);
  return best && best.chance < LEAST_CHANCE ? best : undefined;
}

/** What of a machine turns once in so many stitches. */
export type TurningPart = 'bobbin' | 'spool';

/** Across the winding of a bobbin, from nearly empty to full, in millimetres. Common practice, no source. */
const WINDING = { core: 8, full: 20 } as const;
/** Of the thread along a seam, how much a stitch draws off: the lines alone, to with what goes into the fabric. Ours. */
const DRAWN_OFF = { least: 1, most: 1.3 } as const;

/**
 * What turns once while so many stitches are sewn. A hook turns once or twice a stitch: what comes again only after
 * several stitches is not its.
 * @param leg length of a stitch along its thread, in millimetres
 * @param spool across its winding, where somebody measured it; only one that turns as it is drawn from
 */
export function turnsAfter(
  { stitches }: Pick<Repetition, 'stitches'>,
  leg: number,
  spool: number | undefined,
): {
  readonly thread: readonly [least: number, most: number];
  readonly turns: readonly TurningPart[];
} {
  const thread = [stitches * leg * DRAWN_OFF.least, stitches * leg * DRAWN_OFF.most] as const;
  const isOnce = (least: number, most: number) =>
    thread[0] <= Math.PI * most && thread[1] >= Math.PI * least;
  return {
    thread,
    turns: [
      ...(isOnce(WINDING.core, WINDING.full) ? (['bobbin'] as const) : []),
      ...(spool !== undefined && isOnce(spool, spool) ? (['spool'] as const) : []),
    ],
  };
}

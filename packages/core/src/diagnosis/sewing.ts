import type { HowOften, Observation } from './evidence.ts';
import { SEWING_LEAK, type SewnAmount, visibilityOf } from './symptoms.ts';

/** One time that the machine was sewn and watched. */
export interface Sewing {
  readonly epoch: number;
  /**
   * Name of the work it was sewn on, and of what was exchanged for it: what is sewn in one epoch under
   * one name adds up.
   */
  readonly work: string;
  readonly amount: SewnAmount;
  /** Symptoms that sewing like this can show. */
  readonly watched: readonly string[];
  /** Those that showed; `some` when one of them did and nobody said which. */
  readonly shown: readonly string[] | 'some';
  /** By cause, how much less it shows on this work; see {@link Observation.factors}. */
  readonly factors?: Readonly<Record<string, number>>;
  /** By symptom, the id of the answer that says whether it showed. */
  readonly answers?: Readonly<Record<string, string>>;
}

/**
 * What sewings say of symptoms. All silent sewing of one epoch on one kind of work is one observation
 * of the amounts added up: however it is divided, it says the same.
 * @param often how often the customer sees a symptom.
 */
export function observationsOfSewing(
  sewings: readonly Sewing[],
  often: (symptom: string) => HowOften,
): readonly Observation[] {
  const seen: Observation[] = [];
  const silent = new Map<
    string,
    { readonly sewing: Sewing; readonly symptom: string; sewn: number }
  >();
  for (const sewing of sewings) {
    const { watched, shown } = sewing;
    const sight = (symptoms: readonly string[]): Observation => ({
      ...wayOf(sewing, symptoms[0]),
      seen: true,
      symptoms: symptoms.map((symptom) => ({
        symptom,
        visibility: visibilityOf(sewing.amount, often(symptom)),
      })),
    });
    if (shown === 'some') {
      if (watched.length > 0) seen.push(sight(watched));
      continue;
    }
    for (const symptom of shown) seen.push(sight([symptom]));
    for (const symptom of watched) {
      if (shown.includes(symptom)) continue;
      const unit = 'minutes' in sewing.amount ? 'minutes' : 'tries';
      const key = [sewing.epoch, unit, symptom, sewing.work].join(' ');
      const before = silent.get(key)?.sewn ?? 0;
      silent.set(key, { sewing, symptom, sewn: before + sewnOf(sewing.amount) });
    }
  }
  return [
    ...seen,
    ...[...silent.values()].map(({ sewing, symptom, sewn }): Observation => {
      const amount = 'minutes' in sewing.amount ? { minutes: sewn } : { tries: sewn };
      return {
        ...wayOf(sewing, symptom),
        seen: false,
        symptoms: [{ symptom, visibility: visibilityOf(amount, often(symptom)) }],
      };
    }),
  ];
}

function sewnOf(amount: SewnAmount): number {
  return 'minutes' in amount ? amount.minutes : amount.tries;
}

function wayOf({ epoch, factors, answers }: Sewing, symptom: string | undefined) {
  const finding = symptom === undefined ? undefined : answers?.[symptom];
  return {
    epoch,
    leak: SEWING_LEAK,
    ...(factors === undefined ? {} : { factors }),
    ...(finding === undefined ? {} : { finding }),
  };
}

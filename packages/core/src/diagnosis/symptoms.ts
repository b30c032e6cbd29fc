import { CoreError } from '../errors/coreError.ts';
import type { Evidence, HowOften, Observation, Reading } from './evidence.ts';
import { isSymptom, type Network } from './network.ts';

/**
 * How surely a report shows an active trigger: reported at intake for sure; denied at intake, it can have
 * been missed; reported again later. Typical values from memory, no source.
 */
const REPORT_VISIBILITY = { reported: 1, denied: 0.8, reportedLater: 0.97 } as const;

/** Chance that a sewing at the bench shows a symptom that nothing active shows. Ours, no source. */
export const SEWING_LEAK = 0.01;

/** No sewing shows an active trigger more surely. Typical value from memory, no source. */
const MOST_VISIBLE = 0.97;

/** Minutes of sewing, and tries, in which it shows once on average. Typical, from memory, no source. */
const SHOWS_ONCE_IN: Readonly<
  Record<HowOften, { readonly minutes: number; readonly tries: number }>
> = {
  always: { minutes: 0.2, tries: 0 },
  seam: { minutes: 2, tries: 2 },
  'now-and-then': { minutes: 15, tries: 8 },
  hours: { minutes: 120, tries: 40 },
};

/** How much was sewn: minutes, or tries for what shows only when something is tried. */
export type SewnAmount = { readonly minutes: number } | { readonly tries: number };

/**
 * How surely so much sewing shows an active trigger: min(.97, 1 - exp(-amount / usual)), as for events
 * at a constant rate.
 * @throws CoreError `not-an-amount` for a negative amount or one that is no number.
 */
export function visibilityOf(amount: SewnAmount, often: HowOften): number {
  const sewn = 'minutes' in amount ? amount.minutes : amount.tries;
  if (!(sewn >= 0 && Number.isFinite(sewn))) throw new CoreError('not-an-amount', { amount: sewn });
  if (sewn === 0) return 0;
  const usual = SHOWS_ONCE_IN[often]['minutes' in amount ? 'minutes' : 'tries'];
  return usual === 0 ? MOST_VISIBLE : Math.min(MOST_VISIBLE, -Math.expm1(-sewn / usual));
}

/**
 * A report of a symptom as an observation of it. Undefined for a reading of an ordinary finding.
 * @param often how often it shows; undefined when nobody says.
 */
export function observationOfReport(
  network: Network,
  reading: Reading,
  often?: HowOften,
): Observation | undefined {
  const index = network.findingIndex.get(reading.finding);
  if (index === undefined || !isSymptom(network, index)) return undefined;
  const { reported, denied, reportedLater } = REPORT_VISIBILITY;
  const visibility = reading.present ? (reading.epoch === 0 ? reported : reportedLater) : denied;
  return {
    symptoms: [{ symptom: reading.finding, visibility }],
    epoch: reading.epoch,
    seen: reading.present,
    leak: often === 'always' || often === 'seam' ? 0 : (network.findings[index]?.leak ?? 0),
  };
}

/**
 * The symptoms that have to be silenced: what was reported, and what showed unasked at the bench. A
 * sighting of "one of several" adds none.
 */
export function reportedSymptoms(network: Network, evidence: Evidence): readonly string[] {
  const reports = evidence.readings.flatMap(({ finding, present }) => {
    const index = network.findingIndex.get(finding);
    return present && index !== undefined && isSymptom(network, index) ? [finding] : [];
  });
  const shown = (evidence.observations ?? []).flatMap(({ symptoms, seen }) =>
    seen && symptoms.length === 1 ? symptoms.map(({ symptom }) => symptom) : [],
  );
  return [...new Set([...reports, ...shown])];
}

/**
 * Chance that a cause which an action treats is gone afterwards.
 * Provenance: typical value from memory, no source.
 */
export const TREATMENT_SUCCESS = 0.95;

/**
 * One finding, asked and answered, in the epoch in which it was seen. Of a symptom it is what the
 * customer reports or denies.
 */
export interface Reading {
  readonly finding: string;
  readonly epoch: number;
  readonly present: boolean;
}

/** An action that treats causes; it ends the epoch before `startsEpoch`. */
export interface Treatment {
  readonly startsEpoch: number;
  readonly causes: readonly string[];
}

/**
 * Symptoms looked for while sewing: whether any of them showed. "Not seen" has the probability
 * (1 - leak) x product over the active triggers of causes present of (1 - visibility x factor).
 * A trial is an observation in which the exchanged causes have the factor 0.
 */
export interface Observation {
  /** What was looked for, each with the chance that this much sewing shows an active trigger. */
  readonly symptoms: readonly { readonly symptom: string; readonly visibility: number }[];
  readonly epoch: number;
  readonly seen: boolean;
  /** Chance of seeing it although nothing active shows it; 0 to 1. */
  readonly leak: number;
  /**
   * By cause, how much less it shows in this way of sewing: 0 when what decides was exchanged, 1 (as
   * for causes not named) on the work that failed.
   */
  readonly factors?: Readonly<Record<string, number>>;
  /** Id of the answer that it came from. */
  readonly finding?: string;
}

/** How often a symptom shows, as the customer sees it. */
export type HowOften = 'always' | 'seam' | 'now-and-then' | 'hours';

/** Everything known about one machine. What is neither read nor observed is unasked. */
export interface Evidence {
  readonly readings: readonly Reading[];
  readonly treatments: readonly Treatment[];
  readonly observations?: readonly Observation[];
  /** How often reported symptoms show: what shows always or every seam was no one-off event. */
  readonly often?: Readonly<Record<string, HowOften>>;
}

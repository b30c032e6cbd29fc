import { CoreError } from '../errors/coreError.ts';
import { type GramForce, gramForce } from './hanging.ts';

/** One reading of a gauge while the thread is drawn off. */
export interface GaugeSample {
  /** Milliseconds from any beginning. */
  readonly at: number;
  readonly force: number;
}

/** A pull as a gauge shows it. */
export interface Pull {
  readonly tension: GramForce;
  /** Standard error of the tension, gf. */
  readonly error: number;
  /** Standard deviation round the line, gf. */
  readonly noise: number;
  /** How fast the reading wandered, gf a second. */
  readonly drift: number;
  /** The drift is no more than chance would make of that noise. */
  readonly steady: boolean;
}

/** Fewer samples say nothing of noise. */
const FEWEST = 8;
/** Drift beyond so many standard errors is drift. */
const BEYOND_CHANCE = 3;

/**
 * A steady pull from the samples of a gauge: least squares through force over time, the tension in its
 * middle with its standard error. Source: any text on linear regression.
 * @throws CoreFault `too-few-samples` below eight, or all at one instant.
 */
export function pullOf(samples: readonly GaugeSample[]): Pull {
  const n = samples.length;
  const mean = (value: (sample: GaugeSample) => number) =>
    samples.reduce((sum, sample) => sum + value(sample), 0) / n;
  const middle = mean(({ at }) => at);
  const spread = samples.reduce((sum, { at }) => sum + (at - middle) ** 2, 0);
  if (n < FEWEST || spread === 0) throw new CoreError('too-few-samples', { n, least: FEWEST });
  const level = mean(({ force }) => force);
  const slope =
    samples.reduce((sum, { at, force }) => sum + (at - middle) * (force - level), 0) / spread;
  const left = samples.reduce(
    (sum, { at, force }) => sum + (force - level - slope * (at - middle)) ** 2,
    0,
  );
  const noise = Math.sqrt(left / (n - 2));
  return {
    tension: gramForce(Math.max(0, level)),
    error: noise / Math.sqrt(n),
    noise,
    drift: slope * 1000,
    steady: Math.abs(slope) <= (BEYOND_CHANCE * noise) / Math.sqrt(spread),
  };
}

import { CoreError } from '../errors/coreError.ts';
import { PACKING } from '../thread/diameter.ts';
import { type Millimetres, positive } from '../units/quantities.ts';

/** A gap as feelers tell it: what slipped through, and the next that did not. */
export interface StopGap {
  /** The thickest that passed; nothing where none did. */
  readonly passes: Millimetres;
  /** The thinnest that did not; undefined where all of them passed. */
  readonly stops: Millimetres | undefined;
}

/**
 * How a thread goes through a gap: by itself; squeezed, so that it drags; or held, since even with all
 * air pressed out of it there is more fibre than room.
 */
export type GapFit = 'slips' | 'drags' | 'held';

/** How a thread goes through a gap, at its widest and at its narrowest. */
export interface StopGapReading {
  readonly atMost: GapFit;
  readonly atLeast: GapFit;
  /** Whether it slips; undefined where the feelers are too far apart to tell. */
  readonly slips: boolean | undefined;
}

/**
 * What a gap at the case's stop does to a thread. Derived: a round strand slips where the gap is no less
 * than its diameter d; pressed together without air it is d sqrt(packing) across, and below that nothing
 * lets it through but flattening. Friction and the stretch of the finger that holds the case are left out.
 * @throws CoreFault `gap-upside-down` when something thinner stopped than passed; `not-above-nothing` for a
 * thread without thickness.
 */
export function stopGapReading(
  { passes, stops }: StopGap,
  thread: Millimetres,
  packing = PACKING,
): StopGapReading {
  if (stops !== undefined && stops <= passes)
    throw new CoreError('gap-upside-down', { passes, stops });
  const across = positive('thread', thread);
  const pressed = across * Math.sqrt(positive('packing', packing));
  const fit = (gap: number): GapFit =>
    gap >= across ? 'slips' : gap >= pressed ? 'drags' : 'held';
  const atLeast = fit(passes);
  const atMost = stops === undefined ? 'slips' : fit(stops);
  const isUnsure = atMost === 'slips' && atLeast !== 'slips';
  return { atMost, atLeast, slips: isUnsure ? undefined : atLeast === 'slips' };
}

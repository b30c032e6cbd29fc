import { CoreError } from '../errors/coreError.ts';

/** A length of work in minutes, never negative. */
export type Minutes = number & { readonly unit: 'min' };

/**
 * The one checked way to a {@link Minutes}.
 * @throws CoreFault `not-a-duration` when the value is negative or not finite.
 */
export function minutes(value: number): Minutes {
  if (!Number.isFinite(value) || value < 0) throw new CoreError('not-a-duration', { value });
  return value as Minutes;
}

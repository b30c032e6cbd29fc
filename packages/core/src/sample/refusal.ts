import { CoreError } from '../errors/coreError.ts';

/** What no sample is read from, and why. */
export type SampleRefusal =
  | 'no-card'
  | 'too-coarse'
  | 'not-on-picture'
  | 'no-seam'
  | 'not-a-thread'
  | 'fabric-colour'
  | 'not-regular'
  | 'too-few-stitches'
  | 'one-colour';

export function refused(
  code: SampleRefusal,
  data: Readonly<Record<string, unknown>> = {},
): CoreError {
  return new CoreError(code, data);
}

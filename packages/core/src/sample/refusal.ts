import { CoreError } from '../errors/coreError.ts';

/** What no sample is read from, and why. */
export type SampleRefusal =
  | 'no-card'
  | 'too-coarse'
  | 'no-seam'
  | 'fabric-colour'
  | 'not-regular'
  | 'too-few-stitches';

export function refused(
  code: SampleRefusal,
  data: Readonly<Record<string, unknown>> = {},
): CoreError {
  return new CoreError(code, data);
}

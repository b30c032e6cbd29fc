/**
 * A fault in what a caller handed to the core: a code for programs and the data
 * that belongs to it. Words for people are found elsewhere, last.
 */
export class CoreFault extends Error {
  override readonly name = 'CoreFault';

  constructor(
    readonly code: string,
    readonly data: Readonly<Record<string, unknown>> = {},
  ) {
    super(`${code} ${JSON.stringify(data)}`);
  }
}

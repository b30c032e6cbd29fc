/**
 * A fault in what a caller handed to the core: a code for programs and the data
 * that belongs to it. Words for people are found elsewhere, last.
 */
export class CoreError extends Error {
  override readonly name = 'CoreFault';

  constructor(
    readonly code: string,
    readonly data: Readonly<Record<string, unknown>> = {},
  ) {
    super(`${code} ${JSON.stringify(data)}`);
  }
}

/** What `compute` gives, or undefined where the core refuses what it was handed. */
export function whereValid<Value>(compute: () => Value): Value | undefined {
  try {
    return compute();
  } catch (error) {
    if (error instanceof CoreError) return undefined;
    throw error;
  }
}

/** The checks of what comes from outside of this page, loaded when the first of it comes. */
export type Boundary = typeof import('./checked.ts');

let loading: Promise<Boundary> | undefined;

export function boundary(): Promise<Boundary> {
  loading ??= import('./checked.ts').catch((error: unknown) => {
    // Asked again with the next message.
    loading = undefined;
    throw error;
  });
  return loading;
}

/**
 * Does what comes in its order, each with the checks at hand; what cannot be checked for want of
 * them is left out.
 */
export function inOrder<Said>(take: (said: Said, checks: Boundary) => void): (said: Said) => void {
  let last: Promise<void> = Promise.resolve();
  return (said) => {
    last = last.then(async () => take(said, await boundary())).catch(() => undefined);
  };
}

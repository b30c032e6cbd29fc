let current: string | undefined;

/**
 * The instant of the act of the hand that is being recorded: one tap may make several entries, and what
 * carries the same instant is undone together.
 */
export function actInstant(): string {
  if (current === undefined) {
    current = new Date().toISOString();
    setTimeout(() => {
      current = undefined;
    });
  }
  return current;
}

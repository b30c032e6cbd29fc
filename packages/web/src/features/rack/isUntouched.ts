import type { RackEntry } from '@nodo/ticket';

/** Taken in, and nobody at the bench has entered anything. */
export function isUntouched({ lastBy, status }: RackEntry): boolean {
  return status === 'open' && lastBy === null;
}

import { derivedId } from '@nodo/server';

/** The same id for the same name in every demo. */
export function idOf(name: string): string {
  return derivedId(`nodo demo ${name}`);
}

import type { FamilyCheck } from '@nodo/knowledge';

/** Every finding of a check answered: what was seen, and not the others. */
export function answersTo(
  { findings }: Pick<FamilyCheck, 'findings'>,
  seen: ReadonlySet<string | undefined>,
): Readonly<Record<string, 'yes' | 'no'>> {
  return Object.fromEntries(findings.map(({ id }) => [id, seen.has(id) ? 'yes' : 'no']));
}

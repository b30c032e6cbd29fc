import type { Provenance, TableChange } from '@nodo/knowledge';
import { useTables } from '../../../session/useTables.ts';

/** Where a value of one cause or check comes from: as it came, or changed by this shop. */
export function useStandings(
  isAbout: (change: TableChange) => boolean,
): (kind: TableChange['kind'], otherwise: Provenance) => Provenance {
  const changes = useTables().tables?.changes ?? [];
  const here = new Set(changes.filter(isAbout).map(({ kind }) => kind));
  return (kind, otherwise) => (here.has(kind) || here.has('new-cause') ? 'shop' : otherwise);
}

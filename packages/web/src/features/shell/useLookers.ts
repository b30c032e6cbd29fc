import type { Looker, Session } from '@nodo/contract';
import { useMemo } from 'react';
import { usePresenceQuery } from '../../api/client.ts';

const NOBODY: readonly Looker[] = [];

/** Who looks at what on the other screens of the shop. */
export function useLookers({ screen }: Session): readonly Looker[] {
  const { data = NOBODY } = usePresenceQuery();
  return useMemo(() => data.filter((looker) => looker.screen !== screen.id), [data, screen.id]);
}

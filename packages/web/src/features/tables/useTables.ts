import { changesInForce, deskOf, presentEdition, type TablesDesk } from '@nodo/contract';
import type { Edition, TableChange } from '@nodo/knowledge';
import { useMemo } from 'react';
import { useTablesQuery } from '../../api/client.ts';

export interface ShopTables {
  readonly desk: TablesDesk;
  /** What the shop judges with now. */
  readonly edition: Edition;
  /** What it changed in the shipped tables to get there. */
  readonly changes: readonly TableChange[];
}

/** The tables of the shop; undefined until they were read once. */
export function useTables(): ShopTables | undefined {
  const { data: events } = useTablesQuery();
  return useMemo(() => {
    if (!events) return undefined;
    const desk = deskOf(events);
    return { desk, edition: presentEdition(desk), changes: changesInForce(desk) };
  }, [events]);
}

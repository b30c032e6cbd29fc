import type { CallFault } from '@nodo/client';
import type { Edition, TableChange } from '@nodo/knowledge';
import { changesInForce, deskOf, presentEdition, type TablesDesk } from '@nodo/tables';
import { useMemo } from 'react';
import { useTablesQuery } from '../api/client.ts';

export interface ShopTables {
  readonly desk: TablesDesk;
  /** What the shop judges with now. */
  readonly edition: Edition;
  /** What it changed in the shipped tables to get there. */
  readonly changes: readonly TableChange[];
}

/** The tables of the shop; undefined until they were read once, or with why they could not be. */
export function useTables(): {
  readonly tables?: ShopTables;
  readonly fault: CallFault | undefined;
  readonly refetch: () => void;
} {
  const { data: events, error, refetch } = useTablesQuery();
  const tables = useMemo(() => {
    if (!events) return undefined;
    const desk = deskOf(events);
    return { desk, edition: presentEdition(desk), changes: changesInForce(desk) };
  }, [events]);
  return {
    ...(tables ? { tables } : {}),
    fault: error as CallFault | undefined,
    refetch: () => void refetch(),
  };
}

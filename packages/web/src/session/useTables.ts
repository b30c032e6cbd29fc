import type { CallError } from '@nodo/client';
import type { KnowledgeVersion, TableChange } from '@nodo/knowledge';
import {
  type ChangeRequests,
  changesInForce,
  foldChangeRequests,
  versionInForce,
} from '@nodo/tables';
import { useMemo } from 'react';
import { useTablesQuery } from '../api/client.ts';

export interface ShopTables {
  readonly requests: ChangeRequests;
  /** What the shop judges with now. */
  readonly version: KnowledgeVersion;
  /** What it changed in the shipped tables to get there. */
  readonly changes: readonly TableChange[];
}

/** The tables of the shop; undefined until they were read once, or with why they could not be. */
export function useTables(): {
  readonly tables?: ShopTables;
  readonly fault: CallError | undefined;
  readonly refetch: () => void;
} {
  const { data: events, error, refetch } = useTablesQuery();
  const tables = useMemo(() => {
    if (!events) return undefined;
    const requests = foldChangeRequests(events);
    return { requests, version: versionInForce(requests), changes: changesInForce(requests) };
  }, [events]);
  return {
    ...(tables ? { tables } : {}),
    fault: error as CallError | undefined,
    refetch: () => void refetch(),
  };
}

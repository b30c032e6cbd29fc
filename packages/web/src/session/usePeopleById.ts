import type { Person } from '@nodo/api';
import { useMemo } from 'react';
import { usePeopleQuery } from '../api/client.ts';

export function usePeopleById(): ReadonlyMap<string, Person> {
  const { data } = usePeopleQuery();
  return useMemo(() => new Map((data ?? []).map((person) => [person.id, person])), [data]);
}

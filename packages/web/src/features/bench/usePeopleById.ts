import type { Person } from '@nodo/contract';
import { useMemo } from 'react';
import { usePeopleQuery } from '../../api/api.ts';

export function usePeopleById(): ReadonlyMap<string, Person> {
  const { data } = usePeopleQuery();
  return useMemo(() => new Map((data ?? []).map((person) => [person.id, person])), [data]);
}

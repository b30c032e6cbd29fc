import { useEffect, useState } from 'react';
import { NavigationType, useNavigationType, useSearchParams } from 'react-router';
import type { RackFilter } from './state.ts';

const NAMES = ['who', 'stands', 'shelf'] as const;

/**
 * What of the Rack is shown, with the address bar following, so that a view can be sent to a
 * colleague. The router takes its time with an address; a field that waited for it would lose
 * letters under quick fingers.
 */
export function useRackFilter(): {
  readonly filter: RackFilter;
  readonly set: (part: Partial<RackFilter>) => void;
} {
  const [search, setSearch] = useSearchParams();
  const asked = (name: keyof RackFilter) => search.get(name) ?? '';
  const inAddress: RackFilter = {
    who: asked('who'),
    stands: asked('stands'),
    shelf: asked('shelf'),
  };
  const key = JSON.stringify(inAddress);
  const [filter, setFilter] = useState(inAddress);
  const navigation = useNavigationType();
  useEffect(() => {
    // Only the fields themselves replace the address; anything else is a link or "back".
    if (navigation !== NavigationType.Replace) setFilter(JSON.parse(key) as RackFilter);
  }, [navigation, key]);
  return {
    filter,
    set: (part) => {
      const next = { ...filter, ...part };
      setFilter(next);
      const said = NAMES.filter((name) => next[name] !== '').map((name) => [name, next[name]]);
      setSearch(Object.fromEntries(said) as Record<string, string>, { replace: true });
    },
  };
}

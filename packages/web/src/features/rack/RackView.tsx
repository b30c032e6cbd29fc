import type { CallFault } from '@nodo/client';
import type { Looker, Person, RackEntry } from '@nodo/contract';
import { useEffect, useState } from 'react';
import { Link, NavigationType, useNavigationType, useSearchParams } from 'react-router';
import { usePresenceQuery, useRackQuery } from '../../api/client.ts';
import { m } from '../../messages/index.ts';
import { Button } from '../../ui/Button.tsx';
import { Blank } from '../../ui/Stitches.tsx';
import { usePeopleById } from '../bench/usePeopleById.ts';
import { NotRead } from '../shell/NotRead.tsx';
import { HandNeeded } from './HandNeeded.tsx';
import { isUntouched } from './isUntouched.ts';
import { Shelf } from './Shelf.tsx';

/** What stands in the shop, shelf by shelf, and where a hand is needed. */
export function RackView() {
  const { data: lookers = [] } = usePresenceQuery();
  const { data: rack, error, refetch } = useRackQuery();
  const peopleById = usePeopleById();
  const { wanted, find } = useFind();

  if (!rack) {
    return (
      <NotRead
        title={m.rack.failedTitle}
        fault={error as CallFault | undefined}
        again={() => void refetch()}
      />
    );
  }
  const shown = rack.filter((entry) => fits(entry, wanted));
  const fresh = rack.filter(isUntouched).length;
  const inShop = rack.filter(({ tag }) => tag !== null);
  const ready = inShop.filter(({ status }) => status === 'closed').length;

  return (
    <div className="flex flex-1 flex-col lg:flex-row">
      <section className="min-w-0 flex-1 px-6 py-4" aria-labelledby="rack-title">
        <div className="mb-3 flex flex-wrap items-center gap-x-5 gap-y-2">
          <h1 id="rack-title" className="text-2xl font-bold">
            {m.rack.title}
          </h1>
          <p className="text-quiet">{m.rack.tally(inShop.length, fresh, ready)}</p>
          <input
            type="search"
            value={wanted}
            onChange={(event) => find(event.target.value)}
            placeholder={m.rack.find}
            aria-label={m.rack.find}
            className="ml-auto min-h-11 w-72 rounded-md border-2 border-edge bg-paper px-3"
          />
        </div>
        {rack.length === 0 ? (
          <Blank within title={m.rack.emptyTitle}>
            <p>{m.rack.empty}</p>
            <Link
              to="/counter"
              className="inline-flex min-h-11 items-center rounded-md border-2 border-ink bg-ink px-4 font-semibold text-ground"
            >
              {m.shell.takeIn}
            </Link>
          </Blank>
        ) : shown.length === 0 ? (
          <Blank within title={m.rack.noMatchTitle}>
            <p>{m.rack.noMatch(wanted)}</p>
            <Button onClick={() => find('')}>{m.rack.clear}</Button>
          </Blank>
        ) : (
          <Shelves entries={shown} people={peopleById} lookers={lookers} />
        )}
      </section>
      <HandNeeded rack={rack} people={peopleById} />
    </div>
  );
}

/**
 * What is searched for, with the address bar following. The router takes its time with an
 * address; a field that waited for it would lose letters under quick fingers.
 */
function useFind(): { readonly wanted: string; readonly find: (words: string) => void } {
  const [search, setSearch] = useSearchParams();
  const inAddress = search.get('find') ?? '';
  const [wanted, setWanted] = useState(inAddress);
  const navigation = useNavigationType();
  useEffect(() => {
    // Only the field itself replaces the address; anything else is a link or "back".
    if (navigation !== NavigationType.Replace) setWanted(inAddress);
  }, [navigation, inAddress]);
  return {
    wanted,
    find: (words) => {
      setWanted(words);
      setSearch(words ? { find: words } : {}, { replace: true });
    },
  };
}

function Shelves({
  entries,
  people,
  lookers,
}: {
  readonly entries: readonly RackEntry[];
  readonly lookers: readonly Looker[];
  readonly people: ReadonlyMap<string, Person>;
}) {
  const hanging = entries.filter(({ tag }) => tag !== null);
  const names = [...new Set(hanging.map(({ shelf }) => shelf))].sort((a, b) =>
    a.localeCompare(b, undefined, { numeric: true }),
  );
  return names.map((name) => (
    <Shelf
      key={name}
      name={name}
      people={people}
      lookers={lookers}
      entries={hanging
        .filter(({ shelf }) => shelf === name)
        .sort((a, b) => (a.tag ?? 0) - (b.tag ?? 0))}
    />
  ));
}

function fits({ tag, label, customerName }: RackEntry, wanted: string): boolean {
  const words = wanted.trim().toLocaleLowerCase();
  if (words === '') return true;
  return [String(tag ?? ''), label, customerName ?? ''].some((text) =>
    text.toLocaleLowerCase().includes(words),
  );
}

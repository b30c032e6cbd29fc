import type { Person } from '@nodo/api';
import type { RackEntry } from '@nodo/ticket';
import { m } from '../../messages/index.ts';
import { type RackFilter, STANDS } from './state.ts';

const BOX = 'min-h-11 rounded-md border-2 border-edge bg-paper px-2';

/** What of the Rack is shown: by letters, by who, by standing, by shelf. */
export function Filters({
  rack,
  people,
  filter,
  set,
}: {
  readonly rack: readonly RackEntry[];
  readonly people: ReadonlyMap<string, Person>;
  readonly filter: RackFilter;
  readonly set: (part: Partial<RackFilter>) => void;
}) {
  const words = m.rack.filter;
  const shelves = [...new Set(rack.map(({ shelf }) => shelf))].sort();
  const atBenches = [...people.values()].filter(
    ({ role }) => role === 'technician' || role === 'lead',
  );
  return (
    <div className="ml-auto flex flex-wrap items-center gap-2">
      <select
        aria-label={words.who}
        value={filter.who}
        onChange={({ target }) => set({ who: target.value })}
        className={BOX}
      >
        <option value="">{words.anybody}</option>
        {atBenches.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
      <select
        aria-label={words.stands}
        value={filter.stands}
        onChange={({ target }) => set({ stands: target.value })}
        className={BOX}
      >
        <option value="">{words.anywhere}</option>
        {STANDS.map((stands) => (
          <option key={stands} value={stands}>
            {m.rack.stands[stands]}
          </option>
        ))}
      </select>
      <select
        aria-label={words.shelf}
        value={filter.shelf}
        onChange={({ target }) => set({ shelf: target.value })}
        className={BOX}
      >
        <option value="">{words.allShelves}</option>
        {shelves.map((shelf) => (
          <option key={shelf} value={shelf}>
            {shelf}
          </option>
        ))}
      </select>
      <input
        type="search"
        value={filter.find}
        onChange={({ target }) => set({ find: target.value })}
        placeholder={m.rack.find}
        aria-label={m.rack.find}
        className={`${BOX} w-56`}
      />
    </div>
  );
}

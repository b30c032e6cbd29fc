import type { Person } from '@nodo/api';
import type { RackEntry } from '@nodo/ticket';
import { m } from '../../messages/index.ts';
import { SelectBox } from '../../ui/SelectBox.tsx';
import { type RackFilter, STANDS } from './state.ts';

type Option = readonly [value: string, text: string];

/** What of the Rack is shown: by who, by standing, by shelf. */
export default function Filters({
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
    <div className="flex w-full flex-wrap justify-end items-center gap-2">
      <SelectBox
        aria-label={words.who}
        value={filter.who}
        onChoose={(who) => set({ who })}
        options={[['', words.anybody], ...atBenches.map(({ id, name }): Option => [id, name])]}
      />
      <SelectBox
        aria-label={words.stands}
        value={filter.stands}
        onChoose={(stands) => set({ stands })}
        options={[['', words.anywhere], ...STANDS.map((one): Option => [one, m.rack.stands[one]])]}
      />
      <SelectBox
        aria-label={words.shelf}
        value={filter.shelf}
        onChoose={(shelf) => set({ shelf })}
        options={[['', words.allShelves], ...shelves.map((shelf): Option => [shelf, shelf])]}
      />
    </div>
  );
}

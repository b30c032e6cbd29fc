import type { Looker, Person, RackEntry } from '@nodo/contract';
import { Link } from 'react-router';
import { Silhouette } from '../../drawing/Silhouette.tsx';
import { m, write } from '../../messages/index.ts';
import { PersonMark } from '../../ui/PersonMark.tsx';
import { MiniSeam } from './MiniSeam.tsx';

/** One board of the rack with the machines that stand on it. */
export function Shelf({
  name,
  entries,
  people,
  lookers,
}: {
  readonly name: string;
  /** Who has which ticket open on another screen. */
  readonly lookers: readonly Looker[];
  readonly entries: readonly RackEntry[];
  readonly people: ReadonlyMap<string, Person>;
}) {
  return (
    <section aria-label={m.rack.shelf(name)} className="mb-5">
      <h2 className="mb-1 text-sm font-semibold text-quiet">{m.rack.shelf(name)}</h2>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(9rem,1fr))] gap-y-3">
        {entries.map((entry) => (
          <li key={entry.ticket} className="flex flex-col">
            <Machine
              entry={entry}
              person={people.get(entry.lastBy ?? '')}
              looking={lookers
                .filter(({ ticket }) => ticket === entry.ticket)
                .flatMap(({ person }) => people.get(person)?.name ?? [])}
            />
          </li>
        ))}
      </ul>
    </section>
  );
}

function Machine({
  entry,
  person,
  looking,
}: {
  readonly entry: RackEntry;
  readonly person: Person | undefined;
  /** Names of those who have it open. */
  readonly looking: readonly string[];
}) {
  const struck = entry.owed.includes('strike-sweep') && entry.done > 0;
  return (
    <Link
      to={`/bench/${entry.ticket}`}
      className="group flex flex-1 flex-col rounded-md hover:bg-paper"
    >
      <span className="flex h-21 items-end gap-1 border-b-6 border-cloth px-1">
        <span className="w-22">
          <Silhouette family={entry.family} accent={struck} />
        </span>
        <span className="mb-1 flex flex-col items-start gap-1 self-start pt-1">
          {entry.tag !== null && <HangingTag tag={entry.tag} accent={struck} />}
          {person && entry.status === 'open' && (
            <PersonMark person={person} title={m.rack.lastBy(person.name)} />
          )}
        </span>
      </span>
      <span className="flex flex-col gap-0.5 pt-1.5 pr-3 pb-1 pl-1">
        <span className="font-semibold break-words group-hover:underline">
          <bdi>{entry.label}</bdi>
        </span>
        <span className="flex flex-wrap items-center gap-x-2">
          <MiniSeam
            seen={entry.seen}
            done={entry.done}
            owed={entry.owed.length}
            tied={entry.status === 'closed'}
          />
          <StateLine entry={entry} />
        </span>
        {looking.length > 0 && (
          <span className="text-sm text-quiet">{m.rack.looking(looking.join(', '))}</span>
        )}
      </span>
    </Link>
  );
}

function StateLine({ entry }: { readonly entry: RackEntry }) {
  if (entry.status === 'closed') {
    return <span className="text-sm font-semibold text-below">{m.rack.ready}</span>;
  }
  if (entry.contested > 0) {
    return <span className="text-sm font-semibold text-hazard">{m.rack.contested}</span>;
  }
  return (
    <span className="text-sm text-quiet">
      {entry.likely && entry.likely.chance >= LEAST_TOLD
        ? m.rack.likely(entry.likely.name, write.percent(entry.likely.chance))
        : m.rack.nothingLikely}
    </span>
  );
}

/** Below this chance a cause is not worth a line on the Rack. */
const LEAST_TOLD = 0.2;

function HangingTag({ tag, accent }: { readonly tag: number; readonly accent: boolean }) {
  return (
    <span
      className={`flex items-center gap-1.5 rounded-[4px] px-2 py-0.5 font-mono text-lg font-bold text-ground ${accent ? 'bg-hazard' : 'bg-ink'}`}
    >
      <span aria-hidden="true" className="size-1.5 rounded-full bg-ground" />
      <span className="sr-only">{m.rack.tag(tag)}</span>
      <span aria-hidden="true">{tag}</span>
    </span>
  );
}

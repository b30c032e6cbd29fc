import type { Person } from '@nodo/api';
import type { RackEntry } from '@nodo/ticket';
import { Phone } from 'lucide-react';
import { Link } from 'react-router';
import { m, write } from '../../messages/index.ts';
import { isUntouched } from './isUntouched.ts';
import type { DueState } from './state.ts';

/** The side of the Rack: which machines want a person, by why. */
export function HandNeeded({
  rack,
  people,
  states,
}: {
  readonly states: ReadonlyMap<string, DueState>;
  readonly rack: readonly RackEntry[];
  readonly people: ReadonlyMap<string, Person>;
}) {
  const calls = rack.filter(({ tag, status }) => tag === null && status === 'open');
  const byAge = rack
    .filter(({ tag }) => tag !== null)
    .sort((a, b) => (a.takenInAt < b.takenInAt ? -1 : 1));
  const open = byAge.filter(({ status }) => status === 'open');
  const words = m.rack.side;
  const is =
    (name: keyof DueState) =>
    ({ ticket }: RackEntry): boolean =>
      states.get(ticket)?.[name] ?? false;
  return (
    <aside
      aria-label={words.title}
      className="border-rule bg-paper px-6 py-4 max-lg:border-t lg:w-80 lg:border-l"
    >
      <List title={words.calls} note={words.callsNote} entries={calls} />
      <List title={words.overdue} entries={byAge.filter(is('overdue'))} />
      <List
        title={words.ask}
        entries={open.filter(({ standing }) => standing === 'ask-customer')}
      />
      <List
        title={words.awaited}
        entries={open.filter(({ awaited }) => awaited !== null)}
        say={({ awaited }) =>
          awaited &&
          m.rack.waitsFor(awaited.part, awaited.expected ? write.plainDay(awaited.expected) : '')
        }
      />
      <List title={words.stuck} note={words.stuckNote} entries={byAge.filter(is('stuck'))} />
      <List
        title={words.handed}
        entries={open.filter(({ handOver }) => handOver !== null)}
        say={({ handOver }) => handOver && handedWords(handOver, people)}
      />
      <List
        title={words.late}
        note={words.lateNote}
        entries={byAge.filter(({ late }) => late > 0)}
      />
      <List title={words.differing} entries={open.filter(({ contested }) => contested > 0)} />
      <List
        title={words.untouched}
        note={words.untouchedNote}
        entries={open.filter(isUntouched)}
        always
      />
      <List
        title={words.owing}
        note={words.owingNote}
        entries={open.filter((entry) => entry.owed.length > 0 && !isUntouched(entry))}
      />
      <List
        title={words.uncollected}
        note={words.uncollectedNote}
        entries={byAge.filter(is('uncollected'))}
      />
      <List
        title={words.ready}
        entries={byAge.filter((line) => line.status === 'closed' && !is('uncollected')(line))}
      />
    </aside>
  );
}

function handedWords(
  { to, note }: NonNullable<RackEntry['handOver']>,
  people: ReadonlyMap<string, Person>,
): string {
  const { handedTo, handedToAny } = m.rack.side;
  return to === null ? handedToAny(note) : handedTo(people.get(to)?.name ?? '', note);
}

function List({
  title,
  note,
  entries,
  say,
  always = false,
}: {
  readonly title: string;
  readonly note?: string;
  readonly entries: readonly RackEntry[];
  /** Instead of customer and day. */
  readonly say?: (entry: RackEntry) => string | null;
  readonly always?: boolean;
}) {
  if (entries.length === 0 && !always) return null;
  return (
    <section className="mb-5">
      <h2 className="text-sm font-semibold text-quiet">
        {title}
        {note && entries.length > 1 && <span className="font-normal"> · {note}</span>}
      </h2>
      {entries.length === 0 && <p className="py-2 text-quiet">{m.rack.side.none}</p>}
      <ul>
        {entries.map((entry) => (
          <li key={entry.ticket} className="border-b border-rule last:border-0">
            <Link
              to={`/${entry.tag === null ? 'phone' : 'bench'}/${entry.ticket}`}
              className="flex min-h-11 items-baseline gap-3 py-2 hover:underline"
            >
              <span className="w-8 shrink-0 font-mono text-lg font-bold">
                {entry.tag ?? <Phone aria-hidden size={20} />}
              </span>
              <span className="min-w-0 flex-1 break-words">
                <bdi>{entry.label}</bdi>
                <span dir="auto" className="block text-left text-sm text-quiet">
                  {say?.(entry) ??
                    [entry.customerName, m.rack.side.since(write.day(entry.takenInAt))]
                      .filter(Boolean)
                      .join(', ')}
                </span>
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

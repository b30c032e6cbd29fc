import type { Person, Presence } from '@nodo/api';
import type { RackEntry } from '@nodo/ticket';
import { Link } from 'react-router';
import { Silhouette } from '../../drawing/Silhouette.tsx';
import { m, write } from '../../messages/index.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { worksAtBench } from '../../session/UntilAsked.tsx';
import { ticketAddress } from '../../shop/ticketAddress.ts';
import { PersonMark } from '../../ui/PersonMark.tsx';
import { Tag } from '../../ui/Tag.tsx';
import { useAnswerWords } from './answerWords.ts';
import { MiniSeam } from './MiniSeam.tsx';
import type { DueState } from './state.ts';

/** One board of the rack with the machines that stand on it. */
export function Shelf({
  name,
  entries,
  people,
  lookers,
  states,
}: {
  readonly name: string;
  readonly states: ReadonlyMap<string, DueState>;
  /** Who has which ticket open on another screen. */
  readonly lookers: readonly Presence[];
  readonly entries: readonly RackEntry[];
  readonly people: ReadonlyMap<string, Person>;
}) {
  return (
    <section
      aria-label={m.rack.shelf(name)}
      className="mb-4 [contain-intrinsic-size:auto_12rem] [content-visibility:auto]"
    >
      <h2 className="mb-1 text-sm font-semibold text-quiet">{m.rack.shelf(name)}</h2>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(9rem,1fr))] gap-y-3">
        {entries.map((entry) => (
          <li key={entry.ticket} className="flex flex-col">
            <Machine
              entry={entry}
              state={states.get(entry.ticket)}
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
  state,
  person,
  looking,
}: {
  readonly state: DueState | undefined;
  readonly entry: RackEntry;
  readonly person: Person | undefined;
  /** Names of those who have it open. */
  readonly looking: readonly string[];
}) {
  const { role } = useSession().person;
  const struck = entry.owed.includes('strike-sweep') && entry.done > 0;
  return (
    <Link
      to={ticketAddress(role, entry)}
      className="group flex flex-1 flex-col rounded-md hover:bg-paper"
    >
      <span className="flex h-21 items-end gap-1 border-b-6 border-cloth px-1">
        <span className="w-22">
          <Silhouette family={entry.family} colour={entry.colour} accent={struck} />
        </span>
        <span className="mb-1 flex flex-col items-start gap-1 self-start pt-1">
          {entry.tag !== null && <Tag tag={entry.tag} struck={struck} />}
          {person && entry.status === 'open' && (
            <PersonMark person={person} title={m.rack.lastBy(person.name)} />
          )}
        </span>
      </span>
      <span className="flex flex-col gap-0.5 pt-1 pr-3 pb-1 pl-1">
        <span className="leading-snug font-semibold break-words group-hover:underline">
          <bdi>{entry.label}</bdi>
        </span>
        <MiniSeam
          seen={entry.seen}
          done={entry.done}
          owed={entry.owed.length}
          closed={entry.status === 'closed'}
        />
        <StateLine entry={entry} />
        {entry.comebackOf !== null && (
          <span className="text-sm font-semibold">{m.rack.stands.comeback}</span>
        )}
        <DueLine entry={entry} state={state} />
        {entry.atTheClock.length > 0 && person && (
          <span className="text-sm text-own">{m.rack.atWork(person.name)}</span>
        )}
        {looking.length > 0 && (
          <span className="text-sm text-quiet">{m.rack.looking(looking.join(', '))}</span>
        )}
      </span>
    </Link>
  );
}

/** Minutes left, the promised day, what it waits for; what is overdue or stuck plainly. */
function DueLine({
  entry: { left, promised, awaited, status, standing, freedBy, answer },
  state,
}: {
  readonly entry: RackEntry;
  readonly state: DueState | undefined;
}) {
  const words = m.rack;
  const said = useAnswerWords();
  const alarm = (['overdue', 'stuck', 'uncollected'] as const).find((name) => state?.[name]);
  const facts = [
    status === 'open' && left
      ? words.minutesLeft(
          write.duration(Math.round(left.mean)),
          write.duration(Math.round(left.spread)),
        )
      : '',
    promised && status === 'open' ? words.promised(write.plainDay(promised)) : '',
  ].filter(Boolean);
  const waits =
    standing === 'ask-customer'
      ? words.stands['ask-customer']
      : awaited
        ? words.waitsFor(awaited.part, awaited.expected ? write.plainDay(awaited.expected) : '')
        : freedBy === 'answer' && answer
          ? said(answer)
          : '';
  return (
    <>
      {facts.length > 0 && (
        <span className="text-sm leading-snug text-quiet">{facts.join(' · ')}</span>
      )}
      {waits && <span className="text-sm font-semibold break-words">{waits}</span>}
      {alarm && <Alarm>{words.stands[alarm]}</Alarm>}
    </>
  );
}

/** How a machine stands: for the bench what is likely, for the counter what it is in. */
function StateLine({ entry }: { readonly entry: RackEntry }) {
  const { role } = useSession().person;
  if (entry.status === 'closed') {
    return (
      <span className={`text-sm font-semibold ${entry.unrepaired ? 'text-ink' : 'text-below'}`}>
        {m.rack.ready(
          entry.unrepaired === null ? '' : m.life.unrepaired(entry.unrepaired),
          entry.toldAt !== null,
        )}
      </span>
    );
  }
  if (entry.contested > 0) {
    return <Alarm>{m.rack.contested}</Alarm>;
  }
  if (!worksAtBench(role)) {
    return (
      <span className="text-sm text-quiet">
        {m.life.standing(entry.standing, entry.unrepaired)}
      </span>
    );
  }
  const likely =
    entry.likely && entry.likely.chance >= LEAST_TOLD
      ? m.rack.likely(entry.likely.name, write.percent(entry.likely.chance))
      : m.rack.nothingLikely;
  return (
    <span className="truncate text-sm text-quiet" title={likely}>
      {likely}
    </span>
  );
}

/** What somebody should see to: late, stuck, answered in two ways. */
function Alarm({ children }: { readonly children: string }) {
  return (
    <span className="self-start rounded border-2 border-dashed border-ink px-1 text-sm leading-snug font-semibold">
      {children}
    </span>
  );
}

/** Below this chance a cause is not worth a line on the Rack. */
const LEAST_TOLD = 0.2;

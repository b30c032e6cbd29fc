import type { Person } from '@nodo/api';
import type { RackEntry } from '@nodo/ticket';
import { Phone } from 'lucide-react';
import { Link } from 'react-router';
import { m, write } from '../../messages/index.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { ticketAddress } from '../../shop/ticketAddress.ts';
import { shopClock } from '../../time/shopTime.ts';
import { Tag } from '../../ui/Tag.tsx';
import { useAnswerWords } from './answerWords.ts';
import { callsToMake } from './calls.ts';
import { type InSection, type Reason, type Section, sectionsOf } from './reasons.ts';
import type { DueState } from './state.ts';
import { ToRing } from './ToRing.tsx';

/** The side of the Rack: which machines want a person, each once, with all its reasons. */
export function HandNeeded({
  rack,
  people,
  states,
}: {
  readonly states: ReadonlyMap<string, DueState>;
  readonly rack: readonly RackEntry[];
  readonly people: ReadonlyMap<string, Person>;
}) {
  const words = m.rack.side;
  const { role } = useSession().person;
  const isAtBench = role === 'technician';
  // Work that is late is first of all work: at the bench it stands there, and not among the calls.
  const calls = callsToMake(rack, states, shopClock().day).filter(
    ({ line }) => !isAtBench || line.status === 'closed' || line.standing === 'ask-customer',
  );
  const toRing = new Set(calls.map(({ line }) => line));
  const inOrder = sectionsOf(
    rack.filter((line) => !toRing.has(line)),
    states,
  );
  const sections = isAtBench ? troubleFirst(inOrder) : inOrder;
  return (
    <aside
      aria-label={words.title}
      className="border-rule bg-paper gutter py-4 max-lg:border-b lg:w-80 lg:border-l"
    >
      {!isAtBench && <ToRing calls={calls} />}
      {sections.length + calls.length === 0 && <p className="text-quiet">{words.none}</p>}
      {sections.map(({ section, entries }) => (
        <Part key={section} section={section} entries={entries} people={people} />
      ))}
      {isAtBench && <ToRing calls={calls} />}
    </aside>
  );
}

/** At the bench what is in trouble stands above all else. */
function troubleFirst<One extends { readonly section: Section }>(
  sections: readonly One[],
): readonly One[] {
  return sections.toSorted(
    (a, b) => Number(b.section === 'trouble') - Number(a.section === 'trouble'),
  );
}

function Part({
  section,
  entries,
  people,
}: {
  readonly section: Section;
  readonly entries: readonly InSection[];
  readonly people: ReadonlyMap<string, Person>;
}) {
  const { role } = useSession().person;
  const said = useAnswerWords();
  const { title, note } = m.rack.side.sections[section];
  return (
    <section className="mb-4" aria-label={title}>
      <h2 className="text-lg font-semibold">
        {title} <span className="font-normal text-quiet">{entries.length}</span>
        {note && entries.length > 1 && (
          <span className="block text-sm font-normal text-quiet">{note}</span>
        )}
      </h2>
      <ul>
        {entries.map(({ line, reason, also }) => (
          <li key={line.ticket} className="border-b border-rule last:border-0">
            <Link
              to={ticketAddress(role, line)}
              className="flex min-h-11 items-baseline gap-3 py-2 hover:underline"
            >
              <span className="w-13 shrink-0">
                {line.tag === null ? <Phone aria-hidden size={20} /> : <Tag small tag={line.tag} />}
              </span>
              <span className="min-w-0 flex-1 break-words">
                <bdi className="font-semibold">{line.label}</bdi>
                {section === 'trouble' && (
                  <span className="block text-sm font-semibold">{m.rack.side.reasons[reason]}</span>
                )}
                <span dir="auto" className="block text-left text-sm text-quiet">
                  {factOf(reason, line, people, said)}
                </span>
                {also.length > 0 && (
                  <span className="block text-sm">
                    {m.rack.side.also(also.map((one) => m.rack.side.reasons[one]))}
                  </span>
                )}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What belongs to the reason; else whose it is and since when. */
function factOf(
  reason: Reason,
  line: RackEntry,
  people: ReadonlyMap<string, Person>,
  said: (answer: NonNullable<RackEntry['answer']>) => string,
): string {
  const { awaited, answer, freedBy, handOver, customerName, takenInAt } = line;
  if (reason === 'awaited' && awaited) {
    const expected = awaited.expected ? write.plainDay(awaited.expected) : '';
    return m.rack.waitsFor(awaited.part, expected);
  }
  if (reason === 'freed' && freedBy) {
    return freedBy === 'answer' && answer ? said(answer) : m.rack.side.freed[freedBy];
  }
  if (reason === 'handed' && handOver) {
    const { handedTo, handedToAny } = m.rack.side;
    return handOver.to === null
      ? handedToAny(handOver.note)
      : handedTo(people.get(handOver.to)?.name ?? '', handOver.note);
  }
  return [customerName, m.rack.side.since(write.day(takenInAt))].filter(Boolean).join(', ');
}

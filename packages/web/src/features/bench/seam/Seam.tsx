import type { Assessment, Person } from '@nodo/contract';
import type { FamilyModel } from '@nodo/knowledge';
import { useEffect, useMemo, useRef } from 'react';
import { m, write } from '../../../messages/index.ts';
import type { ShownTicket } from '../useShownTicket.ts';
import { LooseEnds, Owed, Stitch } from './Stitch.tsx';
import { type SeamEntry, seamEntries } from './seamEntries.ts';

interface SeamProps {
  readonly shown: ShownTicket;
  readonly model: FamilyModel;
  readonly assessment: Assessment;
  readonly people: ReadonlyMap<string, Person>;
}

/**
 * The ticket as a seam in section: the top thread carries what was seen, the bobbin thread
 * what was done, they lock at each entry; a debt is a skipped stitch, closing ties the knot.
 */
export function Seam({ shown, model, assessment, people }: SeamProps) {
  const entries = useMemo(() => seamEntries(shown, model, assessment), [shown, model, assessment]);
  const owed = assessment.duties.filter(({ state }) => state === 'owed');
  const scroller = useRef<HTMLElement>(null);
  const count = entries.length;
  useEffect(() => {
    const box = scroller.current;
    if (box && count > 0) box.scrollTo({ left: box.scrollWidth });
  }, [count]);

  return (
    <section
      ref={scroller}
      aria-label={m.seam.title}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: a place that scrolls must take the keys
      tabIndex={0}
      className="relative overflow-x-auto border-t border-rule pt-2"
    >
      <ol className="flex w-max min-w-full px-5">
        {entries.map((entry, place) => (
          <li key={entry.id} className="w-40 shrink-0">
            <SeamStitch
              entry={entry}
              person={people.get(entry.person)}
              newDay={isNewDay(entries[place - 1], entry)}
              first={place === 0}
            />
          </li>
        ))}
        {shown.ticket.status === 'open' &&
          owed.map(({ duty }) => (
            <li key={duty} className="w-40 shrink-0">
              <OwedStitch text={model.duties.get(duty)?.title ?? duty} />
            </li>
          ))}
        {shown.ticket.status === 'open' && (
          <li className="min-w-44 flex-1">
            <div className="flex h-18 flex-col justify-end pb-1 pl-3">
              <p className="font-semibold">{m.seam.nextStitch}</p>
            </div>
            <LooseEnds />
          </li>
        )}
      </ol>
    </section>
  );
}

function SeamStitch({
  entry,
  person,
  newDay,
  first,
}: {
  readonly entry: SeamEntry;
  readonly person: Person | undefined;
  readonly newDay: boolean;
  readonly first: boolean;
}) {
  const { side, text, at, state, mark } = entry;
  const notes = [
    state === 'corrected' && m.seam.corrected,
    state === 'waiting' && m.seam.waiting,
    mark === 'crossed' && m.seam.contested,
  ].filter((note) => note !== false);
  const words = (
    <p
      title={text}
      className={`line-clamp-2 px-1.5 text-center text-sm leading-tight break-words ${state === 'corrected' ? 'text-quiet line-through' : 'font-semibold'}`}
    >
      {text}
    </p>
  );
  const meta = (
    <p className="px-1 text-center text-xs text-quiet">
      <span className="font-mono">
        {newDay && <>{write.day(at)} </>}
        {write.clock(at)}
      </span>
      {person && (
        <>
          {' '}
          <span aria-hidden="true">{person.initials}</span>
          <span className="sr-only">{m.seam.by(person.name)}</span>
        </>
      )}
      {notes.length > 0 && (
        <span className="block font-semibold text-hazard">{notes.join(', ')}</span>
      )}
    </p>
  );
  return (
    <>
      <div className="flex h-18 flex-col justify-end pb-1">
        {side === 'above' && words}
        {side === 'above' && meta}
      </div>
      <Stitch mark={mark} state={state} thread={person?.thread ?? 0} side={side} first={first} />
      <div className="flex h-14 flex-col pt-1 text-below">
        {side === 'below' && words}
        {side === 'below' && meta}
      </div>
    </>
  );
}

function OwedStitch({ text }: { readonly text: string }) {
  return (
    <>
      <div className="h-18" />
      <Owed />
      <div className="h-14 px-1.5 pt-1 text-center text-sm leading-tight">
        <p className="font-semibold text-hazard">{m.seam.owed}</p>
        <p className="line-clamp-2 text-quiet" title={text}>
          {text}
        </p>
      </div>
    </>
  );
}

function isNewDay(before: SeamEntry | undefined, entry: SeamEntry): boolean {
  return before === undefined || write.day(before.at) !== write.day(entry.at);
}

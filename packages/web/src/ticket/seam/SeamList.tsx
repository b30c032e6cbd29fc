import type { Person } from '@nodo/api';
import { useState } from 'react';
import { m, write } from '../../messages/index.ts';
import { Button } from '../../ui/Button.tsx';
import { Modal } from '../../ui/Modal.tsx';
import { PersonMark } from '../../ui/PersonMark.tsx';
import { Photo } from '../photo/Photo.tsx';
import { Notes, Time } from './SeamStitch.tsx';
import type { SeamEntry } from './seamEntries.ts';

/** The whole Seam to be read from top to bottom, by day. */
export function SeamList({
  entries,
  people,
  label = m.seam.list,
}: {
  readonly entries: readonly SeamEntry[];
  readonly people: ReadonlyMap<string, Person>;
  /** What its button says. */
  readonly label?: string;
}) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button look="quiet" className="text-sm" onClick={() => setOpen(true)}>
        {label}
      </Button>
      <Modal open={open} onOpenChange={setOpen} title={m.seam.listTitle} closeLabel={m.seam.close}>
        <Listed entries={entries} people={people} />
      </Modal>
    </>
  );
}

/** Told only once it is opened. */
function Listed({
  entries,
  people,
}: {
  readonly entries: readonly SeamEntry[];
  readonly people: ReadonlyMap<string, Person>;
}) {
  const latestFirst = entries.toReversed();
  return (
    <>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: a place that scrolls must take the keys */}
      <ol className="overflow-y-auto" tabIndex={0}>
        {latestFirst.map((entry, index) => {
          const { id, photo, side, text, at, state, begins, person } = entry;
          // The one after it began a day of its own: this one is the last of its day.
          const isDaysLast = latestFirst[index - 1]?.newDay ?? true;
          return (
            <li key={id}>
              {isDaysLast && (
                <h3 className="mt-3 border-b border-rule font-semibold">{write.day(at)}</h3>
              )}
              <p className="grid grid-cols-[4.5rem_3rem_1fr] gap-x-3 py-1 leading-snug">
                <span className="text-sm text-quiet">
                  <Time at={at} withDay={false} />
                </span>
                <span className={`text-sm ${side === 'above' ? 'text-above' : 'text-below'}`}>
                  {side === 'above' ? m.seam.seen : m.seam.done}
                </span>
                <span className="min-w-0 break-words">
                  <span className={state === 'corrected' ? 'text-quiet line-through' : ''}>
                    <bdi>{text}</bdi>
                  </span>
                  <By person={people.get(person)} />
                  <Notes entry={entry} />
                  {photo !== undefined && <Photo photo={photo} account={text} />}
                </span>
              </p>
              {begins !== undefined && (
                <p className="border-t-2 border-dotted border-ink py-1 text-sm text-quiet">
                  {m.seam.begins(m.seam.state(begins))}
                </p>
              )}
            </li>
          );
        })}
      </ol>
    </>
  );
}

function By({ person }: { readonly person: Person | undefined }) {
  if (!person) return null;
  return (
    <span className="flex items-center gap-2 text-sm text-quiet">
      <PersonMark small silent person={person} /> <bdi>{person.name}</bdi>
    </span>
  );
}

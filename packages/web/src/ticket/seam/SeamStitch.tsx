import type { Person } from '@nodo/api';
import { Popover } from 'radix-ui';
import { memo } from 'react';
import { shallowEqual } from 'react-redux';
import { m, write } from '../../messages/index.ts';
import { usePeopleById } from '../../session/usePeopleById.ts';
import { Button } from '../../ui/Button.tsx';
import { PersonMark } from '../../ui/PersonMark.tsx';
import { Photo } from '../photo/Photo.tsx';
import type { Gap } from './gaps.ts';
import { Owed, Stitch } from './Stitch.tsx';
import type { SeamEntry } from './seamEntries.ts';

interface SeamStitchProps {
  readonly entry: SeamEntry;
  readonly person: Person | undefined;
  readonly first: boolean;
  readonly gap: Gap;
  /** The one stitch that Tab stops at; arrow keys move on from it. */
  readonly reachable: boolean;
  readonly onFocus: (id: string) => void;
  /** Undefined for what cannot be taken back, or not by this person. */
  readonly onTakeBack: ((id: string) => void) | undefined;
}

/** One stitch with its text; opened, it shows the whole entry and can be taken back. */
export const SeamStitch = memo(function SeamStitch(props: SeamStitchProps) {
  const { entry, person, first, gap, reachable, onFocus, onTakeBack } = props;
  const { id, photo, side, text, at, state, mark, begins, newDay } = entry;
  const words = <Words entry={entry} person={person} />;
  const lead = gap.kind === 'run' ? gap.lead : 0;
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <button
          type="button"
          data-stitch
          tabIndex={reachable ? 0 : -1}
          onFocus={() => onFocus(id)}
          className="relative block w-full rounded-md text-left hover:bg-sunk"
        >
          <Marks
            day={newDay && gap.kind === 'run' ? write.day(at) : undefined}
            state={begins === undefined ? undefined : m.seam.state(begins)}
          />
          <span className="flex h-18 flex-col justify-end pb-1" style={{ paddingLeft: lead }}>
            {side === 'above' && words}
          </span>
          <Stitch
            mark={mark}
            state={state}
            thread={person?.thread ?? 0}
            side={side}
            first={first}
            lead={lead}
          />
          <span className="flex h-14 flex-col pt-1 text-below" style={{ paddingLeft: lead }}>
            {side === 'below' && words}
          </span>
        </button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          aria-label={text}
          collisionPadding={12}
          className="z-50 flex max-h-80 w-80 flex-col gap-2 overflow-y-auto rounded-md border-2 border-ink bg-paper p-4 text-ink"
        >
          <p className={state === 'corrected' ? 'text-quiet line-through' : 'font-semibold'}>
            <bdi>{text}</bdi>
          </p>
          <p className="text-sm text-quiet">
            <Time at={at} withDay /> <bdi>{person?.name}</bdi>
          </p>
          <Notes entry={entry} />
          {photo !== undefined && <Photo photo={photo} account={text} />}
          {onTakeBack && (
            <Popover.Close asChild>
              <Button className="self-start" onClick={() => onTakeBack(id)}>
                {m.seam.takeBack}
              </Button>
            </Popover.Close>
          )}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}, isSameStitch);

/** The entries are described again with every tap; nearly all of them are equal to before. */
function isSameStitch(before: SeamStitchProps, now: SeamStitchProps): boolean {
  const { entry: toldBefore, gap: gapBefore, ...propsBefore } = before;
  const { entry, gap, ...props } = now;
  return (
    shallowEqual(toldBefore, entry) &&
    shallowEqual(gapBefore, gap) &&
    shallowEqual(propsBefore, props)
  );
}

/** The text at the stitch, with what the drawing shows put in words. */
function Words({ entry, person }: Pick<SeamStitchProps, 'entry' | 'person'>) {
  const { side, text, at, state, begins, newDay } = entry;
  return (
    <>
      <span
        className={`line-clamp-2 shrink-0 px-1 text-center text-sm leading-tight break-words ${state === 'corrected' ? 'text-quiet line-through' : 'font-semibold'}`}
      >
        <span className="sr-only">{side === 'above' ? m.seam.seen : m.seam.done}: </span>
        <bdi>{text}</bdi>
      </span>
      <span className="px-1 text-center text-sm text-quiet">
        {newDay && <span className="sr-only">{write.day(at)}</span>}
        <Time at={at} withDay={false} />{' '}
        {person && (
          <>
            <PersonMark person={person} small silent />
            <span className="sr-only">{m.seam.by(person.name)}</span>
          </>
        )}
        <Notes entry={entry} />
        {begins !== undefined && (
          <span className="sr-only">{m.seam.begins(m.seam.state(begins))}</span>
        )}
      </span>
    </>
  );
}

/** What is not plain about it: taken back, waiting, contested, sent by somebody else. */
export function Notes({ entry }: { readonly entry: SeamEntry }) {
  const sender = usePeopleById().get(entry.sentBy ?? '');
  const notes = [...notesOf(entry), ...(sender ? [m.seam.sentBy(sender.name)] : [])];
  if (notes.length === 0) return null;
  return <span className="block text-sm font-semibold">{notes.join(', ')}</span>;
}

function notesOf({ state, mark, late }: SeamEntry): readonly string[] {
  return [
    state === 'corrected' && m.seam.corrected,
    state === 'waiting' && m.seam.waiting,
    mark === 'crossed' && m.seam.contested,
    late && m.seam.late,
  ].filter((note) => note !== false);
}

export function Time({ at, withDay }: { readonly at: string; readonly withDay: boolean }) {
  return (
    <time dateTime={at}>
      {withDay && <>{write.day(at)} </>}
      {write.clock(at)}
    </time>
  );
}

/** Over the stitch: a new day, and whether the machine is another from here on. */
function Marks({
  day,
  state,
}: {
  readonly day: string | undefined;
  readonly state: string | undefined;
}) {
  return (
    <span
      aria-hidden="true"
      className={`absolute top-0 bottom-0 -left-px ${state === undefined ? '' : 'border-l-2 border-dotted border-ink'}`}
    >
      <span className="absolute top-0 left-1.5 text-sm whitespace-nowrap text-quiet">
        {[day, state].filter(Boolean).join(' · ')}
      </span>
    </span>
  );
}

/** A duty still owed, as a skipped stitch. */
export function OwedStitch({ text }: { readonly text: string }) {
  return (
    <>
      <div className="h-18" />
      <Owed />
      <div className="h-14 px-1 pt-1 text-center text-sm leading-tight">
        <p className="font-semibold">{m.seam.owed}</p>
        <p className="line-clamp-2 text-quiet" title={text}>
          {text}
        </p>
      </div>
    </>
  );
}

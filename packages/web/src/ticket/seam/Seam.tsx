import { mayBeCorrected } from '@nodo/ticket';
import {
  type KeyboardEvent,
  memo,
  type ReactNode,
  useCallback,
  useEffect,
  useRef,
  useState,
} from 'react';
import { m, write } from '../../messages/index.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { usePeopleById } from '../../session/usePeopleById.ts';
import { useShown, useTicket } from '../TicketContext.tsx';
import { type Gap, gapBefore } from './gaps.ts';
import { OwedStitch, SeamStitch } from './SeamStitch.tsx';
import { LooseEnds, STITCH_WIDE, Torn } from './Stitch.tsx';
import type { SeamEntry } from './seamEntries.ts';

/** Of a torn edge, in pixels. */
const TORN_WIDE = 72;

/**
 * The ticket as a seam in section: the top thread carries what was seen, the bobbin thread
 * what was done, they lock at each entry; a debt is a skipped stitch, closing ties the knot.
 */
export const Seam = memo(function Seam({ entries }: { readonly entries: readonly SeamEntry[] }) {
  const { model, assessment, record } = useTicket();
  const { ticket, events } = useShown();
  const people = usePeopleById();
  const session = useSession();
  const owed = assessment.duties.filter(({ state }) => state === 'owed');
  const scroller = useRef<HTMLElement>(null);
  const [focused, setFocused] = useState<string>();
  const count = entries.length;
  useEffect(() => {
    if (count === 0) return undefined;
    // With the next frame: asking for the width now would cause a second layout.
    const frame = requestAnimationFrame(() => {
      const box = scroller.current;
      box?.scrollTo({ left: box.scrollWidth });
    });
    return () => cancelAnimationFrame(frame);
  }, [count]);
  const takeBack = useCallback(
    (id: string) => {
      record('entry-corrected', { corrects: id });
    },
    [record],
  );

  const open = ticket.status === 'open';
  const isReachable = entries.some(({ id }) => id === focused) ? focused : entries.at(-1)?.id;
  const mayTakeBack = (index: number): boolean => {
    const event = events[index];
    if (!open || !event || !mayBeCorrected(event) || ticket.corrected.has(event.id)) {
      return false;
    }
    return event.actor.person === session.person.id || session.person.role === 'lead';
  };

  return (
    <section
      ref={scroller}
      aria-label={m.seam.title}
      className="contain-layout relative overflow-x-auto pt-2"
    >
      <ol className="flex w-max min-w-full px-4" aria-label={m.seam.keys} onKeyDown={moveAlong}>
        {entries.map((entry, index) => (
          <StitchPlace key={entry.id} entry={entry} before={entries[index - 1]}>
            {(gap) => (
              <SeamStitch
                entry={entry}
                gap={gap}
                person={people.get(entry.person)}
                first={index === 0}
                reachable={entry.id === isReachable}
                onFocus={setFocused}
                onTakeBack={mayTakeBack(index) ? takeBack : undefined}
              />
            )}
          </StitchPlace>
        ))}
        {open &&
          owed.map(({ duty }) => (
            <li key={duty} className="w-40 shrink-0">
              <OwedStitch text={model.duties.get(duty)?.title ?? duty} />
            </li>
          ))}
        {open && (
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
});

/** A stitch as far from the one before it as the time between them says; after hours, behind a torn edge. */
function StitchPlace({
  entry: { at },
  before,
  children,
}: {
  readonly entry: SeamEntry;
  readonly before: SeamEntry | undefined;
  readonly children: (gap: Gap) => ReactNode;
}) {
  const gap = gapBefore(before?.at, at);
  return (
    <li
      data-gap={gap.kind}
      className="flex shrink-0"
      style={{ width: STITCH_WIDE + (gap.kind === 'torn' ? TORN_WIDE : gap.lead) }}
    >
      {gap.kind === 'torn' && (
        <span aria-hidden="true" className="flex flex-col" style={{ width: TORN_WIDE }}>
          <span className="flex h-18 items-end justify-center pb-1 text-sm whitespace-nowrap text-quiet">
            {write.day(at)}
          </span>
          <Torn />
        </span>
      )}
      {children(gap)}
    </li>
  );
}

/** Left, right, first and last: from stitch to stitch. */
function moveAlong(event: KeyboardEvent<HTMLOListElement>) {
  const stitches = [...event.currentTarget.querySelectorAll<HTMLElement>('[data-stitch]')];
  const here = stitches.indexOf(document.activeElement as HTMLElement);
  const to = { ArrowLeft: here - 1, ArrowRight: here + 1, Home: 0, End: stitches.length - 1 }[
    event.key
  ];
  const target = here < 0 || to === undefined ? undefined : stitches[to];
  if (!target) return;
  event.preventDefault();
  target.focus();
}

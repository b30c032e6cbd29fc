import { ChevronDown, ChevronUp } from 'lucide-react';
import { useMemo, useState } from 'react';
import { m, write } from '../../messages/index.ts';
import { useMoney } from '../../session/useMoney.ts';
import { usePeopleById } from '../../session/usePeopleById.ts';
import { Button } from '../../ui/Button.tsx';
import { Key } from '../../ui/Key.tsx';
import { PersonMark } from '../../ui/PersonMark.tsx';
import { useJustChanged } from '../../ui/useJustChanged.ts';
import { useKeys } from '../../ui/useKeys.ts';
import { useShown, useTicket } from '../TicketContext.tsx';
import { Seam } from './Seam.tsx';
import { SeamList } from './SeamList.tsx';
import { SmallSeam } from './SmallSeam.tsx';
import { type SeamEntry, seamEntries } from './seamEntries.ts';
import { UndoButton } from './Undo.tsx';

/** So many stitches stand in the line. */
const SHOWN = 4;
/** So long the last entry is told as what was just logged. */
const TOLD_AS_NEW_MS = 6_000;

/** The history of a ticket in one line: the last entry and who made it; opened, the whole seam. */
export function HistoryLine() {
  const entries = useSeamEntries();
  const { ticket, waiting } = useShown();
  const { assessment } = useTicket();
  const people = usePeopleById();
  const [open, setOpen] = useState(false);
  useKeys({ h: () => setOpen(!open), ...(open ? { ['Escape']: () => setOpen(false) } : {}) });
  const last = entries.at(-1);
  const isNew = useJustChanged(last?.id, TOLD_AS_NEW_MS);
  const by = people.get(last?.person ?? '');
  const owes =
    ticket.status === 'open' &&
    (assessment.duties.some(({ state }) => state === 'owed') ||
      assessment.debts.some(({ settled }) => settled === undefined));
  return (
    <div className="relative hidden border-t border-rule bg-ground lg:block">
      {open && (
        <div className="absolute inset-x-0 bottom-full z-20 border-t-2 border-ink bg-ground">
          <Seam entries={entries} />
        </div>
      )}
      <div className="flex h-11 items-center gap-4 px-4">
        <SmallSeam entries={entries.slice(-SHOWN)} owes={owes} />
        {last && (
          <p className="min-w-0 truncate text-sm" aria-live="polite">
            <span className="text-quiet">
              {isNew && last.state !== 'corrected' ? m.seam.logged : write.clock(last.at)}
            </span>{' '}
            <strong className={last.state === 'corrected' ? 'line-through' : ''}>
              <bdi>{last.text}</bdi>
            </strong>
            {by && (
              <>
                <span className="ml-1">
                  <PersonMark person={by} small silent />
                </span>{' '}
                <span className="text-quiet">
                  <bdi>{by.name}</bdi>
                </span>
              </>
            )}
          </p>
        )}
        {waiting.size > 0 && (
          <p className="shrink-0 border-l-3 border-dashed border-ink pl-2 text-sm font-semibold">
            {m.seam.waitingCount(waiting.size)}
          </p>
        )}
        <div className="ml-auto flex shrink-0 items-center text-sm">
          {open && <SeamList entries={entries} people={people} />}
          <Button
            look="quiet"
            className="text-sm"
            aria-expanded={open}
            onClick={() => setOpen(!open)}
          >
            <Key>h</Key> {m.seam.history(entries.length)}
            {open ? <ChevronDown aria-hidden size={18} /> : <ChevronUp aria-hidden size={18} />}
          </Button>
          <UndoButton />
        </div>
      </div>
    </div>
  );
}

/** The ticket's entries as the seam shows them. */
function useSeamEntries(): readonly SeamEntry[] {
  const { model, assessment } = useTicket();
  const shown = useShown();
  const { currency } = useMoney();
  const people = usePeopleById();
  return useMemo(
    () =>
      seamEntries(
        shown,
        model,
        assessment,
        (minor) => write.money(minor, currency),
        (person) => people.get(person)?.name,
      ),
    [shown, model, assessment, currency, people],
  );
}

/** On a small screen: the same history, as a list. */
export function HistoryList() {
  const entries = useSeamEntries();
  const people = usePeopleById();
  return <SeamList entries={entries} people={people} label={m.seam.history(entries.length)} />;
}

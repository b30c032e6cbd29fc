import type { Day } from '@nodo/kernel';
import { type ContactOutcome, mayRecord } from '@nodo/ticket';
import { lazy, Suspense, useState } from 'react';
import { useNavigate } from 'react-router';
import { m, write } from '../../messages/index.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { useRecordElsewhere } from '../../ticket/useRecordElsewhere.ts';
import { shopClock } from '../../time/shopTime.ts';
import { Button } from '../../ui/Button.tsx';
import { type CallToMake, callAgain, OUTCOMES } from './calls.ts';

// The calendar is for who wants another day than the usual one.
const CallAgain = lazy(() => import('./CallAgain.tsx'));

/** What came of a call, as it was noted. */
export interface MadeCall {
  readonly outcome: ContactOutcome;
  /** When the customer is called again. */
  readonly again: Day | null;
  /** Ids of the entries, the first made first. */
  readonly entries: readonly string[];
}

/** What came of a call: to be noted, or noted already, to be undone or put on another day. */
export function CallOutcome({
  call: { line, about },
  made,
  onChange,
}: {
  readonly call: CallToMake;
  readonly made: MadeCall | undefined;
  readonly onChange: (made: MadeCall | undefined) => void;
}) {
  const { role } = useSession().person;
  const record = useRecordElsewhere();
  const navigate = useNavigate();
  const words = m.rack.ring;
  if (!mayRecord(role, 'contact-tried')) return null;
  const takeBack = () => {
    for (const corrects of (made?.entries ?? []).toReversed()) {
      record(line.ticket, 'entry-corrected', { corrects });
    }
  };
  const note = (outcome: ContactOutcome, again: Day | null) => {
    takeBack();
    const entries = [record(line.ticket, 'contact-tried', { about, outcome, again })];
    if (about === 'ready' && outcome === 'reached') {
      entries.push(record(line.ticket, 'customer-told', { how: 'telephone', words: '' }));
    }
    onChange({ outcome, again, entries });
  };
  if (made) {
    return (
      <Noted
        made={made}
        of={line.label}
        onDay={(day) => note(made.outcome, day)}
        onUndo={() => {
          takeBack();
          onChange(undefined);
        }}
      />
    );
  }
  return (
    <div className="flex gap-2">
      {OUTCOMES.map((outcome) => (
        <Button
          key={outcome}
          className="px-2 text-sm"
          aria-label={words.outcomeOf(words.outcome[outcome], line.label)}
          onClick={() => {
            // Their answer to a price is entered where the price stands.
            if (about === 'price' && outcome === 'reached') void navigate(`/ticket/${line.ticket}`);
            else note(outcome, callAgain(about, outcome, shopClock().day));
          }}
        >
          {words.outcome[outcome]}
        </Button>
      ))}
    </div>
  );
}

function Noted({
  made: { outcome, again },
  of,
  onDay,
  onUndo,
}: {
  readonly made: MadeCall;
  readonly of: string;
  readonly onDay: (day: Day) => void;
  readonly onUndo: () => void;
}) {
  const [isChoosing, setChoosing] = useState(false);
  const words = m.rack.ring;
  const day = again === null ? '' : write.plainDay(again);
  return (
    <div className="text-sm">
      <p role="status" className="flex min-h-11 items-center gap-1">
        <span className="flex-1">{words.noted(words.outcome[outcome], day)}</span>
        <Button look="quiet" className="text-sm" onClick={() => setChoosing(!isChoosing)}>
          {words.otherDay}
        </Button>
        <Button look="quiet" className="text-sm" onClick={onUndo}>
          {m.rack.undo}
        </Button>
      </p>
      {isChoosing && (
        <Suspense>
          <CallAgain
            of={of}
            day={again}
            onChoose={(chosen) => {
              setChoosing(false);
              onDay(chosen);
            }}
          />
        </Suspense>
      )}
    </div>
  );
}

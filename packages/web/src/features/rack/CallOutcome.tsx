import { type ContactOutcome, mayRecord } from '@nodo/ticket';
import { useNavigate } from 'react-router';
import { m, write } from '../../messages/index.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { useRecordElsewhere } from '../../ticket/useRecordElsewhere.ts';
import { shopClock } from '../../time/shopTime.ts';
import { Button } from '../../ui/Button.tsx';
import { type CallToMake, callAgain, OUTCOMES } from './calls.ts';

/** What came of a call, as it was noted. */
export interface MadeCall {
  readonly text: string;
  /** Ids of the entries, the first made first. */
  readonly entries: readonly string[];
}

/** What came of a call: to be noted, or noted already and to be undone. */
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
  if (made) {
    const undo = () => {
      for (const corrects of made.entries.toReversed()) {
        record(line.ticket, 'entry-corrected', { corrects });
      }
      onChange(undefined);
    };
    return (
      <p role="status" className="flex min-h-11 items-center gap-3 text-sm">
        <span className="flex-1">{made.text}</span>
        <Button look="quiet" onClick={undo}>
          {m.bench.undo}
        </Button>
      </p>
    );
  }
  const note = (outcome: ContactOutcome) => {
    // Their answer to a price is entered where the price stands.
    if (about === 'price' && outcome === 'reached') {
      void navigate(`/ticket/${line.ticket}`);
      return;
    }
    const again = callAgain(about, outcome, shopClock().day);
    const entries = [record(line.ticket, 'contact-tried', { about, outcome, again })];
    if (about === 'ready' && outcome === 'reached') {
      entries.push(record(line.ticket, 'customer-told', { how: 'telephone', words: '' }));
    }
    const day = again === null ? '' : write.plainDay(again);
    onChange({ text: words.noted(words.outcome[outcome], day), entries });
  };
  return (
    <div className="flex gap-2">
      {OUTCOMES.map((outcome) => (
        <Button
          key={outcome}
          className="px-2.5 text-sm"
          aria-label={words.outcomeOf(words.outcome[outcome], line.label)}
          onClick={() => note(outcome)}
        >
          {words.outcome[outcome]}
        </Button>
      ))}
    </div>
  );
}

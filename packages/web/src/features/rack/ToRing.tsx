import { CONTACT_OUTCOMES, type ContactOutcome, mayRecord } from '@nodo/ticket';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { m, write } from '../../messages/index.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { useRecordElsewhere } from '../../ticket/useRecordElsewhere.ts';
import { shopClock } from '../../time/shopTime.ts';
import { Button } from '../../ui/Button.tsx';
import { PhoneLink } from '../../ui/PhoneLink.tsx';
import { byUrgency, type CallToMake, callAgain } from './calls.ts';

/** What came of a call, noted here just now. */
interface Noted {
  readonly call: CallToMake;
  readonly text: string;
  /** Ids of the entries, the first made first. */
  readonly made: readonly string[];
}

/**
 * The customers to call, each with its reason, the number and what came of the last try. Who was called
 * just now stays in the list, with what was noted, so that nothing moves under the hand.
 */
export function ToRing({ calls }: { readonly calls: readonly CallToMake[] }) {
  const [noted, setNoted] = useState<ReadonlyMap<string, Noted>>(new Map());
  const record = useRecordElsewhere();
  const open = calls.filter(({ line }) => !noted.has(line.ticket));
  const shown = [...open, ...[...noted.values()].map(({ call }) => call)].toSorted(byUrgency);
  if (shown.length === 0) return null;
  const takeBack = ({ call, made }: Noted) => {
    for (const corrects of made.toReversed()) {
      record(call.line.ticket, 'entry-corrected', { corrects });
    }
    setNoted(new Map([...noted].filter(([ticket]) => ticket !== call.line.ticket)));
  };
  return (
    <section aria-labelledby="to-ring" className="mb-6">
      <h2 id="to-ring" className="text-lg font-bold">
        {m.rack.ring.title} <span className="font-normal text-quiet">{open.length}</span>
      </h2>
      <ul>
        {shown.map((call) => {
          const done = noted.get(call.line.ticket);
          return (
            <li key={call.line.ticket} className="border-b border-rule py-2 last:border-0">
              <Call {...call} />
              {done ? (
                <p role="status" className="flex min-h-11 items-center gap-3 pl-11 text-sm">
                  <span className="flex-1">{done.text}</span>
                  <Button look="quiet" onClick={() => takeBack(done)}>
                    {m.bench.undo}
                  </Button>
                </p>
              ) : (
                <Outcomes
                  call={call}
                  onNoted={(text, made) =>
                    setNoted(new Map([...noted, [call.line.ticket, { call, text, made }]]))
                  }
                />
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function Call({ line, about }: CallToMake) {
  const words = m.rack.ring;
  const { contact, customerName, customerPhone, promised, awaited, label, tag } = line;
  const why = words.why[about]({
    promised: promised === null ? '' : write.plainDay(promised),
    expected: awaited?.expected ? write.plainDay(awaited.expected) : '',
  });
  return (
    <div className="flex items-baseline gap-3">
      <span className="w-8 shrink-0 font-mono text-lg font-bold">{tag}</span>
      <span className="min-w-0 flex-1 break-words">
        <Link to={`/ticket/${line.ticket}`} className="font-semibold hover:underline">
          <bdi>{customerName}</bdi>
        </Link>
        <span className="block text-sm">{why}</span>
        <span className="block text-sm text-quiet">
          <bdi>{label}</bdi>
          {contact &&
            `; ${words.tried(write.moment(contact.at), m.life.contactOutcome(contact.outcome))}`}
        </span>
      </span>
      {customerPhone && <PhoneLink number={customerPhone} className="-my-2 shrink-0 text-sm" />}
    </div>
  );
}

function Outcomes({
  call: { line, about },
  onNoted,
}: {
  readonly call: CallToMake;
  readonly onNoted: (text: string, made: readonly string[]) => void;
}) {
  const { role } = useSession().person;
  const record = useRecordElsewhere();
  const navigate = useNavigate();
  const words = m.rack.ring;
  if (!mayRecord(role, 'contact-tried')) return null;
  const note = (outcome: ContactOutcome) => {
    // Their answer to a price is entered where the price stands.
    if (about === 'price' && outcome === 'reached') {
      void navigate(`/ticket/${line.ticket}`);
      return;
    }
    const again = callAgain(about, outcome, shopClock().day);
    const made = [record(line.ticket, 'contact-tried', { about, outcome, again })];
    if (about === 'ready' && outcome === 'reached') {
      made.push(record(line.ticket, 'customer-told', { how: 'telephone', words: '' }));
    }
    onNoted(words.noted(words.outcome[outcome], again === null ? '' : write.plainDay(again)), made);
  };
  return (
    <div className="mt-1.5 flex gap-2 pl-11">
      {CONTACT_OUTCOMES.map((outcome) => (
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

import { useState } from 'react';
import { Link } from 'react-router';
import { m, write } from '../../messages/index.ts';
import { PhoneLink } from '../../ui/PhoneLink.tsx';
import { Tag } from '../../ui/Tag.tsx';
import { CallOutcome, type MadeCall } from './CallOutcome.tsx';
import { byUrgency, type CallToMake } from './calls.ts';

/** A call that was noted here just now. */
interface Noted {
  readonly call: CallToMake;
  readonly made: MadeCall;
}

/**
 * The customers to call, each with its reason, the number and what came of the last try. Who was called
 * just now stays in the list, with what was noted, so that nothing moves under the hand.
 */
export function ToRing({ calls }: { readonly calls: readonly CallToMake[] }) {
  const [noted, setNoted] = useState<ReadonlyMap<string, Noted>>(new Map());
  const open = calls.filter(({ line }) => !noted.has(line.ticket));
  const shown = [...open, ...[...noted.values()].map(({ call }) => call)].toSorted(byUrgency);
  if (shown.length === 0) return null;
  const note = (call: CallToMake, made: MadeCall | undefined) => {
    const others = [...noted].filter(([ticket]) => ticket !== call.line.ticket);
    setNoted(new Map(made ? [...others, [call.line.ticket, { call, made }]] : others));
  };
  return (
    <section aria-labelledby="to-ring" className="mb-6">
      <h2 id="to-ring" className="text-lg font-semibold">
        {m.rack.ring.title} <span className="font-normal text-quiet">{open.length}</span>
      </h2>
      <ul>
        {shown.map((call) => (
          <li key={call.line.ticket} className="border-b border-rule py-2 last:border-0">
            <Call {...call} />
            <div className="pt-1">
              <CallOutcome
                call={call}
                made={noted.get(call.line.ticket)?.made}
                onChange={(made) => note(call, made)}
              />
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Call({ line, about, also }: CallToMake) {
  const words = m.rack.ring;
  const { contact, customerName, customerPhone, promised, awaited, label, tag } = line;
  const why = words.why[about]({
    promised: promised === null ? '' : write.plainDay(promised),
    expected: awaited?.expected ? write.plainDay(awaited.expected) : '',
  });
  return (
    <div className="flex items-baseline gap-3">
      <span className="w-13 shrink-0">{tag !== null && <Tag small tag={tag} />}</span>
      <span className="min-w-0 flex-1 break-words">
        <Link
          to={`/ticket/${line.ticket}`}
          className="-mt-2 -mb-2 inline-flex min-h-11 items-center font-semibold hover:underline"
        >
          <bdi>{customerName}</bdi>
        </Link>
        <span className="block text-sm">{why}</span>
        {also.length > 0 && (
          <span className="block text-sm">
            {m.rack.side.also(also.map((one) => m.rack.side.reasons[one]))}
          </span>
        )}
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

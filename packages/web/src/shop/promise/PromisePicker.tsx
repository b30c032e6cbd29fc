import type { Day } from '@nodo/kernel';
import { isReason } from '@nodo/kernel';
import { absenceOn, type DayOffer, type ShopProfile, workingTimeOf } from '@nodo/shop';
import { useState } from 'react';
import { m, write } from '../../messages/index.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { worksAtBench } from '../../session/UntilAsked.tsx';
import { usePeopleById } from '../../session/usePeopleById.ts';
import { Button } from '../../ui/Button.tsx';
import { DayField } from '../../ui/DayField.tsx';
import { TextField } from '../../ui/Field.tsx';
import { Form } from '../../ui/Form.tsx';
import { Sewing } from '../../ui/Stitches.tsx';
import { useOffers } from './useOffers.ts';
import { useWorkshop } from './useWorkshop.ts';

/** So many days are offered at once; another one can be asked for. */
const OFFERED = 3;

/** What can be promised for a machine, and why a day cannot be. */
export function PromisePicker({
  ticket,
  minutes,
  spread,
  promised,
  onPromise,
}: {
  readonly ticket?: string;
  readonly minutes: number;
  readonly spread: number;
  readonly promised: Day | undefined;
  readonly onPromise: (day: Day | null, despite?: string) => void;
}) {
  const job = { minutes, spread, ...(ticket === undefined ? {} : { ticket }) };
  const workshop = useWorkshop();
  const offers = useOffers(workshop, job);
  const people = usePeopleById();
  // Every day that is offered is sure enough; how sure, the counter is told of a day that it asks for.
  const { role } = useSession().person;
  const [asked, setAsked] = useState<Day>();
  const [why, setWhy] = useState('');
  const words = m.life.promise;
  if (!offers || !workshop) return <Sewing label={words.reckoning} />;
  if (offers.length === 0) return <p>{words.nobody}</p>;
  const good = offers.filter(({ holds }) => holds).slice(0, OFFERED);
  const offer = offers.find(({ day }) => day === asked);
  const held = offers.at(-1)?.waitsFor;
  const nameOf = (id: string) => people.get(id)?.name ?? '';
  const labelOf = (id: string) => {
    const line = workshop.rack.find((one) => one.ticket === id);
    return line ? `${line.tag ?? ''} ${line.label}` : '';
  };
  return (
    <div className="flex flex-col gap-3">
      <p className="text-sm text-quiet">
        {words.lead(write.duration(Math.round(minutes)), write.duration(Math.round(spread)))}
      </p>
      <p className="font-semibold" data-promised>
        {promised === undefined ? words.none : words.promised(write.plainDay(promised))}
      </p>
      {held && good.length === 0 && (
        <p className="font-semibold">{words.nothingYet(words.waitsFor[held])}</p>
      )}
      <ul className="flex flex-col gap-2">
        {good.map(({ day, chance, person }) => (
          <li key={day} className="flex flex-wrap items-center gap-3">
            <Button
              look={day === promised ? 'main' : 'plain'}
              aria-pressed={day === promised}
              onClick={() => onPromise(day)}
            >
              {words.promise(write.plainDay(day))}
            </Button>
            <span className="text-sm text-quiet">
              {worksAtBench(role)
                ? words.sure(write.percent(chance), nameOf(person))
                : nameOf(person)}
            </span>
          </li>
        ))}
      </ul>
      <DayField label={words.day} className="max-w-56" value={asked} onChange={setAsked} />
      {asked !== undefined &&
        (offer?.holds ? (
          <Button className="self-start" onClick={() => onPromise(asked)}>
            {words.promise(write.plainDay(asked))}
          </Button>
        ) : (
          <div role="status" className="border-l-4 border-dashed border-ink pl-3">
            <p className="font-semibold">{words.refused(write.plainDay(asked))}</p>
            <ul className="list-disc pl-6">
              {reasonsAgainst(asked, offer, workshop, nameOf, labelOf).map((reason) => (
                <li key={reason}>{reason}</li>
              ))}
            </ul>
            {offer && (
              <Form
                className="mt-2 flex flex-wrap items-end gap-3"
                onSubmit={() => {
                  if (isReason(why)) onPromise(asked, why.trim());
                }}
              >
                <TextField label={words.despite} value={why} maxLength={300} onText={setWhy} />
                <Button type="submit" lacks={!isReason(why) && m.shell.lacks.reason}>
                  {words.anyway}
                </Button>
              </Form>
            )}
          </div>
        ))}
      {promised !== undefined && (
        <Button look="quiet" className="self-start" onClick={() => onPromise(null)}>
          {words.takeBack}
        </Button>
      )}
    </div>
  );
}

interface Shop {
  readonly card: ShopProfile;
  readonly people: readonly string[];
  readonly now: { readonly day: Day };
}

/** Why a day cannot be promised, every reason there is. */
function reasonsAgainst(
  day: Day,
  offer: DayOffer | undefined,
  { card, people, now }: Shop,
  nameOf: (person: string) => string,
  labelOf: (ticket: string) => string,
): readonly string[] {
  const words = m.life.promise;
  if (day < now.day) return [words.past];
  if (!offer) return [words.tooFar];
  const absences = people.flatMap((person) => {
    const time = workingTimeOf(card, person);
    const absence = time && absenceOn(card, time, day);
    if (!absence) return [];
    if (absence.why === 'shop-closed') return [words.shopClosed(absence.words)];
    return [
      absence.why === 'off'
        ? words.off(nameOf(person), absence.words)
        : words.noShift(nameOf(person)),
    ];
  });
  if (offer.waitsFor) return [words.waitsFor[offer.waitsFor]];
  const pushed = offer.pushedLate.map(({ ticket }) => labelOf(ticket));
  return [
    ...new Set(absences),
    ...(pushed.length > 0 ? [words.pushes(pushed.join(', '))] : []),
    ...(absences.length < people.filter((one) => workingTimeOf(card, one)).length &&
    pushed.length === 0
      ? [words.unsure(write.percent(offer.chance))]
      : []),
  ];
}

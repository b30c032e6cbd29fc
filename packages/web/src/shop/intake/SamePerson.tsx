import type { Hit } from '@nodo/api';
import { useCustomerQuery, useSearchQuery } from '../../api/client.ts';
import { m, write } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { Button } from '../../ui/Button.tsx';
import { useSettled } from '../../ui/useSettled.ts';
import type { IntakeForm } from './intakeForm.ts';
import { lookedFor, samePersons } from './samePersons.ts';

type Known = Pick<IntakeForm, 'customerId' | 'customer' | 'phone' | 'reach'>;

/** Asks whether a name or number that the shop knows is the same person, and says what else of theirs is here. */
export function SamePerson({
  form,
  onSame,
}: {
  readonly form: Pick<IntakeForm, 'customer' | 'phone'>;
  readonly onSame: (known: Known) => void;
}) {
  const { byName, byNumber } = lookedFor(form);
  const [name, number] = [useSettled(byName), useSettled(byNumber)];
  const { currentData: named = [] } = useSearchQuery(name, { skip: name === '' });
  const { currentData: numbered = [] } = useSearchQuery(number, { skip: number === '' });
  const same = samePersons([...numbered, ...named], form);
  if (same.length === 0) return null;
  return (
    <ul className="mt-3 flex flex-col gap-2" aria-label={later.counter.known.samePerson}>
      {same.slice(0, 3).map((hit) => (
        <Same key={hit.id} hit={hit} onSame={onSame} />
      ))}
    </ul>
  );
}

function Same({ hit, onSame }: { readonly hit: Hit; readonly onSame: (known: Known) => void }) {
  const { currentData: file } = useCustomerQuery(hit.id);
  const words = later.counter.known;
  if (!file?.card) return null;
  const { name, phone, reach } = file.card;
  const customerId = file.mergedInto ?? hit.id;
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-l-4 border-own pl-3">
      <span className="min-w-0">
        <span className="font-semibold">
          <bdi>{words.isIt([name, phone].filter(Boolean).join(', '))}</bdi>
        </span>
        <HereOf customer={customerId} />
      </span>
      <Button onClick={() => onSame({ customerId, customer: name, phone, reach })}>
        {words.same}
      </Button>
    </li>
  );
}

/** What else of a customer is in the shop, with its tag, how it stands and since when. */
export function HereOf({ customer }: { readonly customer: string }) {
  const { currentData: file } = useCustomerQuery(customer);
  const words = later.counter.known;
  const here = (file?.tickets ?? []).filter(
    ({ tag, status }) => tag !== null && status !== 'collected',
  );
  if (here.length === 0) return null;
  return (
    <span className="block text-sm">
      {words.alsoHere(
        here
          .map(({ tag, label, standing, unrepaired, readyAt, takenInAt }) =>
            words.hereLine(
              tag ?? 0,
              label,
              m.life.standing(standing, unrepaired),
              write.day(readyAt ?? takenInAt),
            ),
          )
          .join('; '),
      )}
    </span>
  );
}

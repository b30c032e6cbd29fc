import type { MachineProfile } from '@nodo/shop';
import { useState } from 'react';
import { useMachineQuery, useSearchQuery } from '../../api/client.ts';
import { m, write } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { Button } from '../../ui/Button.tsx';
import { TextField } from '../../ui/Field.tsx';
import { useSettled } from '../../ui/useSettled.ts';
import { type TypedValue, typedValues } from './ServiceValues.tsx';

/** As long as a source may be. */
const MOST_WORDS = 120;

/** Values of another machine of the same make, taken over by hand: each says that it was copied, and from where. */
export function CopyValues({
  machine,
  card,
  values,
  onCopy,
}: {
  readonly machine: string;
  readonly card: Pick<MachineProfile, 'family' | 'model'>;
  /** What stands in the form already, and stays. */
  readonly values: readonly TypedValue[];
  readonly onCopy: (values: readonly TypedValue[]) => void;
}) {
  const [isOpen, setOpen] = useState(false);
  const [typed, setTyped] = useState(card.model);
  const [chosen, setChosen] = useState<string>();
  const letters = useSettled(typed.trim());
  const { currentData: hits = [] } = useSearchQuery(letters, { skip: !isOpen || letters === '' });
  const words = later.cards.machine.copy;
  if (!isOpen) {
    return (
      <Button className="mt-2" onClick={() => setOpen(true)}>
        {words.open}
      </Button>
    );
  }
  const others = hits.filter(
    (hit) => hit.machine !== null && hit.machine !== machine && hit.family === card.family,
  );
  return (
    <fieldset className="mt-3 border-l-4 border-own pl-3">
      <legend className="font-semibold">{words.title}</legend>
      <p className="text-sm text-quiet">{words.lead}</p>
      <TextField label={words.find} value={typed} className="mt-1 max-w-md" onText={setTyped} />
      <ul className="mt-1 flex flex-wrap gap-2">
        {others.map((hit) => (
          <li key={hit.machine}>
            <Button
              aria-pressed={hit.machine === chosen}
              onClick={() => setChosen(hit.machine ?? undefined)}
            >
              <bdi>{hit.title}</bdi> <bdi className="text-quiet">{hit.more}</bdi>
            </Button>
          </li>
        ))}
      </ul>
      {letters !== '' && others.length === 0 && <p className="text-quiet">{words.none}</p>}
      {chosen !== undefined && (
        <Offered
          id={chosen}
          values={values}
          onCopy={(copied) => {
            onCopy(copied);
            setOpen(false);
          }}
        />
      )}
    </fieldset>
  );
}

/** What the other machine has and this one lacks. */
function Offered({
  id,
  values,
  onCopy,
}: {
  readonly id: string;
  readonly values: readonly TypedValue[];
  readonly onCopy: (values: readonly TypedValue[]) => void;
}) {
  const { currentData } = useMachineQuery(id);
  const words = later.cards.machine.copy;
  if (!currentData) return null;
  const { label, service } = currentData.machine.card;
  const offered = typedValues(service).filter(
    (one) => !values.some(({ quantity }) => quantity === one.quantity),
  );
  if (offered.length === 0) return <p className="mt-1">{words.nothing}</p>;
  return (
    <>
      <ul className="mt-1">
        {offered.map(({ quantity, least, most, from }) => (
          <li key={quantity}>
            {m.life.quantity(quantity)}:{' '}
            {later.cards.machine.range(
              write.figure(Number(least)),
              write.figure(Number(most)),
              m.life.unit(quantity),
            )}{' '}
            <bdi className="text-quiet">{from}</bdi>
          </li>
        ))}
      </ul>
      <Button
        look="main"
        className="mt-2"
        onClick={() =>
          onCopy(
            offered.map((one) => ({
              ...one,
              from: words.from(label, one.from).slice(0, MOST_WORDS),
            })),
          )
        }
      >
        {words.take(offered.length)}
      </Button>
    </>
  );
}

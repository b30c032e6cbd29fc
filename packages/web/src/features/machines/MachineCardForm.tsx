import type { MachineRecord } from '@nodo/api';
import type { CallError } from '@nodo/client';
import { BOBBIN_CLASSES, BOBBIN_TURNS, SCARF_SIDES, SHIPPED } from '@nodo/knowledge';
import { MACHINE_FACTS, type MachineProfile } from '@nodo/shop';
import { MOST_NEEDLES } from '@nodo/ticket';
import { useState } from 'react';
import { toast } from 'sonner';
import { useChangeMachineMutation } from '../../api/client.ts';
import { faultWords } from '../../messages/errors.ts';
import { m } from '../../messages/index.ts';
import { instruments } from '../../messages/instruments.ts';
import { Button } from '../../ui/Button.tsx';
import { Select, TextArea, TextField } from '../../ui/Field.tsx';
import { FormError } from '../../ui/FormError.tsx';
import { ServiceValues, type TypedValue, typedValues, valuesOf } from './ServiceValues.tsx';

const FAMILIES = [...SHIPPED.knowledge.families.values()];
const EVERY_TRAIT = [...new Set(FAMILIES.flatMap(({ traits }) => traits))];

/** What is known of a machine: kind with every trait, facts, service values with their page. */
export function MachineCardForm({
  machine,
  onSaved,
}: {
  readonly machine: MachineRecord;
  readonly onSaved: () => void;
}) {
  const [card, setCard] = useState(machine.card);
  const [values, setValues] = useState<readonly TypedValue[]>(() =>
    typedValues(machine.card.service),
  );
  const [isBad, setIsBad] = useState(false);
  const [change, { isLoading, error }] = useChangeMachineMutation();
  const words = m.cards.machine;
  const family = SHIPPED.modelOf(card.family)?.family;
  const traits = card.traits ?? family?.traits ?? [];
  const set = (part: Partial<MachineProfile>) => setCard({ ...card, ...part });
  const save = async () => {
    const service = valuesOf(values);
    setIsBad(service === undefined || card.label.trim() === '');
    if (service === undefined || card.label.trim() === '') return;
    const facts = Object.fromEntries(
      Object.entries(card.facts).filter(([, text]) => text.trim() !== ''),
    );
    const result = await change({
      machine: machine.id,
      revision: machine.revision,
      customer: machine.customer,
      card: { ...card, service, facts },
    });
    if (!result.data) return;
    toast.success(words.saved);
    onSaved();
  };
  return (
    <form
      noValidate
      className="flex flex-col gap-5"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <div className="grid gap-4 md:grid-cols-2 xl:grid-cols-4">
        <TextField
          label={words.label}
          value={card.label}
          maxLength={80}
          onChange={({ target }) => set({ label: target.value })}
        />
        <Select
          label={words.kind}
          value={card.family}
          onChange={({ target }) => set({ family: target.value, traits: null })}
        >
          {FAMILIES.map(({ id, title }) => (
            <option key={id} value={id}>
              {title}
            </option>
          ))}
        </Select>
        <TextField
          label={words.model}
          value={card.model}
          maxLength={80}
          onChange={({ target }) => set({ model: target.value })}
        />
        <TextField
          label={words.serial}
          value={card.serial}
          maxLength={60}
          onChange={({ target }) => set({ serial: target.value })}
        />
      </div>
      <fieldset>
        <legend className="font-semibold">
          {words.traits}{' '}
          <span className="font-normal text-quiet">
            ({card.traits === null ? words.traitsOfFamily : words.traitsOwn})
          </span>
        </legend>
        <div className="grid gap-x-6 sm:grid-cols-2 xl:grid-cols-3">
          {EVERY_TRAIT.map((trait) => (
            <label key={trait} className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                className="size-5 accent-own"
                checked={traits.includes(trait)}
                onChange={({ target }) =>
                  set({
                    traits: target.checked
                      ? [...traits, trait]
                      : traits.filter((one) => one !== trait),
                  })
                }
              />
              {m.life.trait(trait)}
            </label>
          ))}
        </div>
        {card.traits !== null && (
          <Button look="quiet" onClick={() => set({ traits: null })}>
            {words.likeKind}
          </Button>
        )}
      </fieldset>
      <fieldset>
        <legend className="font-semibold">{words.facts}</legend>
        <div className="grid gap-4 md:grid-cols-2 xl:grid-cols-3">
          {MACHINE_FACTS.map((fact) => (
            <TextField
              key={fact}
              label={m.life.fact(fact)}
              hint={words.factHint(family?.[fact] ?? '')}
              value={card.facts[fact] ?? ''}
              maxLength={120}
              onChange={({ target }) => set({ facts: { ...card.facts, [fact]: target.value } })}
            />
          ))}
          <TextField
            label={words.needleCount}
            type="number"
            min={1}
            max={MOST_NEEDLES}
            value={card.needles}
            onChange={({ target }) =>
              set({
                needles: Math.min(MOST_NEEDLES, Math.max(1, Math.round(Number(target.value)) || 1)),
              })
            }
          />
          <Select
            label={words.bobbin}
            value={card.bobbin ?? ''}
            onChange={({ target }) =>
              set({ bobbin: BOBBIN_CLASSES.find(({ id }) => id === target.value)?.id ?? null })
            }
          >
            <option value="">{words.bobbinUnknown}</option>
            {BOBBIN_CLASSES.map(({ id, title }) => (
              <option key={id} value={id}>
                {title}
              </option>
            ))}
          </Select>
          <Select
            label={words.bobbinTurns}
            value={card.bobbinTurns ?? ''}
            onChange={({ target }) =>
              set({ bobbinTurns: BOBBIN_TURNS.find((turn) => turn === target.value) ?? null })
            }
          >
            <option value="">{words.bobbinUnknown}</option>
            {BOBBIN_TURNS.map((turn) => (
              <option key={turn} value={turn}>
                {words.turns[turn]}
              </option>
            ))}
          </Select>
          <Select
            label={words.scarf}
            value={card.scarf ?? ''}
            onChange={({ target }) =>
              set({ scarf: SCARF_SIDES.find((side) => side === target.value) ?? null })
            }
          >
            <option value="">{words.scarfOfKind}</option>
            {SCARF_SIDES.map((side) => (
              <option key={side} value={side}>
                {instruments.needle.drawing.sides[side]}
              </option>
            ))}
          </Select>
        </div>
      </fieldset>
      <ServiceValues values={values} onChange={setValues} />
      <div className="grid gap-4 md:grid-cols-2">
        <TextArea
          label={words.oil}
          rows={3}
          value={card.oilPoints}
          maxLength={1000}
          onChange={({ target }) => set({ oilPoints: target.value })}
        />
        <TextArea
          label={words.notes}
          rows={3}
          value={card.notes}
          maxLength={2000}
          onChange={({ target }) => set({ notes: target.value })}
        />
      </div>
      <FormError>
        {isBad ? words.badValue : error && !isLoading ? faultWords(error as CallError) : ''}
      </FormError>
      <Button look="main" type="submit" className="self-start" disabled={isLoading}>
        {words.save}
      </Button>
    </form>
  );
}

import type { MachineRecord } from '@nodo/api';
import { BOBBIN_CLASSES, BOBBIN_TURNS, SCARF_SIDES, SHIPPED } from '@nodo/knowledge';
import { MACHINE_FACTS, type MachineProfile, machineProfile } from '@nodo/shop';
import { MOST_NEEDLES } from '@nodo/ticket';
import { toast } from 'sonner';
import { z } from 'zod';
import { useChangeMachineMutation } from '../../api/client.ts';
import { m } from '../../messages/index.ts';
import { instruments } from '../../messages/instruments.ts';
import { later } from '../../messages/later.ts';
import { FormError } from '../../session/FormError.tsx';
import { ColourChoice } from '../../shop/intake/ColourChoice.tsx';
import { Button } from '../../ui/Button.tsx';
import { CheckBoxes } from '../../ui/CheckBox.tsx';
import { TextArea, TextField } from '../../ui/Field.tsx';
import { Form } from '../../ui/Form.tsx';
import { SaveBar } from '../../ui/SaveBar.tsx';
import { Select } from '../../ui/Select.tsx';
import { useSchemaForm } from '../../ui/useSchemaForm.ts';
import { CopyValues } from './CopyValues.tsx';
import { ServiceValues, type TypedValue, typedValues, valuesOf } from './ServiceValues.tsx';

const FAMILIES = [...SHIPPED.knowledge.families.values()];
const EVERY_TRAIT = [...new Set(FAMILIES.flatMap(({ traits }) => traits))];

/** The card with the manual's values as they are typed. */
type TypedCard = Omit<MachineProfile, 'service'> & { readonly service: readonly TypedValue[] };

const readyCard = z.pipe(
  z.transform(({ service, facts, ...card }: TypedCard): unknown => ({
    ...card,
    service: valuesOf(service),
    facts: Object.fromEntries(Object.entries(facts).filter(([, text]) => text.trim() !== '')),
  })),
  machineProfile,
);

/** What is known of a machine: kind with every trait, facts, service values with their page. */
export function MachineCardForm({
  machine,
  onLeave,
  onSaved,
}: {
  readonly machine: MachineRecord;
  /** Back to what is known; what was typed stays. */
  readonly onLeave: () => void;
  readonly onSaved: () => void;
}) {
  const {
    values: card,
    set,
    errorOf,
    isDirty,
    submit,
  } = useSchemaForm<TypedCard, MachineProfile>(readyCard, {
    ...machine.card,
    service: typedValues(machine.card.service),
  });
  const [change, { isLoading, error }] = useChangeMachineMutation();
  const words = later.cards.machine;
  const family = SHIPPED.modelOf(card.family)?.family;
  const traits = card.traits ?? family?.traits ?? [];
  const save = async (filled: MachineProfile) => {
    const { id, revision, customer } = machine;
    const result = await change({ machine: id, revision, customer, card: filled });
    if (!result.data) return;
    toast.success(words.saved);
    onSaved();
  };
  return (
    <Form noValidate className="flex flex-col gap-6" onSubmit={() => submit(save)}>
      <div className="grid gap-4 md:grid-cols-2 xl:grid-cols-4">
        <TextField
          label={words.label}
          error={errorOf('label') === undefined ? undefined : later.counter.required}
          value={card.label}
          maxLength={80}
          onText={(label) => set({ label })}
        />
        <Select
          label={words.kind}
          value={card.family}
          onChoose={(chosen) => set({ family: chosen, traits: null })}
          options={FAMILIES.map(({ id, title }) => [id, title] as const)}
        />
        <TextField
          label={words.model}
          value={card.model}
          maxLength={80}
          onText={(model) => set({ model })}
        />
        <TextField
          label={words.serial}
          value={card.serial}
          maxLength={60}
          onText={(serial) => set({ serial })}
        />
      </div>
      <ColourChoice value={card.colour} onChoose={(colour) => set({ colour })} />
      <fieldset>
        <legend className="font-semibold">
          {words.traits}{' '}
          <span className="font-normal text-quiet">
            ({card.traits === null ? words.traitsOfFamily : words.traitsOwn})
          </span>
        </legend>
        <div className="grid gap-x-6 sm:grid-cols-2 xl:grid-cols-3">
          <CheckBoxes
            options={EVERY_TRAIT.map((trait) => [trait, m.life.trait(trait)] as const)}
            ticked={traits}
            onTick={(ticked) => set({ traits: ticked })}
          />
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
              onText={(typed) => set({ facts: { ...card.facts, [fact]: typed } })}
            />
          ))}
          <TextField
            label={words.needleCount}
            type="number"
            min={1}
            max={MOST_NEEDLES}
            value={card.needles}
            onText={(typed) =>
              set({
                needles: Math.min(MOST_NEEDLES, Math.max(1, Math.round(Number(typed)) || 1)),
              })
            }
          />
          <Select
            label={words.bobbin}
            value={card.bobbin}
            onChoose={(bobbin) => set({ bobbin })}
            options={[
              [null, words.bobbinUnknown],
              ...BOBBIN_CLASSES.map(({ id, title }) => [id, title] as const),
            ]}
          />
          <Select
            label={words.bobbinTurns}
            value={card.bobbinTurns}
            onChoose={(bobbinTurns) => set({ bobbinTurns })}
            options={[
              [null, words.bobbinUnknown],
              ...BOBBIN_TURNS.map((turn) => [turn, words.turns[turn]] as const),
            ]}
          />
          <Select
            label={words.scarf}
            value={card.scarf}
            onChoose={(scarf) => set({ scarf })}
            options={[
              [null, words.scarfOfKind],
              ...SCARF_SIDES.map((side) => [side, instruments.needle.drawing.sides[side]] as const),
            ]}
          />
        </div>
      </fieldset>
      <div>
        <ServiceValues values={card.service} onChange={(service) => set({ service })} />
        <CopyValues
          machine={machine.id}
          card={card}
          values={card.service}
          onCopy={(copied) => set({ service: [...card.service, ...copied] })}
        />
      </div>
      <div className="grid gap-4 md:grid-cols-2">
        <TextArea
          label={words.oil}
          rows={3}
          value={card.oilPoints}
          maxLength={1000}
          onText={(oilPoints) => set({ oilPoints })}
        />
        <TextArea
          label={words.notes}
          rows={3}
          value={card.notes}
          maxLength={2000}
          onText={(notes) => set({ notes })}
        />
      </div>
      <SaveBar isDirty={isDirty}>
        <Button look="main" type="submit" disabled={isLoading}>
          {words.save}
        </Button>
        <Button look="quiet" onClick={onLeave}>
          {words.leave}
        </Button>
        <FormError text={errorOf('service') === undefined ? '' : words.badValue} fault={error} />
      </SaveBar>
    </Form>
  );
}

import type { MachineProfile } from '@nodo/shop';
import { QUANTITY_IDS, type Quantity } from '@nodo/ticket';
import { m } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { readNumber } from '../../messages/typed.ts';
import { Button } from '../../ui/Button.tsx';
import { NumberField, TextField } from '../../ui/Field.tsx';
import { SelectBox } from '../../ui/SelectBox.tsx';

/** A value of the manual as it is being typed. */
export interface TypedValue {
  readonly quantity: Quantity;
  readonly least: string;
  readonly most: string;
  readonly from: string;
}

export function typedValues(service: MachineProfile['service']): readonly TypedValue[] {
  return QUANTITY_IDS.flatMap((quantity) => {
    const value = service[quantity];
    if (!value) return [];
    const { least, most, from } = value;
    return [{ quantity, least: String(least), most: String(most), from }];
  });
}

/** Undefined when one of them is no range, or does not say where it is written. */
export function valuesOf(typed: readonly TypedValue[]): MachineProfile['service'] | undefined {
  const service: MachineProfile['service'] = {};
  for (const { quantity, from, ...range } of typed) {
    const [least, most] = [readNumber(range.least), readNumber(range.most)];
    if (least === undefined || most === undefined || !(least <= most) || from.trim() === '') {
      return undefined;
    }
    service[quantity] = { least, most, from: from.trim() };
  }
  return service;
}

/** The machine's own values, each with the page of the manual it stands on. */
export function ServiceValues({
  values,
  onChange,
}: {
  readonly values: readonly TypedValue[];
  readonly onChange: (values: readonly TypedValue[]) => void;
}) {
  const words = later.cards.machine;
  const left = QUANTITY_IDS.filter((id) => !values.some(({ quantity }) => quantity === id));
  const set = (quantity: Quantity, part: Partial<TypedValue>) =>
    onChange(values.map((one) => (one.quantity === quantity ? { ...one, ...part } : one)));
  return (
    <fieldset>
      <legend className="font-semibold">{words.service}</legend>
      <p className="mb-2 text-sm text-quiet">{words.serviceLead}</p>
      <ul className="flex flex-col gap-3">
        {values.map(({ quantity, least, most, from }) => {
          const name = m.life.quantity(quantity);
          const unit = m.life.unit(quantity);
          return (
            <li key={quantity} className="flex flex-wrap items-end gap-3">
              <span className="w-52 self-center font-semibold">{`${name} (${unit})`}</span>
              <NumberField
                label={words.least}
                aria-label={`${name}, ${words.least}`}
                value={least}
                className="w-24"
                onText={(typed) => set(quantity, { least: typed })}
              />
              <NumberField
                label={words.most}
                aria-label={`${name}, ${words.most}`}
                value={most}
                className="w-24"
                onText={(typed) => set(quantity, { most: typed })}
              />
              <TextField
                label={words.from}
                aria-label={`${name}, ${words.from}`}
                value={from}
                maxLength={120}
                className="min-w-44 flex-1"
                onText={(typed) => set(quantity, { from: typed })}
              />
              <Button
                look="quiet"
                onClick={() => onChange(values.filter((one) => one.quantity !== quantity))}
              >
                {words.removeValue(name)}
              </Button>
            </li>
          );
        })}
      </ul>
      {left.length > 0 && (
        <SelectBox
          aria-label={words.addValue}
          className="mt-3 px-3"
          value={null}
          onChoose={(quantity) => {
            if (quantity) onChange([...values, { quantity, least: '', most: '', from: '' }]);
          }}
          options={[
            [null, words.addValue],
            ...left.map((id) => [id, m.life.quantity(id)] as const),
          ]}
        />
      )}
    </fieldset>
  );
}

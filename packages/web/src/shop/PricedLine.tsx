import { type KeyboardEvent, useState } from 'react';
import { m } from '../messages/index.ts';
import { readWhole } from '../messages/typed.ts';
import { AmountField } from '../session/AmountField.tsx';
import { useMoney } from '../session/useMoney.ts';
import { Button } from '../ui/Button.tsx';
import { NumberField, TextField } from '../ui/Field.tsx';
import { PriceHints } from './PriceHints.tsx';

export interface Priced {
  readonly words: string;
  readonly count: number;
  readonly each: number;
}

/**
 * One line with its price, from the price list by a few letters or in free words. Stands inside of a form as well
 * as alone: Enter belongs to the line.
 * @param onAdd false keeps what is typed
 */
export function PricedLine({
  label,
  submit,
  autoFocus = false,
  onAdd,
}: {
  readonly label: string;
  readonly submit: string;
  readonly autoFocus?: boolean;
  readonly onAdd: (line: Priced) => boolean;
}) {
  const money = useMoney();
  const [typed, setTyped] = useState('');
  const [count, setCount] = useState('1');
  const [price, setPrice] = useState('');
  const words = m.life.sheet;
  const each = money.read(price);
  const many = readWhole(count) ?? 0;
  const line = typed.trim();
  const isGood = line !== '' && each !== undefined && many > 0;
  const add = () => {
    if (!isGood || !onAdd({ words: line, count: many, each })) return;
    setTyped('');
    setCount('1');
    setPrice('');
  };
  const onKeyDown = onEnter(add);
  return (
    <fieldset className="flex flex-wrap items-end gap-3" aria-label={label}>
      <TextField
        autoFocus={autoFocus}
        label={label}
        value={typed}
        maxLength={120}
        className="min-w-48 flex-1"
        onText={setTyped}
        onKeyDown={onKeyDown}
      />
      <PriceHints
        typed={typed}
        onPick={(known) => {
          setTyped(known.words);
          setPrice(money.typed(known.each));
        }}
      />
      <NumberField
        whole
        label={words.count}
        value={count}
        className="w-24"
        onText={setCount}
        onKeyDown={onKeyDown}
      />
      <AmountField
        label={words.each}
        value={price}
        className="w-32"
        onText={setPrice}
        onKeyDown={onKeyDown}
      />
      <Button lacks={!isGood && m.shell.lacks.all} onClick={add}>
        {submit}
      </Button>
    </fieldset>
  );
}

/** Enter belongs to what is typed here, not to the form around it. */
export function onEnter(act: () => void) {
  return (event: KeyboardEvent) => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    act();
  };
}

import { useState } from 'react';
import { m } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { Button } from '../../ui/Button.tsx';
import { CheckBoxes } from '../../ui/CheckBox.tsx';
import { TextArea, TextField } from '../../ui/Field.tsx';

/** What came with the machine, and how it looks from outside. */
export function Received({
  accessories,
  condition,
  onAccessories,
  onCondition,
}: {
  readonly accessories: readonly string[];
  readonly condition: string;
  readonly onAccessories: (accessories: readonly string[]) => void;
  readonly onCondition: (condition: string) => void;
}) {
  const [other, setOther] = useState('');
  const words = later.counter.received;
  const all = [...new Set([...words.usual, ...accessories])];
  const add = () => {
    const more = other.trim();
    if (more !== '' && !accessories.includes(more)) onAccessories([...accessories, more]);
    setOther('');
  };
  return (
    <fieldset className="mt-6">
      <legend className="font-semibold">{words.title}</legend>
      <div className="flex flex-wrap gap-2">
        <CheckBoxes
          options={all.map((one) => [one, <bdi key={one}>{one}</bdi>] as const)}
          ticked={accessories}
          onTick={onAccessories}
          className="gap-2 rounded-md border-2 border-edge px-3 hover:border-ink has-checked:border-ink has-checked:bg-sunk has-checked:font-semibold has-focus-visible:outline-3 has-focus-visible:outline-own"
        />
      </div>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <TextField
          label={words.other}
          value={other}
          maxLength={60}
          onText={setOther}
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return;
            event.preventDefault();
            add();
          }}
        />
        <Button onClick={add} lacks={other.trim() === '' && m.shell.lacks.text}>
          {words.add}
        </Button>
      </div>
      <TextArea
        className="mt-3"
        label={words.condition}
        rows={2}
        value={condition}
        maxLength={1000}
        onText={onCondition}
      />
    </fieldset>
  );
}

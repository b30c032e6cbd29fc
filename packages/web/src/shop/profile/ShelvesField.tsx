import { useState } from 'react';
import { later } from '../../messages/later.ts';
import { TextField } from '../../ui/Field.tsx';

/** The names of the shelves in one line, with commas between. */
export function ShelvesField({
  value,
  onChange,
}: {
  readonly value: readonly string[];
  readonly onChange: (shelves: string[]) => void;
}) {
  // A comma that was just typed would be gone if the line were made of the names again.
  const [typed, setTyped] = useState(value.join(', '));
  return (
    <TextField
      label={later.cards.shop.shelves}
      hint={later.cards.shop.shelvesHint}
      value={typed}
      maxLength={400}
      onText={(text) => {
        setTyped(text);
        onChange([...new Set(text.split(',').map((name) => name.trim()))].filter(Boolean));
      }}
    />
  );
}

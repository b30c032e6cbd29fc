import type { Day } from '@nodo/kernel';
import type { DaysOff } from '@nodo/shop';
import { X } from 'lucide-react';
import { useState } from 'react';
import { m, write } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { Button } from '../../ui/Button.tsx';
import { DayField } from '../../ui/DayField.tsx';
import { TextField } from '../../ui/Field.tsx';

/** Days on which nobody, or one person, does not work. */
export function DaysOffList({
  add,
  of = '',
  days,
  onChange,
}: {
  readonly add: string;
  /** Whose they are; nobody's in particular when left out. */
  readonly of?: string;
  readonly days: readonly DaysOff[];
  readonly onChange: (days: DaysOff[]) => void;
}) {
  const [from, setFrom] = useState<Day>();
  const [until, setUntil] = useState<Day>();
  const [why, setWhy] = useState('');
  const words = later.cards.shop;
  const last = until ?? from;
  const label = (text: string) => (of ? `${of}, ${text}` : text);
  return (
    <div>
      <ul>
        {days.map((one) => {
          const range =
            one.from === one.until
              ? write.plainDay(one.from)
              : `${write.plainDay(one.from)} – ${write.plainDay(one.until)}`;
          return (
            <li key={`${one.from} ${one.words}`} className="flex items-center gap-3">
              <span>{[range, one.words].filter(Boolean).join(', ')}</span>
              <Button
                look="quiet"
                aria-label={words.remove(range)}
                onClick={() => onChange(days.filter((other) => other !== one))}
              >
                <X aria-hidden size={20} />
              </Button>
            </li>
          );
        })}
      </ul>
      <div className="flex flex-wrap items-end gap-3">
        <DayField
          label={words.offFrom}
          aria-label={label(words.offFrom)}
          value={from}
          onChange={setFrom}
        />
        <DayField
          label={words.offUntil}
          aria-label={label(words.offUntil)}
          value={until}
          onChange={setUntil}
        />
        <TextField
          label={words.offWhy}
          aria-label={label(words.offWhy)}
          value={why}
          maxLength={80}
          onText={setWhy}
        />
        <Button
          lacks={(!from || !last || last < from) && m.shell.lacks.days}
          aria-label={label(add)}
          onClick={() => {
            if (!from || !last) return;
            onChange([...days, { from, until: last, words: why.trim() }]);
            setFrom(undefined);
            setUntil(undefined);
            setWhy('');
          }}
        >
          {add}
        </Button>
      </div>
    </div>
  );
}

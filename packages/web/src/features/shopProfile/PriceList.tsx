import type { PriceLine } from '@nodo/shop';
import { X } from 'lucide-react';
import { useState } from 'react';
import { m, readMoney, write } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { AmountField } from '../../session/AmountField.tsx';
import { Button } from '../../ui/Button.tsx';
import { TextField } from '../../ui/Field.tsx';

/** What the shop sells and does for a fixed price. */
export function PriceList({
  lines,
  currency,
  onChange,
}: {
  readonly lines: readonly PriceLine[];
  readonly currency: string;
  readonly onChange: (lines: PriceLine[]) => void;
}) {
  const [typed, setTyped] = useState('');
  const [price, setPrice] = useState('');
  const words = later.cards.shop.prices;
  const name = typed.trim();
  const each = /^[A-Z]{3}$/.test(currency) ? readMoney(price, currency) : undefined;
  const isNew = name !== '' && !lines.some((line) => line.words === name);
  return (
    <section aria-label={words.title}>
      <h2 className="text-lg font-semibold">{words.title}</h2>
      <p className="mb-2 text-quiet">{words.lead}</p>
      <ul className="max-w-140">
        {lines.map((line) => (
          <li key={line.words} className="flex items-center gap-3 border-b border-rule">
            <bdi className="min-w-0 flex-1 break-words">{line.words}</bdi>
            <span className="font-mono">
              {/^[A-Z]{3}$/.test(currency) && write.money(line.each, currency)}
            </span>
            <Button
              look="quiet"
              aria-label={later.cards.shop.remove(line.words)}
              onClick={() => onChange(lines.filter((other) => other !== line))}
            >
              <X aria-hidden size={20} />
            </Button>
          </li>
        ))}
      </ul>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <TextField
          label={words.name}
          value={typed}
          maxLength={120}
          className="min-w-56"
          onText={setTyped}
        />
        <AmountField label={words.price} value={price} className="w-32" onText={setPrice} />
        <Button
          lacks={(!isNew || each === undefined) && m.shell.lacks.all}
          onClick={() => {
            if (each === undefined) return;
            onChange([...lines, { words: name, each }]);
            setTyped('');
            setPrice('');
          }}
        >
          {words.add}
        </Button>
      </div>
    </section>
  );
}

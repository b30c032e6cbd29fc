import type { Sale } from '@nodo/api';
import { payment } from '@nodo/ticket';
import { X } from 'lucide-react';
import { useState } from 'react';
import { useMakeSaleMutation } from '../../api/client.ts';
import { m } from '../../messages/index.ts';
import { readWhole } from '../../messages/typed.ts';
import { FormError } from '../../session/FormError.tsx';
import { useMoney } from '../../session/useMoney.ts';
import { PriceHints } from '../../shop/PriceHints.tsx';
import { Button } from '../../ui/Button.tsx';
import { NumberField, TextField } from '../../ui/Field.tsx';
import { Form } from '../../ui/Form.tsx';
import { RadioBoxes } from '../../ui/RadioBoxes.tsx';

type Line = Sale['lines'][number];

/** Sells something without a ticket: lines from the price list or in free words, and how they are paid. */
export function Sell({ onSold }: { readonly onSold: () => void }) {
  const money = useMoney();
  const [lines, setLines] = useState<readonly Line[]>([]);
  const [how, setHow] = useState<Sale['how']>();
  const [sell, { isLoading, error }] = useMakeSaleMutation();
  const words = m.day.sell;
  const total = lines.reduce((sum, { count, each }) => sum + count * each, 0);
  const save = async () => {
    if (how === undefined || lines.length === 0) return;
    const sold = await sell({ id: crypto.randomUUID(), lines: [...lines], how });
    if (!sold.data) return;
    setLines([]);
    setHow(undefined);
    onSold();
  };
  return (
    <div className="flex flex-col gap-3 print:hidden">
      <AddLine onAdd={(line) => setLines(withLine(lines, line))} />
      <ul>
        {lines.map((line) => (
          <li key={`${line.words} ${line.each}`} className="flex min-h-11 items-center gap-3">
            <bdi className="flex-1">{words.line(line.count, line.words)}</bdi>
            <span className="font-mono">{money.say(line.count * line.each)}</span>
            <Button
              look="quiet"
              aria-label={m.bench.closing.takeOff(line.words)}
              onClick={() => setLines(lines.filter((other) => other !== line))}
            >
              <X aria-hidden size={18} />
            </Button>
          </li>
        ))}
      </ul>
      {lines.length > 0 && (
        <>
          <RadioBoxes
            className="flex flex-wrap gap-x-5"
            legend={words.paid(money.say(total))}
            options={payment.shape.how.options.map(
              (one) => [one, m.bench.closing.paidBy[one]] as const,
            )}
            value={how}
            onChoose={setHow}
          />
          <Button
            look="main"
            className="self-start"
            disabled={how === undefined || isLoading}
            onClick={() => void save()}
          >
            {words.save}
          </Button>
        </>
      )}
      {error !== undefined && <FormError fault={error} />}
    </div>
  );
}

/** The lines with another one; the same for the same price is counted up. */
function withLine(lines: readonly Line[], added: Line): readonly Line[] {
  const isSame = ({ words, each }: Line) => words === added.words && each === added.each;
  return lines.some(isSame)
    ? lines.map((line) => (isSame(line) ? { ...line, count: line.count + added.count } : line))
    : [...lines, added];
}

function AddLine({ onAdd }: { readonly onAdd: (line: Line) => void }) {
  const money = useMoney();
  const [typed, setTyped] = useState('');
  const [count, setCount] = useState('1');
  const [price, setPrice] = useState('');
  const words = m.day.sell;
  const each = money.read(price);
  const many = readWhole(count) ?? 0;
  const isGood = typed.trim() !== '' && each !== undefined && many > 0;
  return (
    <Form
      row
      onSubmit={() => {
        if (!isGood) return;
        onAdd({ words: typed.trim(), count: many, each });
        setTyped('');
        setCount('1');
        setPrice('');
      }}
    >
      <TextField
        label={words.what}
        value={typed}
        maxLength={120}
        className="min-w-48 flex-1"
        onText={setTyped}
      />
      <PriceHints
        typed={typed}
        onPick={(line) => {
          setTyped(line.words);
          setPrice(money.typed(line.each));
        }}
      />
      <NumberField
        whole
        label={m.life.sheet.count}
        value={count}
        className="w-24"
        onText={setCount}
      />
      <NumberField label={m.life.sheet.each} value={price} className="w-32" onText={setPrice} />
      <Button type="submit" disabled={!isGood}>
        {words.add}
      </Button>
    </Form>
  );
}

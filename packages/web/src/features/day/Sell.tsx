import type { Sale } from '@nodo/api';
import { NEW_SHOP_PROFILE, saleOf } from '@nodo/shop';
import { PAYMENT_WAYS } from '@nodo/ticket';
import { X } from 'lucide-react';
import { useState } from 'react';
import { useMakeSaleMutation, useShopQuery } from '../../api/client.ts';
import { m } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { FormError } from '../../session/FormError.tsx';
import { useMoney } from '../../session/useMoney.ts';
import { PayWays } from '../../shop/PayWays.tsx';
import { PricedLine } from '../../shop/PricedLine.tsx';
import { Button } from '../../ui/Button.tsx';

type Line = Sale['lines'][number];

/** Sells something without a ticket: lines from the price list or in free words, and how they are paid. */
export function Sell({ onSold }: { readonly onSold: () => void }) {
  const money = useMoney();
  const { card } = useShopQuery().data ?? { card: NEW_SHOP_PROFILE };
  const [lines, setLines] = useState<readonly Line[]>([]);
  const [how, setHow] = useState<Sale['how']>();
  const [sell, { isLoading, error }] = useMakeSaleMutation();
  const words = later.day.sell;
  const { total } = saleOf(lines, card);
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
      <PricedLine
        label={words.what}
        submit={words.add}
        onAdd={(line) => {
          setLines(withLine(lines, line));
          return true;
        }}
      />
      <ul>
        {lines.map((line) => (
          <li key={`${line.words} ${line.each}`} className="flex min-h-11 items-center gap-3">
            <bdi className="flex-1">{m.life.sheet.counted(line.count, line.words)}</bdi>
            <span className="font-mono">{money.say(line.count * line.each)}</span>
            <Button
              look="quiet"
              aria-label={later.bench.closing.takeOff(line.words)}
              onClick={() => setLines(lines.filter((other) => other !== line))}
            >
              <X aria-hidden size={18} />
            </Button>
          </li>
        ))}
      </ul>
      {lines.length > 0 && (
        <>
          <PayWays
            legend={words.paid(money.say(total))}
            ways={PAYMENT_WAYS}
            value={how}
            onChoose={setHow}
          />
          <Button
            look="main"
            className="self-start"
            disabled={isLoading}
            lacks={how === undefined && m.shell.lacks.choice}
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

import { standingBill } from '@nodo/shop';
import { mayRecord } from '@nodo/ticket';
import { X } from 'lucide-react';
import { useState } from 'react';
import { useBillsQuery } from '../../../api/client.ts';
import { m } from '../../../messages/index.ts';
import { later } from '../../../messages/later.ts';
import { AmountField } from '../../../session/AmountField.tsx';
import { useSession } from '../../../session/SessionContext.tsx';
import { useMoney } from '../../../session/useMoney.ts';
import { onEnter, PricedLine } from '../../../shop/PricedLine.tsx';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { Button } from '../../../ui/Button.tsx';

/** The parts on the bill, and those that went in and wait for their price. A bill that is handed over is not touched. */
export function ClosingParts({ left }: { readonly left: readonly string[] }) {
  const { ticket, record } = useTicket();
  const { role } = useSession().person;
  const { data: bills } = useBillsQuery(ticket.id);
  const money = useMoney();
  const words = later.bench.closing;
  const { parts } = ticket.life;
  // Not before it is known whether a bill stands.
  const mayChange = mayRecord(role, 'part-fitted') && bills !== undefined && !standingBill(bills);
  const priced = mayChange ? left : [];
  if (parts.length === 0 && !mayChange) return null;
  return (
    <section aria-label={words.parts}>
      {parts.length + priced.length > 0 && <h2 className="font-semibold">{words.parts}</h2>}
      <ul>
        {parts.map(({ entry, words: part, count, each }) => (
          <li key={entry} className="flex min-h-11 items-center gap-3">
            <bdi className="flex-1">{m.life.sheet.counted(count, part)}</bdi>
            <span className="font-mono">{money.say(count * each)}</span>
            {mayChange && (
              <Button
                look="quiet"
                aria-label={words.takeOff(part)}
                onClick={() => record('entry-corrected', { corrects: entry })}
              >
                <X aria-hidden size={18} />
              </Button>
            )}
          </li>
        ))}
        {priced.map((part) => (
          <li key={part}>
            <PriceOf part={part} />
          </li>
        ))}
      </ul>
      {mayChange && <AddLine />}
    </section>
  );
}

/** Another line of the bill: from the price list by a few letters, or in free words. */
function AddLine() {
  const { record } = useTicket();
  const [isOpen, setOpen] = useState(false);
  const words = later.bench.closing;
  if (!isOpen) {
    return (
      <Button look="quiet" className="px-0" onClick={() => setOpen(true)}>
        {words.openLine}
      </Button>
    );
  }
  return (
    <PricedLine
      autoFocus
      label={words.line}
      submit={words.addLine}
      onAdd={(line) => record('part-fitted', line)}
    />
  );
}

/** A part that went in: it goes on the bill with its price. */
function PriceOf({ part }: { readonly part: string }) {
  const { record } = useTicket();
  const [price, setPrice] = useState('');
  const money = useMoney();
  const words = later.bench.closing;
  const each = money.read(price);
  const add = () => {
    if (each !== undefined) record('part-fitted', { words: part, count: 1, each });
  };
  return (
    <div className="flex items-end gap-3">
      <AmountField
        className="w-40"
        label={words.priceOfPart(part)}
        value={price}
        onText={setPrice}
        onKeyDown={onEnter(add)}
      />
      <Button
        className="shrink-0 whitespace-nowrap"
        lacks={each === undefined && m.shell.lacks.amount}
        onClick={add}
      >
        {words.addPart}
      </Button>
    </div>
  );
}

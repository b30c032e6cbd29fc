import type { Day } from '@nodo/kernel';
import { mayRecord, type PartAwaited } from '@nodo/ticket';
import { useState } from 'react';
import { m, write } from '../../../messages/index.ts';
import { AmountField } from '../../../session/AmountField.tsx';
import { useSession } from '../../../session/SessionContext.tsx';
import { useMoney } from '../../../session/useMoney.ts';
import { PricedLine } from '../../../shop/PricedLine.tsx';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { Button } from '../../../ui/Button.tsx';
import { DayField } from '../../../ui/DayField.tsx';
import { TextField } from '../../../ui/Field.tsx';
import { Form } from '../../../ui/Form.tsx';

/** Parts that are waited for, and parts that went in. */
export function PartsPart() {
  const { ticket, record } = useTicket();
  const session = useSession();
  const { life, status } = ticket;
  const money = useMoney();
  const words = m.life.sheet;
  const { role } = session.person;
  const mayWork = status === 'open' && mayRecord(role, 'part-awaited');
  const mayReceive = status === 'open' && mayRecord(role, 'part-came');
  const mayFit = status === 'open' && mayRecord(role, 'part-fitted');
  return (
    <div className="flex flex-col gap-4">
      <ul>
        {life.awaits
          .filter(({ came }) => !came)
          .map(({ id, part, expected }) => (
            <li key={id} className="flex flex-wrap items-center gap-3">
              <span className="font-semibold">
                {words.awaited(part, expected === null ? '' : write.plainDay(expected))}
              </span>
              {mayReceive && (
                <Button onClick={() => record('part-came', { awaited: id })}>{words.came}</Button>
              )}
            </li>
          ))}
        {life.awaits
          .filter(({ came, fitted }) => came && !fitted)
          .map((part) => (
            <li key={part.id}>{mayFit ? <Arrived {...part} /> : words.arrived(part.part)}</li>
          ))}
        {life.parts.map((part, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: parts have no other name and stay in order
          <li key={index} className="py-1">
            {words.fitted(part.count, part.words, money.say(part.count * part.each))}
          </li>
        ))}
      </ul>
      {mayWork && <Order />}
      {mayFit && (
        <PricedLine
          label={words.fitTitle}
          submit={words.fit}
          onAdd={(line) => record('part-fitted', line)}
        />
      )}
    </div>
  );
}

/** A part that was ordered and came: it goes in with its own name, and its price where that is known. */
function Arrived({ id, part, each: known }: PartAwaited) {
  const { record } = useTicket();
  const money = useMoney();
  const [price, setPrice] = useState(known === undefined ? '' : money.typed(known));
  const words = m.life.sheet;
  const each = money.read(price);
  return (
    <Form
      row
      aria-label={words.arrived(part)}
      onSubmit={() => {
        if (each !== undefined) {
          record('part-fitted', { words: part, count: 1, each, awaited: id });
        }
      }}
    >
      <span className="self-center font-semibold">{words.arrived(part)}</span>
      <AmountField label={words.each} value={price} className="w-32" onText={setPrice} />
      <Button type="submit" lacks={each === undefined && m.shell.lacks.amount}>
        {words.fitNow}
      </Button>
    </Form>
  );
}

function Order() {
  const { record } = useTicket();
  const [part, setPart] = useState('');
  const [expected, setExpected] = useState<Day>();
  const [price, setPrice] = useState('');
  const money = useMoney();
  const each = money.read(price);
  const words = m.life.sheet;
  const isGood = part.trim() !== '' && (price.trim() === '' || each !== undefined);
  return (
    <Form
      row
      aria-label={words.awaitTitle}
      onSubmit={() => {
        if (!isGood) return;
        const order = { part: part.trim(), expected: expected ?? null };
        if (record('part-awaited', { ...order, ...(each === undefined ? {} : { each }) })) {
          setPart('');
          setPrice('');
        }
      }}
    >
      <TextField
        label={words.awaitTitle}
        value={part}
        maxLength={120}
        className="min-w-56 flex-1"
        onText={setPart}
      />
      <DayField label={words.expected} value={expected} onChange={setExpected} />
      <AmountField label={words.eachIfKnown} value={price} className="w-44" onText={setPrice} />
      <Button type="submit" lacks={!isGood && m.shell.lacks.text}>
        {words.order}
      </Button>
    </Form>
  );
}

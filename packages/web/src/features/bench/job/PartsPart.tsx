import type { Day } from '@nodo/kernel';
import { mayRecord } from '@nodo/ticket';
import { useState } from 'react';
import { m, write } from '../../../messages/index.ts';
import { readWhole } from '../../../messages/typed.ts';
import { useSession } from '../../../session/SessionContext.tsx';
import { useMoney } from '../../../session/useMoney.ts';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { Button } from '../../../ui/Button.tsx';
import { DayField } from '../../../ui/DayField.tsx';
import { NumberField, TextField } from '../../../ui/Field.tsx';
import { Form } from '../../../ui/Form.tsx';

/** Parts that are waited for, and parts that went in. */
export function PartsPart() {
  const { ticket, record } = useTicket();
  const session = useSession();
  const { life, status } = ticket;
  const money = useMoney();
  const words = m.life.sheet;
  const mayWork = status === 'open' && mayRecord(session.person.role, 'part-awaited');
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
              {mayWork && (
                <Button onClick={() => record('part-came', { awaited: id })}>{words.came}</Button>
              )}
            </li>
          ))}
        {life.parts.map((part, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: parts have no other name and stay in order
          <li key={index} className="py-1">
            {words.fitted(part.count, part.words, money.say(part.count * part.each))}
          </li>
        ))}
      </ul>
      {mayWork && (
        <>
          <Order />
          <Fit />
        </>
      )}
    </div>
  );
}

function Order() {
  const { record } = useTicket();
  const [part, setPart] = useState('');
  const [expected, setExpected] = useState<Day>();
  const words = m.life.sheet;
  return (
    <Form
      row
      aria-label={words.awaitTitle}
      onSubmit={() => {
        if (part.trim() === '') return;
        if (record('part-awaited', { part: part.trim(), expected: expected ?? null })) setPart('');
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
      <Button type="submit" disabled={part.trim() === ''}>
        {words.order}
      </Button>
    </Form>
  );
}

function Fit() {
  const { record } = useTicket();
  const [part, setPart] = useState('');
  const [count, setCount] = useState('1');
  const [price, setPrice] = useState('');
  const money = useMoney();
  const words = m.life.sheet;
  const each = money.read(price);
  const many = readWhole(count) ?? 0;
  const isGood = part.trim() !== '' && each !== undefined && many > 0;
  return (
    <Form
      row
      aria-label={words.fitTitle}
      onSubmit={() => {
        if (!isGood) return;
        if (record('part-fitted', { words: part.trim(), count: many, each })) {
          setPart('');
          setPrice('');
        }
      }}
    >
      <TextField
        label={words.fitTitle}
        value={part}
        maxLength={120}
        className="min-w-56 flex-1"
        onText={setPart}
      />
      <NumberField whole label={words.count} value={count} className="w-24" onText={setCount} />
      <NumberField label={words.each} value={price} className="w-32" onText={setPrice} />
      <Button type="submit" disabled={!isGood}>
        {words.fit}
      </Button>
    </Form>
  );
}

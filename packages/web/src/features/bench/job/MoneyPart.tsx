import { NEW_SHOP_PROFILE } from '@nodo/shop';
import { mayRecord, minutesWorked, type Spoken } from '@nodo/ticket';
import { useState } from 'react';
import { useShopQuery } from '../../../api/client.ts';
import { m } from '../../../messages/index.ts';
import { readWhole } from '../../../messages/typed.ts';
import { AmountField } from '../../../session/AmountField.tsx';
import { useSession } from '../../../session/SessionContext.tsx';
import { useMoney } from '../../../session/useMoney.ts';
import { SpokenSelect } from '../../../shop/SpokenSelect.tsx';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { Button } from '../../../ui/Button.tsx';
import { NumberField, TextField } from '../../../ui/Field.tsx';
import { Form } from '../../../ui/Form.tsx';
import { PriceAgreed } from './PriceAnswered.tsx';
import { GoesBackUnrepaired } from './Unrepaired.tsx';

/** Limit, question and answer, bill. */
export function MoneyPart() {
  const { ticket } = useTicket();
  const session = useSession();
  const { life, status } = ticket;
  const money = useMoney();
  const words = m.life.sheet;
  const isOpen = status === 'open';
  const isAsked = life.asked !== undefined && !life.asked.answer;
  const { role } = session.person;
  return (
    <div className="flex flex-col gap-4">
      <div>
        {life.limit === undefined && <p>{words.noLimit}</p>}
        <PriceAgreed isAskedBeside={isOpen && isAsked} />
      </div>
      {isOpen && (isAsked ? <PriceAnswer /> : <Ask />)}
      {isOpen && ticket.intake?.tag !== undefined && mayRecord(role, 'ticket-closed') && (
        <GoesBackUnrepaired />
      )}
      {ticket.intake?.tag !== undefined && isOpen && <PriceForm />}
      {life.bill && (
        <p className="text-lg font-semibold" data-bill>
          {(life.bill.rates.taxIncluded ? words.billed : words.billedPlus)(
            money.say(life.bill.total),
            money.say(life.bill.tax),
          )}
        </p>
      )}
    </div>
  );
}

function Ask() {
  const { record } = useTicket();
  const [amount, setAmount] = useState('');
  const [what, setWhat] = useState('');
  const money = useMoney();
  const words = m.life.sheet;
  const minor = money.read(amount);
  return (
    <Form
      row
      aria-label={words.askTitle}
      onSubmit={() => {
        if (minor === undefined || what.trim() === '') return;
        if (record('price-asked', { amount: minor, words: what.trim() })) {
          setAmount('');
          setWhat('');
        }
      }}
    >
      <AmountField label={words.amount} value={amount} className="w-40" onText={setAmount} />
      <TextField
        label={words.forWhat}
        value={what}
        maxLength={1000}
        className="min-w-64 flex-1"
        onText={setWhat}
      />
      <Button
        type="submit"
        lacks={(minor === undefined || what.trim() === '') && m.shell.lacks.all}
      >
        {words.ask}
      </Button>
    </Form>
  );
}

/** What the customer says to the price that is asked; nothing while none is. */
export function PriceAnswer() {
  const { ticket, record } = useTicket();
  const money = useMoney();
  const [how, setHow] = useState<Spoken>('telephone');
  const [said, setSaid] = useState('');
  const words = m.life.sheet;
  const { asked } = ticket.life;
  if (!asked || asked.answer) return null;
  const answer = (agreed: boolean) => record('price-answered', { agreed, how, words: said.trim() });
  return (
    <div className="flex flex-col gap-3 border-l-4 border-own pl-3">
      <p className="font-semibold">{words.asked(money.say(asked.amount), asked.words)}</p>
      <div className="flex flex-wrap items-end gap-3">
        <SpokenSelect label={words.how} className="w-52" how={how} onChange={setHow} />
        <TextField
          label={words.theirWords}
          value={said}
          maxLength={1000}
          className="min-w-64 flex-1"
          onText={setSaid}
        />
      </div>
      <div className="flex flex-wrap gap-3">
        <Button look="main" onClick={() => answer(true)}>
          {words.saidYes}
        </Button>
        <Button onClick={() => answer(false)}>{words.saidNo}</Button>
      </div>
    </div>
  );
}

/** Works out the price from the minutes that are charged: those of the clock and those written down, unless others are typed. */
function PriceForm() {
  const { ticket, record } = useTicket();
  const worked = Math.round(minutesWorked(ticket.life));
  const [typed, setTyped] = useState<string>();
  const { card } = useShopQuery().data ?? { card: NEW_SHOP_PROFILE };
  const words = m.life.sheet;
  const minutes = typed === undefined ? worked : readWhole(typed);
  const isWhole = minutes !== undefined && minutes <= 10_000;
  return (
    <Form
      row
      aria-label={words.billTitle}
      onSubmit={() => {
        if (!isWhole) return;
        const { hour, taxPerMille, taxIncluded, leastFee, currency } = card;
        record('bill-made', {
          labourMinutes: minutes,
          rates: { hour, taxPerMille, taxIncluded, leastFee },
          currency,
        });
      }}
    >
      <NumberField
        whole
        label={words.charged}
        value={typed ?? String(worked)}
        className="w-44"
        onText={setTyped}
      />
      <Button type="submit" lacks={!isWhole && m.shell.lacks.number}>
        {words.bill}
      </Button>
    </Form>
  );
}

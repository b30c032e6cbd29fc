import { PAYMENT_WAYS, type PaymentWay } from '@nodo/ticket';
import { useState } from 'react';
import { m, write } from '../../../messages/index.ts';
import { later } from '../../../messages/later.ts';
import { useMoney } from '../../../session/useMoney.ts';
import { PayWays } from '../../../shop/PayWays.tsx';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { Button } from '../../../ui/Button.tsx';
import { Form } from '../../../ui/Form.tsx';

/** What was paid and given back so far, each with its undo until the customer has the machine. */
export function PaidSoFar() {
  const { ticket, record } = useTicket();
  const money = useMoney();
  const words = later.handOut;
  return (
    <ul>
      {ticket.life.payments.map(({ entry, amount, how, at }) => {
        const text = (amount < 0 ? words.gaveBack : words.took)(
          money.say(Math.abs(amount)),
          later.bench.closing.paidBy[how],
          write.moment(at),
        );
        return (
          <li key={entry} className="flex min-h-11 flex-wrap items-center gap-x-3">
            {text}
            {ticket.status !== 'collected' && (
              <Button
                look="quiet"
                aria-label={words.undoPayment(text)}
                onClick={() => record('entry-corrected', { corrects: entry })}
              >
                {later.bench.undo}
              </Button>
            )}
          </li>
        );
      })}
    </ul>
  );
}

/** Takes what is still due, or gives back what was paid too much: by which way. */
export function PayOrReturn({
  amount,
  entry,
}: {
  readonly amount: number;
  readonly entry: 'payment-taken' | 'payment-returned';
}) {
  const { record } = useTicket();
  const money = useMoney();
  const [how, setHow] = useState<PaymentWay>();
  const words = later.handOut[entry];
  return (
    <Form row onSubmit={() => how && record(entry, { how, amount })}>
      <PayWays
        legend={words.legend(money.say(amount))}
        ways={PAYMENT_WAYS}
        value={how}
        onChoose={setHow}
      />
      <Button type="submit" lacks={how === undefined && m.shell.lacks.choice}>
        {words.save}
      </Button>
    </Form>
  );
}

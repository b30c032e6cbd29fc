import { dueOf } from '@nodo/ticket';
import { useState } from 'react';
import { m } from '../../../messages/index.ts';
import { useMoney } from '../../../session/useMoney.ts';
import { useUndo } from '../../../ticket/seam/Undo.tsx';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { Button } from '../../../ui/Button.tsx';
import { Form } from '../../../ui/Form.tsx';
import { RadioBoxes } from '../../../ui/RadioBoxes.tsx';
import { BillActions } from '../closing/BillActions.tsx';
import { PriceForm } from '../job/MoneyPart.tsx';
import { PAID_WAYS, type PaidWay } from './payment.ts';

/** What can still be done once the customer has the machine: price, bill, payment. */
export function AfterHandOut() {
  const { life } = useTicket().ticket;
  return (
    <div className="mt-3 flex flex-col items-start gap-4">
      {dueOf(life) > 0 && <TakePayment due={dueOf(life)} />}
      <div className="flex flex-wrap items-center gap-3">
        {life.bill ? <BillActions onBefore={(go) => go()} /> : <PriceForm />}
      </div>
    </div>
  );
}

/** As long as nothing was entered after it, by whoever handed it out. */
export function UndoHandOut() {
  const undo = useUndo();
  if (!undo) return null;
  return (
    <Button look="quiet" onClick={undo}>
      {m.handOut.undo}
    </Button>
  );
}

function TakePayment({ due }: { readonly due: number }) {
  const { record } = useTicket();
  const money = useMoney();
  const [how, setHow] = useState<PaidWay>();
  const words = m.handOut;
  return (
    <Form row onSubmit={() => how && record('payment-taken', { how, amount: due })}>
      <RadioBoxes
        className="flex flex-wrap gap-x-5"
        legend={words.due(money.say(due))}
        options={PAID_WAYS.map((one) => [one, m.bench.closing.paidBy[one]] as const)}
        value={how}
        onChoose={setHow}
      />
      <Button type="submit" disabled={how === undefined}>
        {words.payLater}
      </Button>
    </Form>
  );
}

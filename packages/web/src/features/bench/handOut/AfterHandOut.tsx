import { standingBill } from '@nodo/shop';
import { dueOf, lastAct, overpaidOf } from '@nodo/ticket';
import { useId, useState } from 'react';
import { useBillsQuery } from '../../../api/client.ts';
import { m } from '../../../messages/index.ts';
import { later } from '../../../messages/later.ts';
import { useSession } from '../../../session/SessionContext.tsx';
import { useUndo } from '../../../ticket/seam/Undo.tsx';
import { useShown, useTicket } from '../../../ticket/TicketContext.tsx';
import { Button } from '../../../ui/Button.tsx';
import { Form } from '../../../ui/Form.tsx';
import { BillActions } from '../closing/BillActions.tsx';
import { PriceFields } from '../closing/PriceFields.tsx';
import { useClosingSheet } from '../closing/useClosingSheet.ts';
import { PaidSoFar, PayOrReturn } from './Payments.tsx';

/** What can still be done once the customer has the machine: price, bill, payment, money back. */
export function AfterHandOut() {
  const { life, id } = useTicket().ticket;
  const { data: bills } = useBillsQuery(id);
  const due = dueOf(life);
  const overpaid = overpaidOf(life);
  return (
    <div className="mt-3 flex flex-col items-start gap-4">
      {life.payments.length > 1 && <PaidSoFar />}
      {due > 0 && <PayOrReturn amount={due} entry="payment-taken" />}
      {overpaid > 0 && <PayOrReturn amount={overpaid} entry="payment-returned" />}
      {life.bill && (
        <div className="flex flex-wrap items-center gap-3">
          <BillActions onBefore={(go) => go()} />
        </div>
      )}
      {/* Not before it is known whether a bill says what it was. */}
      {bills && !standingBill(bills) && <PriceAfterwards />}
    </div>
  );
}

/** The price, where none was worked out, or once the bill that said it was taken back by a credit. */
function PriceAfterwards() {
  const { life } = useTicket().ticket;
  const [isAsked, setAsked] = useState(false);
  const sheet = useClosingSheet();
  const id = useId();
  const words = later.handOut;
  if (life.bill && !isAsked) {
    return (
      <Button look="quiet" onClick={() => setAsked(true)}>
        {words.otherPrice}
      </Button>
    );
  }
  return (
    <Form
      id={id}
      noValidate
      aria-label={m.life.sheet.billTitle}
      className="flex flex-col items-start gap-3"
      onSubmit={() => sheet.save(() => setAsked(false))}
    >
      <PriceFields sheet={sheet} />
      <Button type="submit">{words.savePrice}</Button>
    </Form>
  );
}

/** As long as nothing was entered after it, by whoever handed it out or took the money. */
export function UndoHandOut() {
  const undo = useUndo();
  const { ticket } = useShown();
  const { person } = useSession();
  const [latest] = lastAct(ticket, person.id);
  if (!undo || !latest) return null;
  return (
    <Button look="quiet" onClick={undo}>
      {latest.type === 'machine-collected' ? later.handOut.undo : later.bench.undo}
    </Button>
  );
}

import { isReason } from '@nodo/kernel';
import { labelsOn, standingBill } from '@nodo/shop';
import { dueOf, type RackEntry } from '@nodo/ticket';
import { useState } from 'react';
import { useBillsQuery } from '../../../api/client.ts';
import { later } from '../../../messages/later.ts';
import { FormError } from '../../../session/FormError.tsx';
import { useMoney } from '../../../session/useMoney.ts';
import { PayWays } from '../../../shop/PayWays.tsx';
import { SignaturePad } from '../../../ticket/photo/SignaturePad.tsx';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { Button } from '../../../ui/Button.tsx';
import { CheckBoxes } from '../../../ui/CheckBox.tsx';
import { TextField } from '../../../ui/Field.tsx';
import { Form } from '../../../ui/Form.tsx';
import { Modal } from '../../../ui/Modal.tsx';
import { RadioBoxes } from '../../../ui/RadioBoxes.tsx';
import { OnOneBill } from './OnOneBill.tsx';
import { PaidSoFar } from './Payments.tsx';
import { ProposedPrice } from './ProposedPrice.tsx';
import { PAID_NOW, type PaidNow } from './payment.ts';
import { useHandOut } from './useHandOut.ts';

/** The customer takes the machine: what goes with it, what is paid, bill or the reason for none, a signature if wanted. */
export default function HandOut({ onClose }: { readonly onClose: () => void }) {
  const { ticket } = useTicket();
  const { life, intake } = ticket;
  const { data: bills = [], isLoading: isReading } = useBillsQuery(ticket.id);
  const money = useMoney();
  const { step, fault, handOut } = useHandOut(onClose);
  const [givenBack, setGivenBack] = useState<readonly string[]>([]);
  const [paid, setPaid] = useState<PaidNow>();
  const [also, setAlso] = useState<readonly RackEntry[]>([]);
  const [withBill, setWithBill] = useState(true);
  const [why, setWhy] = useState('');
  const [isSigning, setSigning] = useState(false);
  const [signature, setSignature] = useState<Blob>();
  const words = later.handOut;
  const standing = standingBill(bills);
  const canBill = life.bill !== undefined;
  const issuesBill = !standing && canBill && withBill;
  // Machines on the same bill are paid with it.
  const together = issuesBill ? also : [];
  const own = dueOf(life);
  const due = together.reduce((sum, line) => sum + (line.due ?? 0), own);
  const wantsReason = !standing && (!canBill || !withBill);
  const missing = life.accessories.filter((one) => !givenBack.includes(one));
  /** What is still to be said before it can be handed over. */
  const lacks =
    due > 0 && paid === undefined
      ? words.lacks.paid
      : wantsReason && !isReason(why)
        ? words.lacks.why
        : // A second bill over what a bill stands for already would be refused.
          isReading
          ? words.lacks.bill
          : undefined;
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onClose()}
      title={words.title(intake?.tag ?? 0, intake?.label ?? '')}
      closeLabel={words.close}
    >
      <Form
        className="flex flex-col gap-6 overflow-y-auto pr-2"
        onSubmit={() => {
          if (lacks) return;
          void handOut({
            givenBack,
            paidBy: due > 0 && paid !== 'not-yet' ? paid : undefined,
            due: own,
            also: together.map((line) => ({ ticket: line.ticket, due: line.due ?? 0 })),
            issuesBill,
            withoutBill: wantsReason ? why.trim() : undefined,
            signature,
          });
        }}
      >
        {life.accessories.length > 0 && (
          <fieldset>
            <legend className="font-semibold">{words.giveBack}</legend>
            <CheckBoxes
              options={life.accessories.map((one) => [one, <bdi key={one}>{one}</bdi>] as const)}
              ticked={givenBack}
              onTick={setGivenBack}
            />
          </fieldset>
        )}
        {issuesBill && <OnOneBill chosen={also} onChoose={setAlso} />}
        <div>
          {life.bill ? (
            <p className="text-lg font-semibold" data-due>
              {due > 0 ? words.due(money.say(due)) : words.nothingDue(money.say(life.bill.total))}
            </p>
          ) : (
            <ProposedPrice />
          )}
          <PaidSoFar />
          {due > 0 && (
            <PayWays legend={words.paid} ways={PAID_NOW} value={paid} onChoose={setPaid} />
          )}
        </div>
        {standing ? (
          <p>{later.bench.closing.issued(standing.number, labelsOn(standing.content))}</p>
        ) : (
          <div>
            {canBill && (
              <RadioBoxes
                className="flex flex-wrap gap-x-6"
                legend={words.bill}
                options={[
                  ['with', words.withBill],
                  ['without', words.withoutBill],
                ]}
                value={withBill ? 'with' : 'without'}
                onChoose={(one) => setWithBill(one === 'with')}
              />
            )}
            {wantsReason && (
              <TextField
                label={words.whyNoBill}
                hint={words.later}
                value={why}
                maxLength={300}
                onText={setWhy}
              />
            )}
          </div>
        )}
        {isSigning ? (
          <SignaturePad signed={signature} onSigned={setSignature} />
        ) : (
          <Button look="quiet" className="self-start" onClick={() => setSigning(true)}>
            {words.sign}
          </Button>
        )}
        {missing.length > 0 && givenBack.length > 0 && (
          <p className="font-semibold">{words.missing(missing.join(', '))}</p>
        )}
        <FormError fault={fault} />
        <Button
          type="submit"
          look="main"
          className="min-h-14"
          disabled={step !== 'form'}
          lacks={step === 'form' && lacks}
        >
          {step === 'form' ? words.done : words.sending}
        </Button>
      </Form>
    </Modal>
  );
}

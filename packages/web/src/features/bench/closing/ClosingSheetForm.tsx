import { mayRecord, paidBy } from '@nodo/ticket';
import { useId, useState } from 'react';
import { m, write } from '../../../messages/index.ts';
import { later } from '../../../messages/later.ts';
import { useSession } from '../../../session/SessionContext.tsx';
import { useMoney } from '../../../session/useMoney.ts';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { Button } from '../../../ui/Button.tsx';
import { TextArea } from '../../../ui/Field.tsx';
import { Form } from '../../../ui/Form.tsx';
import { BillActions } from './BillActions.tsx';
import { ClosingParts } from './ClosingParts.tsx';
import { PriceFields } from './PriceFields.tsx';
import { useClosingSheet } from './useClosingSheet.ts';

/** What the customer learns and pays; everything is filled in already and can be corrected until they have the machine. */
export function ClosingSheetForm() {
  const { ticket } = useTicket();
  const { role } = useSession().person;
  const sheet = useClosingSheet();
  const { form, partsLeft, isSaved, save } = sheet;
  const [isChanging, setChanging] = useState(false);
  const { values, set } = form;
  const id = useId();
  const words = later.bench.closing;
  const mayWrite = mayRecord(role, 'closing-noted') && ticket.status === 'closed';
  if (!mayWrite) return <Written />;
  // What is saved is read; it is asked for to be changed. A part without its price still waits for one.
  const isRead = isSaved && !isChanging && partsLeft.length === 0;
  return (
    <>
      {isRead ? (
        <Written />
      ) : (
        <Form
          id={id}
          noValidate
          aria-label={words.title}
          className="mt-4 flex flex-col gap-4"
          onSubmit={() => save(() => setChanging(false))}
        >
          <div className="grid gap-x-6 gap-y-3 @2xl:grid-cols-2">
            <div className="flex flex-col gap-3">
              {(['found', 'done', 'helps'] as const).map((one) => (
                <TextArea
                  key={one}
                  label={words[one]}
                  rows={one === 'helps' ? 3 : 2}
                  maxLength={1000}
                  value={values[one]}
                  onText={(text) => set({ [one]: text })}
                />
              ))}
            </div>
            <div className="flex flex-col gap-3">
              <ClosingParts left={partsLeft} />
              <PriceFields sheet={sheet} />
            </div>
          </div>
        </Form>
      )}
      <div className="mt-3 flex flex-wrap items-center gap-3">
        {isRead ? (
          <Button onClick={() => setChanging(true)}>{words.change}</Button>
        ) : (
          <Button type="submit" form={id}>
            {words.save}
          </Button>
        )}
        <BillActions onBefore={(go) => void save(go)} />
      </div>
    </>
  );
}

/** The sheet as it was saved, to be read. */
function Written() {
  const { ticket } = useTicket();
  const money = useMoney();
  const { closingSheet, bill, parts } = ticket.life;
  const words = later.bench.closing;
  if (!closingSheet) return null;
  const facts = [
    [words.found, closingSheet.found],
    [words.done, closingSheet.done],
    [words.helps, closingSheet.helps],
    [
      words.parts,
      parts.map(({ count, words: part }) => m.life.sheet.counted(count, part)).join(', '),
    ],
    [words.price, bill ? money.say(bill.total) : ''],
    [words.minutes, bill ? write.minutes(bill.labourMinutes) : ''],
    [words.paid, words.paidBy[paidBy(ticket.life)]],
  ] as const;
  return (
    <dl className="mt-4 grid grid-cols-[max-content_1fr] gap-x-6 gap-y-2">
      {facts
        .filter(([, text]) => text !== '')
        .map(([name, text]) => (
          <div key={name} className="contents">
            <dt className="text-quiet">{name}</dt>
            <dd className="break-words">
              <bdi>{text}</bdi>
            </dd>
          </div>
        ))}
    </dl>
  );
}

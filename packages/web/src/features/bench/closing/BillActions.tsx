import { pathTo } from '@nodo/api';
import { labelsOn, standingBill } from '@nodo/shop';
import { useEffect, useEffectEvent, useState } from 'react';
import { useBillsQuery, useIssueBillMutation } from '../../../api/client.ts';
import { later } from '../../../messages/later.ts';
import { FormError } from '../../../session/FormError.tsx';
import { useShown, useTicket } from '../../../ticket/TicketContext.tsx';
import { Button } from '../../../ui/Button.tsx';
import { PaperLink } from '../../../ui/PaperLink.tsx';
import { ReasonForm } from '../../../ui/ReasonForm.tsx';

/** The bill: handed over with its number, printed, corrected by a credit. */
export function BillActions({
  onBefore,
}: {
  /** Saves what is not saved yet, then goes on. */
  readonly onBefore: (go: () => void) => void;
}) {
  const { ticket } = useTicket();
  const { waiting } = useShown();
  const { data: bills = [], isLoading: isReading } = useBillsQuery(ticket.id);
  const [issue, { isLoading, error }] = useIssueBillMutation();
  const [isWanted, setWanted] = useState(false);
  const [isCrediting, setCrediting] = useState(false);
  const words = later.bench.closing;
  const standing = standingBill(bills);

  const send = useEffectEvent((kind: 'bill' | 'credit', reason: string) => {
    void issue({ ticket: ticket.id, id: crypto.randomUUID(), kind, reason });
  });
  // The bill says what the shop has: first everything of this screen must have got there.
  const isReady = isWanted && waiting.size === 0;
  useEffect(() => {
    if (!isReady) return;
    setWanted(false);
    send('bill', '');
  }, [isReady]);

  const paper = (kind: 'bill' | 'credit', text: string) => (
    <PaperLink href={pathTo('readPaper', { ticket: ticket.id, paper: kind })}>{text}</PaperLink>
  );
  const credit = bills.findLast(({ kind }) => kind === 'credit');
  return (
    <>
      {!standing && (
        <Button
          disabled={isWanted || isLoading || isReading}
          onClick={() => onBefore(() => setWanted(true))}
        >
          {isWanted || isLoading ? words.issuing : words.issue}
        </Button>
      )}
      {standing && (
        <>
          <p data-issued>
            <strong>{words.issued(standing.number, labelsOn(standing.content))}</strong>
          </p>
          {paper('bill', words.print)}
          {!isCrediting && (
            <Button look="quiet" onClick={() => setCrediting(true)}>
              {words.credit}
            </Button>
          )}
        </>
      )}
      {credit && !standing && (
        <>
          <p>{words.credited(credit.number, credit.of ?? 0)}</p>
          {paper('credit', words.printCredit)}
        </>
      )}
      {isCrediting && standing && (
        <ReasonForm
          label={words.creditWhy}
          submit={words.credit}
          onSubmit={(reason) => {
            setCrediting(false);
            void issue({ ticket: ticket.id, id: crypto.randomUUID(), kind: 'credit', reason });
          }}
        />
      )}
      {error !== undefined && <FormError fault={error} />}
    </>
  );
}

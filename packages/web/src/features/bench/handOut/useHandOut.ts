import type { CallError } from '@nodo/client';
import type { Payment } from '@nodo/ticket';
import { useEffect, useEffectEvent, useState } from 'react';
import { call, useIssueBillMutation } from '../../../api/client.ts';
import { bytesOf } from '../../../ticket/photo/drawPhoto.ts';
import { useShown, useTicket } from '../../../ticket/TicketContext.tsx';

export interface Handing {
  /** Of what came with it, what goes back. */
  readonly givenBack: readonly string[];
  readonly payment: Payment | undefined;
  readonly issuesBill: boolean;
  /** Why it goes without a bill, where it does. */
  readonly withoutBill: string | undefined;
  readonly signature: Blob | undefined;
}

/**
 * Hands a machine out: signature and payment, then the bill with its number, and last the entry that the customer
 * has it. What fails before that leaves the machine in the shop, and can be tried again.
 */
export function useHandOut(onDone: () => void) {
  const { ticket, record } = useTicket();
  const { waiting } = useShown();
  const [issue] = useIssueBillMutation();
  const [state, setState] = useState<{
    readonly step: 'form' | 'sending' | 'billing';
    readonly handing?: Handing;
    readonly fault?: CallError;
  }>({ step: 'form' });

  const giveOut = ({ givenBack, withoutBill }: Handing) => {
    const body = { givenBack: [...givenBack], ...(withoutBill ? { withoutBill } : {}) };
    if (record('machine-collected', body)) onDone();
    else setState({ step: 'form' });
  };
  const bill = useEffectEvent(async (handing: Handing) => {
    const issued = await issue({
      ticket: ticket.id,
      id: crypto.randomUUID(),
      kind: 'bill',
      reason: '',
    });
    if (issued.data) giveOut(handing);
    else setState({ step: 'form', fault: issued.error as CallError });
  });
  // The bill says what the shop has: first everything of this screen must have got there.
  const isSent = state.step === 'billing' && waiting.size === 0;
  const { handing } = state;
  useEffect(() => {
    if (isSent && handing) void bill(handing);
  }, [isSent, handing]);

  return {
    step: state.step,
    fault: state.fault,
    handOut: async (given: Handing): Promise<void> => {
      const { signature, payment, issuesBill } = given;
      setState({ step: 'sending' });
      if (signature) {
        const kept = await call({
          name: 'keepPhoto',
          params: { ticket: ticket.id },
          body: await bytesOf(signature),
        });
        if ('error' in kept) {
          setState({ step: 'form', fault: kept.error });
          return;
        }
        record('signed', { photo: kept.data.photo, what: 'collected' });
      }
      if (payment) record('payment-taken', payment);
      if (issuesBill) setState({ step: 'billing', handing: given });
      else giveOut(given);
    },
  };
}

import type { CallError } from '@nodo/client';
import type { PaymentWay } from '@nodo/ticket';
import { useEffect, useEffectEvent, useState } from 'react';
import { call, useAppSelector, useIssueBillMutation } from '../../../api/client.ts';
import { actInstant } from '../../../ticket/actInstant.ts';
import { bytesOf } from '../../../ticket/photo/drawPhoto.ts';
import { useShown, useTicket } from '../../../ticket/TicketContext.tsx';
import { useRecordElsewhere } from '../../../ticket/useRecordElsewhere.ts';

export interface Handing {
  /** Of what came with it, what goes back. */
  readonly givenBack: readonly string[];
  /** Undefined where nothing is paid now. */
  readonly paidBy: PaymentWay | undefined;
  /** What this machine still costs. */
  readonly due: number;
  /** Further machines on the same bill, and what they still cost. */
  readonly also: readonly { readonly ticket: string; readonly due: number }[];
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
  const entries = useAppSelector(({ outbox }) => outbox.entries);
  const recordElsewhere = useRecordElsewhere();
  const [issue] = useIssueBillMutation();
  const [state, setState] = useState<{
    readonly step: 'form' | 'sending' | 'billing';
    readonly handing?: Handing;
    readonly at?: string;
    readonly fault?: CallError;
  }>({ step: 'form' });

  const giveOut = ({ givenBack, withoutBill }: Handing, at: string) => {
    const body = { givenBack: [...givenBack], ...(withoutBill ? { withoutBill } : {}) };
    if (record('machine-collected', body, at)) onDone();
    else setState({ step: 'form' });
  };
  const bill = useEffectEvent(async (handing: Handing, at: string) => {
    const issued = await issue({
      ticket: ticket.id,
      id: crypto.randomUUID(),
      kind: 'bill',
      reason: '',
      also: handing.also.map(({ ticket }) => ticket),
    });
    if (issued.data) giveOut(handing, at);
    else setState({ step: 'form', fault: issued.error as CallError });
  });
  // The bill says what the shop has: first everything of this screen must have got there.
  const { handing, at } = state;
  const others = handing?.also.map(({ ticket }) => ticket) ?? [];
  const isSent =
    state.step === 'billing' &&
    waiting.size === 0 &&
    !entries.some(({ ticket }) => others.includes(ticket));
  useEffect(() => {
    if (isSent && handing && at !== undefined) void bill(handing, at);
  }, [isSent, handing, at]);

  return {
    step: state.step,
    fault: state.fault,
    handOut: async (given: Handing): Promise<void> => {
      const { signature, paidBy, due, also, issuesBill } = given;
      // All of it is one act of the hand, and is undone as one.
      const at = actInstant();
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
        record('signed', { photo: kept.data.photo, what: 'collected' }, at);
      }
      if (paidBy) {
        if (due > 0) record('payment-taken', { how: paidBy, amount: due }, at);
        for (const other of also.filter((one) => one.due > 0)) {
          recordElsewhere(other.ticket, 'payment-taken', { how: paidBy, amount: other.due });
        }
      }
      if (issuesBill) setState({ step: 'billing', handing: given, at });
      else giveOut(given, at);
    },
  };
}

import { billOf, money } from '@nodo/core';
import { closingWordsOf, NEW_SHOP_PROFILE } from '@nodo/shop';
import { type ClosingSheet, closingProposal } from '@nodo/ticket';
import { useMemo, useState } from 'react';
import { useShopQuery } from '../../../api/client.ts';
import { readWhole } from '../../../messages/typed.ts';
import { useTicket } from '../../../ticket/TicketContext.tsx';

/** Most minutes that a bill can name. */
const MOST_MINUTES = 10_000;

/** The closing sheet as it is being written: what was saved, else what the ticket's own entries propose. */
export function useClosingSheet() {
  const { ticket, model, record } = useTicket();
  const { life } = ticket;
  const { card } = useShopQuery().data ?? { card: NEW_SHOP_PROFILE };
  const proposed = useMemo(() => closingProposal(ticket, model), [ticket, model]);
  const { unrepaired: isUnrepaired, ...begun } = closingWordsOf(ticket, model);
  const [changed, setChanged] = useState<Partial<ClosingSheet>>({});
  const [typed, setTyped] = useState<string>();
  const sheet = { ...begun, ...changed };
  // What goes back as it came is charged only as far as somebody writes it.
  const usual = isUnrepaired ? 0 : proposed.minutes;
  const minutesText = typed ?? String(life.bill?.labourMinutes ?? usual);
  const read = readWhole(minutesText);
  const minutes = read !== undefined && read <= MOST_MINUTES ? read : undefined;
  const rates = {
    hour: card.hour,
    taxPerMille: card.taxPerMille,
    taxIncluded: card.taxIncluded,
    leastFee: isUnrepaired ? 0 : card.leastFee,
  };
  const price =
    minutes === undefined
      ? undefined
      : billOf(
          minutes,
          life.parts.map((part) => ({ ...part, each: money(part.each) })),
          { ...rates, hour: money(rates.hour), leastFee: money(rates.leastFee) },
        );
  const isSaved =
    life.closingSheet !== undefined &&
    price !== undefined &&
    life.bill?.total === price.total &&
    life.bill.labourMinutes === minutes &&
    Object.keys(changed).length === 0;
  return {
    sheet,
    /** Parts that went in and are not on the bill. */
    partsLeft: proposed.parts,
    set: (part: Partial<ClosingSheet>) => setChanged({ ...changed, ...part }),
    minutesText,
    setMinutes: setTyped,
    /** Where the proposed minutes are from; undefined once somebody wrote their own. */
    minutesFrom:
      typed === undefined && life.bill === undefined && !isUnrepaired
        ? proposed.isByClock
          ? ('clock' as const)
          : ('work' as const)
        : undefined,
    price,
    isSaved,
    /** Both in one act; false, with the reason shown, where the rules refuse it. */
    save: (): boolean => {
      if (minutes === undefined) return false;
      const isKept =
        record('bill-made', { labourMinutes: minutes, rates, currency: card.currency }) &&
        record('closing-noted', sheet);
      if (isKept) setChanged({});
      return isKept;
    },
  };
}

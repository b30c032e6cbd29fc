import { billOf, money as minor } from '@nodo/core';
import { isReason } from '@nodo/kernel';
import { closingWordsOf, NEW_SHOP_PROFILE } from '@nodo/shop';
import { closingProposal, closingSheet } from '@nodo/ticket';
import { useEffect, useEffectEvent, useMemo } from 'react';
import { z } from 'zod';
import { useShopQuery } from '../../../api/client.ts';
import { later } from '../../../messages/later.ts';
import { readWhole } from '../../../messages/typed.ts';
import { useMoney } from '../../../session/useMoney.ts';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { useSchemaForm } from '../../../ui/useSchemaForm.ts';

/** Most minutes that a bill can name. */
const MOST_MINUTES = 10_000;

const error = later.bench.closing.badMinutes;

/** The sheet as it may be saved. @param readMoney reads an amount in the shop's currency */
function readySheet(readMoney: (typed: string) => number | undefined) {
  const words = later.bench.closing.off;
  return closingSheet
    .extend({
      minutes: z
        .string()
        .transform(readWhole)
        .pipe(z.number({ error }).max(MOST_MINUTES, { error })),
      off: z.string(),
      offWhy: z.string(),
    })
    .transform(({ off, offWhy, ...sheet }, context) => {
      if (off.trim() === '') return { ...sheet, discount: undefined };
      const amount = readMoney(off);
      const reason = offWhy.trim();
      if (amount === undefined) {
        context.addIssue({ code: 'custom', path: ['off'], message: words.badAmount });
      }
      if (!isReason(reason)) {
        context.addIssue({ code: 'custom', path: ['offWhy'], message: words.noReason });
      }
      return { ...sheet, discount: { amount: amount ?? 0, reason } };
    });
}

/** The closing sheet as it is being written: what was saved, else what the ticket's own entries propose. */
export function useClosingSheet() {
  const { ticket, model, record } = useTicket();
  const { life } = ticket;
  const { card } = useShopQuery().data ?? { card: NEW_SHOP_PROFILE };
  const proposed = useMemo(() => closingProposal(ticket, model), [ticket, model]);
  const { unrepaired: isUnrepaired, why: _, ...texts } = closingWordsOf(ticket, model);
  // What goes back as it came is charged only as far as somebody writes it.
  const usual = isUnrepaired ? 0 : proposed.minutes;
  const money = useMoney();
  const taken = life.bill?.discount;
  const begun = {
    ...texts,
    // What is paid stands in entries of its own: the sheet keeps what older pages wrote on it, no more.
    paid: life.closingSheet?.paid ?? 'not-yet',
    minutes: String(life.bill?.labourMinutes ?? usual),
    off: taken ? money.typed(taken.amount) : '',
    offWhy: taken?.reason ?? '',
  };
  const schema = useMemo(() => readySheet(money.read), [money.read]);
  const form = useSchemaForm(schema, begun);
  const { values, isDirty } = form;

  // What is proposed, or saved by somebody else, stands there until it is changed here.
  const beginAgain = useEffectEvent(() => {
    if (!isDirty) form.reset(begun);
  });
  const begunText = JSON.stringify(begun);
  useEffect(() => {
    if (begunText !== '') beginAgain();
  }, [begunText]);

  const rates = {
    hour: card.hour,
    taxPerMille: card.taxPerMille,
    taxIncluded: card.taxIncluded,
    // What was looked at and not repaired costs what was agreed for the look.
    leastFee: isUnrepaired ? (life.inspectionFee ?? 0) : card.leastFee,
  };
  const minutes = readWhole(values.minutes);
  const off = values.off.trim() === '' ? 0 : money.read(values.off);
  const price =
    minutes === undefined || minutes > MOST_MINUTES || off === undefined
      ? undefined
      : billOf(
          minutes,
          life.parts.map((part) => ({ ...part, each: minor(part.each) })),
          { ...rates, hour: minor(rates.hour), leastFee: minor(rates.leastFee) },
          minor(off),
        );
  // What the customer was told of the work stays as it was when they took it; the price may still change.
  const isGone = ticket.status === 'collected';
  const isSaved =
    (isGone || life.closingSheet !== undefined) &&
    price !== undefined &&
    life.bill?.total === price.total &&
    life.bill.labourMinutes === minutes &&
    !isDirty;
  return {
    form,
    /** Parts that went in and are not on the bill. */
    partsLeft: proposed.parts,
    /** Where the proposed minutes are from; undefined once somebody wrote their own. */
    minutesFrom:
      values.minutes === String(usual) && life.bill === undefined && !isUnrepaired
        ? proposed.isByClock
          ? ('clock' as const)
          : ('work' as const)
        : undefined,
    price,
    isSaved,
    /**
     * Saves sheet and price in one act, unless they are saved already, and goes on. Where the form or the
     * rules refuse it, the reason is shown.
     */
    save: async (onSaved?: () => void): Promise<void> => {
      if (isSaved) {
        onSaved?.();
        return;
      }
      await form.submit(({ minutes: labourMinutes, discount, ...sheet }) => {
        const price = { labourMinutes, rates, currency: card.currency };
        const isKept =
          record('bill-made', discount ? { ...price, discount } : price) &&
          (isGone || record('closing-noted', sheet));
        if (!isKept) return;
        form.reset(form.now());
        onSaved?.();
      });
    },
  };
}

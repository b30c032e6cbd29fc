import { daysBetween } from '@nodo/kernel';
import { NEW_SHOP_PROFILE } from '@nodo/shop';
import { useState } from 'react';
import { useMachineQuery, useShopQuery } from '../../../api/client.ts';
import { write } from '../../../messages/index.ts';
import { later } from '../../../messages/later.ts';
import { AmountField } from '../../../session/AmountField.tsx';
import { useMoney } from '../../../session/useMoney.ts';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { shopDayOf } from '../../../time/shopTime.ts';
import { Button } from '../../../ui/Button.tsx';
import { TextField } from '../../../ui/Field.tsx';
import type { useClosingSheet } from './useClosingSheet.ts';

/** What is taken off the price, with its reason; all of it where the shop's warranty covers the repair. */
export function TakenOff({
  form: { values, set, errorOf },
  whole,
}: {
  readonly form: ReturnType<typeof useClosingSheet>['form'];
  /** The price before anything is taken off. */
  readonly whole: number;
}) {
  const money = useMoney();
  const warranty = useWarranty();
  const [isAsked, setAsked] = useState(false);
  const words = later.bench.closing.off;
  const isOpen = isAsked || values.off !== '' || values.offWhy !== '';
  return (
    <div className="flex flex-col gap-2">
      {warranty && (
        <p className="flex flex-wrap items-center gap-3">
          {warranty.isOver ? words.over(warranty.day) : words.covered(warranty.day)}
          {!warranty.isOver && whole > 0 && (
            <Button
              onClick={() => set({ off: money.typed(whole), offWhy: words.warranty(warranty.day) })}
            >
              {words.chargeNothing}
            </Button>
          )}
        </p>
      )}
      {isOpen ? (
        <div className="flex flex-wrap items-end gap-3">
          <AmountField
            className="w-32"
            label={words.amount}
            error={errorOf('off')}
            value={values.off}
            onText={(off) => set({ off })}
          />
          <TextField
            className="min-w-40 flex-1"
            label={words.why}
            maxLength={300}
            error={errorOf('offWhy')}
            value={values.offWhy}
            onText={(offWhy) => set({ offWhy })}
          />
        </div>
      ) : (
        <Button look="quiet" className="self-start px-0" onClick={() => setAsked(true)}>
          {words.title}
        </Button>
      )}
    </div>
  );
}

/** Of a machine that came back: when the earlier repair was fetched, and whether the shop's warranty is over. */
function useWarranty(): { readonly day: string; readonly isOver: boolean } | undefined {
  const { ticket } = useTicket();
  const { machine, comebackOf } = ticket.life;
  const { data: file } = useMachineQuery(machine ?? '', {
    skip: machine === undefined || comebackOf === undefined,
  });
  const { warrantyDays } = useShopQuery().data?.card ?? NEW_SHOP_PROFILE;
  const earlier = file?.visits.find(({ line }) => line.ticket === comebackOf)?.line;
  const came = ticket.entries[0]?.receivedAt;
  if (!earlier?.collectedAt || came === undefined) return undefined;
  const days = daysBetween(shopDayOf(earlier.collectedAt), shopDayOf(came));
  return { day: write.day(earlier.collectedAt), isOver: days > warrantyDays };
}

import type { DayOffer, ShopPlan, Workshop } from '@nodo/shop';
import { useEffect, useMemo, useState } from 'react';
import type { AskedJob } from '../../workers/promise.worker.ts';
import { promiseWorker, useWorkshop } from './useWorkshop.ts';

/**
 * What the worker says to a question; undefined until the first answer, and the one before
 * while it computes.
 * @param ask the same function as long as the question is the same.
 */
function useAnswer<Answer>(ask: (() => Promise<Answer>) | undefined): Answer | undefined {
  const [answered, setAnswered] = useState<{ readonly answer: Answer }>();
  useEffect(() => {
    if (!ask) return undefined;
    const over = { is: false };
    ask()
      .then((answer) => {
        if (!over.is) setAnswered({ answer });
      })
      .catch((fault: unknown) => console.error('The promises could not be computed', fault));
    return () => {
      over.is = true;
    };
  }, [ask]);
  return answered?.answer;
}

/** The days that could be promised for a machine, the soonest first. */
export function useOffers(
  workshop: Workshop | undefined,
  { ticket, minutes, spread }: AskedJob,
): readonly DayOffer[] | undefined {
  const ask = useMemo(() => {
    if (!workshop) return undefined;
    const job = { minutes, spread, ...(ticket === undefined ? {} : { ticket }) };
    return () => promiseWorker().offers(workshop, job);
  }, [workshop, ticket, minutes, spread]);
  return useAnswer(ask);
}

/** What was last planned on this page: it stands until the next plan is there, so that nothing moves. */
let lastPlan: ShopPlan | null | undefined;

/** Who is best to do what next. Null when nobody works at the benches. */
export function useShopPlan(): ShopPlan | null | undefined {
  const workshop = useWorkshop();
  const ask = useMemo(
    () =>
      workshop &&
      (async () => {
        lastPlan = (await promiseWorker().plan(workshop)) ?? null;
        return lastPlan;
      }),
    [workshop],
  );
  return useAnswer(ask) ?? lastPlan;
}

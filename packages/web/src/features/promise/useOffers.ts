import type { DayOffer, ShopPlan } from '@nodo/contract';
import { useEffect, useState } from 'react';
import type { AskedJob } from '../../workers/promise.worker.ts';
import { promiseWorker, useWorkshop } from './useWorkshop.ts';

/** What the worker says to a question, the latest asked; undefined while it reckons. */
function useAnswer<Answer>(
  key: string | undefined,
  ask: () => Promise<Answer>,
): Answer | undefined {
  const [answered, setAnswered] = useState<{ readonly key: string; readonly answer: Answer }>();
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key says everything of the question
  useEffect(() => {
    if (key === undefined) return undefined;
    const over = { is: false };
    ask()
      .then((answer) => {
        if (!over.is) setAnswered({ key, answer });
      })
      .catch((fault: unknown) => console.error('The promises could not be reckoned', fault));
    return () => {
      over.is = true;
    };
  }, [key]);
  return answered?.answer;
}

/** The days that could be promised for a machine, the soonest first. */
export function useOffers(job: AskedJob): readonly DayOffer[] | undefined {
  const workshop = useWorkshop();
  const key = workshop && JSON.stringify([workshop, job]);
  return useAnswer(key, () =>
    workshop ? promiseWorker().offers(workshop, job) : Promise.reject(new Error('nothing read')),
  );
}

/** Who is best to do what next. Null when nobody works at the benches. */
export function useShopPlan(): ShopPlan | null | undefined {
  const workshop = useWorkshop();
  const key = workshop && JSON.stringify(workshop);
  return useAnswer(key, async () =>
    workshop ? ((await promiseWorker().plan(workshop)) ?? null) : null,
  );
}

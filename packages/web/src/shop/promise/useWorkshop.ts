import type { Workshop } from '@nodo/shop';
import { mayWorkAtBench } from '@nodo/ticket';
import { type Remote, wrap } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import { usePeopleQuery, useRackQuery, useShopQuery } from '../../api/client.ts';
import { shopClock } from '../../time/shopTime.ts';
import type { Promises } from '../../workers/promise.worker.ts';

let worker: Remote<Promises> | undefined;

export function promiseWorker(): Remote<Promises> {
  worker ??= wrap<Promises>(
    new Worker(new URL('../../workers/promise.worker.ts', import.meta.url), { type: 'module' }),
  );
  return worker;
}

/** Time goes on; what is planned moves with it. */
const LOOK_AT_CLOCK_MS = 5 * 60_000;

/** Everything that a promise hangs on; undefined until it is read. */
export function useWorkshop(): Workshop | undefined {
  const { data: rack } = useRackQuery();
  const { data: shop } = useShopQuery();
  const { data: people } = usePeopleQuery();
  const [now, setNow] = useState(shopClock);
  useEffect(() => {
    const timer = setInterval(() => setNow(shopClock()), LOOK_AT_CLOCK_MS);
    return () => clearInterval(timer);
  }, []);
  return useMemo(() => {
    if (!rack || !shop || !people) return undefined;
    const atBenches = people.filter(({ role, locked }) => mayWorkAtBench(role) && !locked);
    return { rack, card: shop.card, people: atBenches.map(({ id }) => id), now };
  }, [rack, shop, people, now]);
}

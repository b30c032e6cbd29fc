import { defer, NOTHING_DEFERRED } from '@nodo/ticket';
import { useMemo, useState } from 'react';
import { m } from '../../messages/index.ts';
import type { LocalAct } from '../../ticket/seam/Undo.tsx';
import { useTicket } from '../../ticket/TicketContext.tsx';
import { causeName } from '../../ticket/words.ts';

/** What can be put off: a check, or the repair of a cause. */
export type PutOff = { readonly check: string } | { readonly cause: string };

/** What was put off on this screen, in its order; each can be undone, or taken up again. */
export function useDeferred() {
  const { model } = useTicket();
  const [acts, setActs] = useState<readonly { readonly at: string; readonly what: PutOff }[]>([]);
  const deferred = useMemo(
    () => acts.reduce((all, { what }) => defer(all, what), NOTHING_DEFERRED),
    [acts],
  );
  const last = acts.at(-1);
  const latest: LocalAct | undefined = last && {
    at: last.at,
    text: m.bench.step.notNowOf(
      'check' in last.what
        ? (model.checks.get(last.what.check)?.title ?? last.what.check)
        : causeName(model, last.what.cause),
    ),
    undo: () => setActs(acts.slice(0, -1)),
  };
  return {
    deferred,
    latest,
    /** Changes with everything that was put off or taken up again. */
    count: acts.length,
    putOff: (what: PutOff) => setActs([...acts, { at: new Date().toISOString(), what }]),
    takeUp: (check: string) =>
      setActs(acts.filter(({ what }) => !('check' in what && what.check === check))),
  };
}

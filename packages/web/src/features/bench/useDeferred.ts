import type { PutOff } from '@nodo/knowledge';
import { defer, NOTHING_DEFERRED } from '@nodo/ticket';
import { useMemo, useState } from 'react';
import { later } from '../../messages/later.ts';
import type { LocalAct } from '../../ticket/seam/Undo.tsx';
import { useTicket } from '../../ticket/TicketContext.tsx';
import { causeName } from '../../ticket/words.ts';

/** What was put off on this screen, in its order; each can be undone, or taken up again. */
export function useDeferred() {
  const { model } = useTicket();
  const nameOf = (what: PutOff) => {
    if ('check' in what) return model.checks.get(what.check)?.title ?? what.check;
    if ('action' in what) return model.actions.get(what.action)?.title ?? what.action;
    return causeName(model, what.cause);
  };
  const [acts, setActs] = useState<readonly { readonly at: string; readonly what: PutOff }[]>([]);
  const deferred = useMemo(
    () => acts.reduce((all, { what }) => defer(all, what), NOTHING_DEFERRED),
    [acts],
  );
  const last = acts.at(-1);
  const latest: LocalAct | undefined = last && {
    at: last.at,
    text: later.bench.step.notNowOf(nameOf(last.what)),
    undo: () => setActs(acts.slice(0, -1)),
  };
  return {
    deferred,
    latest,
    /** Changes with everything that was put off or taken up again. */
    count: acts.length,
    putOff: (what: PutOff) => setActs([...acts, { at: new Date().toISOString(), what }]),
    takeUp: (again: PutOff) => setActs(acts.filter(({ what }) => !isSame(what, again))),
  };
}

function isSame(one: PutOff, other: PutOff): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}

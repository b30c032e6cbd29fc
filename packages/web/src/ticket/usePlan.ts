import { useEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import type { TicketPlan } from '../workers/planner.worker.ts';
import { askPlanner, keyOf } from './planner.ts';
import { useShown } from './TicketContext.tsx';

/** So soon after the first proposal a better one may take its place: no hand has moved yet. */
const HAND_MS = 250;

interface Known {
  readonly key: string;
  readonly plan: TicketPlan | 'failed';
}

/**
 * The proposals for the ticket as it stands: a first one at once, then the full reckoning,
 * which changes the order only as long as no hand can have moved. `plan` is undefined while there is
 * none, so that nobody taps an answer to yesterday's question.
 */
export function usePlan(): {
  readonly plan: TicketPlan | undefined;
  readonly planFailed: boolean;
} {
  const {
    ticket: { id: ticket },
    events,
    changes,
  } = useShown();
  const [known, setKnown] = useState<Known>();
  const key = keyOf(ticket, events, changes);

  const latest = useRef({ events, changes });
  useEffect(() => {
    latest.current = { events, changes };
  });
  useEffect(() => {
    let overtaken = false;
    let shownAt = Number.POSITIVE_INFINITY;
    const show = (plan: TicketPlan | 'failed') => {
      // The key names the events that the plan was made for.
      if (!overtaken) setKnown((before) => ({ key, plan: settled(plan, before, key, shownAt) }));
    };
    const { quick, full } = askPlanner(ticket, latest.current.events, latest.current.changes);
    quick.then(
      (plan) => {
        // Somebody waits for it: before whatever else has come in meanwhile.
        flushSync(() => show(plan));
        shownAt = performance.now();
      },
      () => undefined,
    );
    full.then(show, () => show('failed'));
    return () => {
      overtaken = true;
    };
  }, [ticket, key]);

  const plan = known?.key === key ? known.plan : undefined;
  return { plan: plan === 'failed' ? undefined : plan, planFailed: plan === 'failed' };
}

/** A plan that comes late keeps what already stands before the hand, and explains it. */
function settled(
  plan: TicketPlan | 'failed',
  before: Known | undefined,
  key: string,
  shownAt: number,
): TicketPlan | 'failed' {
  if (before === undefined || before.plan === 'failed') return plan;
  if (before.key !== key) {
    // The words of a moment ago stay until the new ones come.
    return plan === 'failed' || plan.words !== undefined
      ? plan
      : { ...plan, words: before.plan.words };
  }
  if (plan === 'failed') return before.plan;
  const late = performance.now() - shownAt > HAND_MS;
  const { checks, actions, call } = before.plan;
  return late ? { ...plan, checks, actions, call } : plan;
}

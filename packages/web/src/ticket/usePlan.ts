import type { TableChange } from '@nodo/knowledge';
import type { TicketEvent } from '@nodo/ticket';
import { type Remote, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import type { Plan, Planner } from '../workers/planner.worker.ts';

let planner: Remote<Planner> | undefined;

function thePlanner(): Remote<Planner> {
  planner ??= wrap<Planner>(
    new Worker(new URL('../workers/planner.worker.ts', import.meta.url), { type: 'module' }),
  );
  return planner;
}

/** What was asked of the planner last, and the answers on their way. */
interface Asked {
  readonly key: string;
  readonly quick: Promise<Plan>;
  readonly full: Promise<Plan>;
}

let asked: Asked | undefined;

/** The same key, the same plan. */
function keyOf(
  ticket: string,
  events: readonly TicketEvent[],
  changes: readonly TableChange[],
): string {
  const told = events.map(({ id }) => id.slice(0, 8)).join('');
  return `${ticket} ${told} ${JSON.stringify(changes)}`;
}

/**
 * Asks the planner, or gives what is on its way. A screen that knows what it is about to show
 * asks before it paints: the reckoning and the painting go on side by side.
 */
export function askPlanner(
  ticket: string,
  events: readonly TicketEvent[],
  changes: readonly TableChange[],
): Asked {
  const key = keyOf(ticket, events, changes);
  if (asked?.key === key) return asked;
  const planner = thePlanner();
  // In one breath: the worker answers in order, both of the same ticket.
  const fresh = { key, quick: planner.quick(ticket, events, changes), full: planner.full() };
  asked = fresh;
  Promise.all([fresh.quick, fresh.full]).catch((fault: unknown) => {
    console.error('The planner failed', fault);
    // Whoever asks again may have more luck.
    if (asked === fresh) asked = undefined;
  });
  return fresh;
}

/** So soon after the first proposal a better one may take its place: no hand has moved yet. */
const HAND_MS = 250;

interface Known {
  readonly key: string;
  readonly plan: Plan | 'failed';
}

/**
 * The proposals for the ticket as it stands: a first one at once, then the full reckoning,
 * which changes the order only as long as no hand can have moved. `undefined` while there is
 * none, so that nobody taps an answer to yesterday's question.
 */
export function usePlan(
  ticket: string,
  events: readonly TicketEvent[],
  changes: readonly TableChange[],
): Plan | 'failed' | undefined {
  const [known, setKnown] = useState<Known>();
  const key = keyOf(ticket, events, changes);

  const latest = useRef({ events, changes });
  useEffect(() => {
    latest.current = { events, changes };
  });
  useEffect(() => {
    let overtaken = false;
    let shownAt = Number.POSITIVE_INFINITY;
    const show = (plan: Plan | 'failed') => {
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

  return known?.key === key ? known.plan : undefined;
}

/** A plan that comes late keeps what already stands before the hand, and explains it. */
function settled(
  plan: Plan | 'failed',
  before: Known | undefined,
  key: string,
  shownAt: number,
): Plan | 'failed' {
  if (before === undefined || before.plan === 'failed') return plan;
  if (before.key !== key) {
    // The words of a moment ago stay until the new ones come.
    return plan === 'failed' || plan.words !== undefined
      ? plan
      : { ...plan, words: before.plan.words };
  }
  if (plan === 'failed') return before.plan;
  const late = performance.now() - shownAt > HAND_MS;
  const { checks, repairs, call } = before.plan;
  return late ? { ...plan, checks, repairs, call } : plan;
}

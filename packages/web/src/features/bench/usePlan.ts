import type { TicketEvent } from '@nodo/contract';
import { type Remote, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Plan, Planner } from '../../workers/planner.worker.ts';

let planner: Remote<Planner> | undefined;

function thePlanner(): Remote<Planner> {
  planner ??= wrap<Planner>(
    new Worker(new URL('../../workers/planner.worker.ts', import.meta.url), { type: 'module' }),
  );
  return planner;
}

/**
 * The proposals for the ticket as it stands. `undefined` while they are being reckoned, so
 * that nobody taps an answer to yesterday's question.
 */
export function usePlan(
  ticket: string,
  events: readonly TicketEvent[],
): Plan | 'failed' | undefined {
  const [known, setKnown] = useState<{ readonly key: string; readonly plan: Plan | 'failed' }>();
  const key = `${ticket} ${events.map(({ id }) => id.slice(0, 8)).join('')}`;

  const latest = useRef(events);
  useEffect(() => {
    latest.current = events;
  });
  useEffect(() => {
    let overtaken = false;
    thePlanner()
      .plan(ticket, latest.current)
      .then(
        (plan) => {
          // The key names the events that the plan was made for.
          if (!overtaken) setKnown({ key, plan });
        },
        (fault: unknown) => {
          console.error('The planner failed', fault);
          if (!overtaken) setKnown({ key, plan: 'failed' });
        },
      );
    return () => {
      overtaken = true;
    };
  }, [ticket, key]);

  return known?.key === key ? known.plan : undefined;
}

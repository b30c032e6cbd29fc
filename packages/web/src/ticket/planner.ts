import type { TableChange } from '@nodo/knowledge';
import { changesPlan, type TicketEvent } from '@nodo/ticket';
import { type Remote, wrap } from 'comlink';
import type { Planner, TicketPlan } from '../workers/planner.worker.ts';

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
  readonly quick: Promise<TicketPlan>;
  readonly full: Promise<TicketPlan>;
}

let asked: Asked | undefined;

/** The same key, the same plan: entries that concern the job alone change nothing of it. */
export function keyOf(
  ticket: string,
  events: readonly TicketEvent[],
  changes: readonly TableChange[],
): string {
  const ids = events
    .filter(changesPlan)
    .map(({ id }) => id.slice(0, 8))
    .join('');
  return `${ticket} ${ids} ${JSON.stringify(changes)}`;
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

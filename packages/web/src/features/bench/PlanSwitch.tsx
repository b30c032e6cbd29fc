import type { PlanPolicy } from '@nodo/knowledge';
import { memo } from 'react';
import { later } from '../../messages/later.ts';
import { useTicket } from '../../ticket/TicketContext.tsx';

const PLANS: readonly PlanPolicy[] = ['per-minute', 'one-at-a-time', 'full-sweep'];

/** How the work on this ticket goes, and what each way means. */
export const PlanSwitch = memo(function PlanSwitch() {
  const { ticket, record, mayWork } = useTicket();
  const words = later.bench.plan;
  const { title } = words.ways[ticket.plan];
  if (!mayWork || ticket.status !== 'open') {
    return (
      <p className="mt-4 border-t border-rule pt-3 text-sm text-quiet">
        {words.title}: <strong className="text-ink">{title}</strong>
      </p>
    );
  }
  return (
    <details className="mt-4 border-t border-rule pt-1">
      <summary className="flex min-h-11 cursor-pointer flex-wrap items-center gap-x-2 text-sm text-quiet">
        {words.title}:
        <strong className="text-ink underline decoration-edge underline-offset-4">{title}</strong>
      </summary>
      <fieldset>
        <legend className="sr-only">{words.title}</legend>
        {PLANS.map((plan) => (
          <label
            key={plan}
            className="flex min-h-11 gap-3 rounded-md px-2 py-2 leading-tight hover:bg-sunk has-checked:bg-sunk"
          >
            <input
              type="radio"
              name="plan"
              value={plan}
              checked={ticket.plan === plan}
              onChange={() => record('plan-chosen', { plan })}
              className="mt-0.5 size-5 shrink-0 accent-own"
            />
            <span>
              <span className="font-semibold">{words.ways[plan].title}</span>
              <span className="block text-sm text-quiet">{words.ways[plan].means}</span>
            </span>
          </label>
        ))}
      </fieldset>
    </details>
  );
});

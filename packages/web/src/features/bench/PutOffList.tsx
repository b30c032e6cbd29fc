import { checkOutcome, type Deferred, stateEpoch } from '@nodo/ticket';
import { later } from '../../messages/later.ts';
import { useTicket } from '../../ticket/TicketContext.tsx';

/** Checks and actions that were put off, on this screen or for want of an answer, with the reason; a tap takes one up again. */
export function PutOffList({
  deferred,
  onTakeUp,
}: {
  /** Put off on this screen. */
  readonly deferred: Deferred;
  readonly onTakeUp: (what: { readonly check: string } | { readonly action: string }) => void;
}) {
  const { ticket, model } = useTicket();
  const words = later.bench.putOff;
  if (ticket.status !== 'open') return null;
  const now = stateEpoch(ticket, ticket.epoch);
  const reasons = new Map<string, string>();
  for (const check of deferred.checks) reasons.set(check, words.later);
  for (const { check, why, epoch } of ticket.unanswerable) {
    if (stateEpoch(ticket, epoch) !== now || checkOutcome(ticket, model, check).done) continue;
    reasons.set(check, why === undefined ? words.noAnswer : later.bench.step.notTold[why]);
  }
  const lines = [
    ...[...reasons].map(([check, reason]) => {
      const title = model.checks.get(check)?.title ?? check;
      return { what: { check }, title, reason };
    }),
    ...[...deferred.actions].map((action) => {
      const title = model.actions.get(action)?.title ?? action;
      return { what: { action }, title, reason: words.moreFirst };
    }),
  ];
  if (lines.length === 0) return null;
  return (
    <section aria-labelledby="put-off-title" className="mt-6">
      <h2 id="put-off-title" className="text-sm font-semibold text-quiet">
        {words.title}
      </h2>
      <ul>
        {lines.map(({ what, title, reason }) => (
          <li key={JSON.stringify(what)}>
            <button
              type="button"
              onClick={() => onTakeUp(what)}
              className="min-h-11 w-full py-1 text-left leading-tight underline underline-offset-4"
            >
              {title}
              <span className="block text-sm text-quiet no-underline">{reason}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

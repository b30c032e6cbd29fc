import { outbox } from '@nodo/client';
import type { FamilyModel } from '@nodo/knowledge';
import { useAppDispatch, useAppSelector } from '../api/client.ts';
import { m, write } from '../messages/index.ts';
import { later } from '../messages/later.ts';
import { Button } from '../ui/Button.tsx';
import { useTicket } from './TicketContext.tsx';

/** Entries of this screen that the server would not have, with the reason; kept until sent or put away. */
export function Tray() {
  const {
    ticket: { id: ticket },
    model,
  } = useTicket();
  const dispatch = useAppDispatch();
  const entries = useAppSelector(({ outbox: { entries: all } }) => all);
  const refused = entries.filter((entry) => entry.ticket === ticket && entry.refusal);
  if (refused.length === 0) return null;
  return (
    <section
      aria-label={later.bench.tray.title}
      className="border-b-2 border-dashed border-ink bg-paper px-4 py-2"
    >
      <h2 className="text-sm font-semibold">{later.bench.tray.title}</h2>
      <ul>
        {refused.map(({ draft, refusal, unknown }) => (
          <li key={draft.id} className="flex flex-wrap items-center gap-x-4">
            <span className="text-sm">{write.clock(draft.observedAt)}</span>
            <strong>{subjectOf(model, draft.command)}</strong>
            <span>{refusal && m.refusals[refusal.code](refusal)}</span>
            <span className="ml-auto flex gap-2">
              {!unknown && (
                <Button look="quiet" onClick={() => dispatch(outbox.actions.retried(draft.id))}>
                  {later.bench.tray.sendAgain}
                </Button>
              )}
              <Button look="quiet" onClick={() => dispatch(outbox.actions.removed(draft.id))}>
                {later.bench.tray.putAway}
              </Button>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function subjectOf(model: FamilyModel, command: object): string {
  if ('check' in command) return model.checks.get(String(command.check))?.title ?? '';
  if ('action' in command) return model.actions.get(String(command.action))?.title ?? '';
  return 'words' in command ? String(command.words) : '';
}

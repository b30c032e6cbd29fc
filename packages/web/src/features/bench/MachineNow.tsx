import { checkMinutes } from '@nodo/knowledge';
import { POWER_OFF, POWER_ON } from '@nodo/ticket';
import { memo } from 'react';
import { ThingGlyph } from '../../drawing/ToolGlyph.tsx';
import { BobbinNow } from '../../instruments/bobbin/BobbinNow.tsx';
import { NeedleNow } from '../../instruments/needle/register/NeedleNow.tsx';
import { write } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { useTicket } from '../../ticket/TicketContext.tsx';
import { openWords } from '../../ticket/words.ts';
import { Button } from '../../ui/Button.tsx';
import type { TicketPlan } from '../../workers/planner.worker.ts';

/** What is off the machine, whether it is plugged in, and the caution that goes with it. */
export const MachineNow = memo(function MachineNow({
  plan,
  onChooseCheck,
}: {
  /** Undefined while it is being computed. */ readonly plan: TicketPlan | undefined;
  readonly onChooseCheck: (check: string) => void;
}) {
  const { ticket, model, record, mayWork } = useTicket();
  const words = later.bench.machine;
  const open = ticket.open.size > 0;
  const powered = ticket.power === 'on';
  return (
    <section aria-labelledby="machine-title">
      <h2 id="machine-title" className="mb-2 text-sm font-semibold text-quiet">
        {words.title}
      </h2>
      <div className="flex gap-3">
        {powered ? (
          <ThingGlyph thing="plugged" className="shrink-0" />
        ) : (
          <ThingGlyph thing="unplugged" className="shrink-0 text-below" />
        )}
        <p>
          <strong>{open ? words.open : words.closed}</strong>,{' '}
          <strong>{powered ? words.pluggedIn : words.unplugged}</strong>.
          <span className="block text-sm text-quiet">{words.caution[ticket.power]}</span>
        </p>
      </div>
      {open && (
        <div className="mt-2 flex gap-3">
          <ThingGlyph thing="dish" className="shrink-0" />
          <p>
            {words.inDish}:
            <span className="block text-sm text-quiet">{openWords(model, ticket)}</span>
          </p>
        </div>
      )}
      <NeedleNow ticket={ticket} />
      <BobbinNow ticket={ticket} model={model} />
      {mayWork && ticket.status === 'open' && (
        <WhileOpen plan={plan} onChooseCheck={onChooseCheck} />
      )}
      {mayWork && ticket.status === 'open' && (
        <div className="mt-2 flex flex-wrap gap-2">
          {powered ? (
            <Button onClick={() => record('action-done', { action: POWER_OFF })}>
              {words.unplug}
            </Button>
          ) : (
            !open && (
              <Button onClick={() => record('action-done', { action: POWER_ON })}>
                {words.plugIn}
              </Button>
            )
          )}
          {open && <Button onClick={() => record('machine-closed', {})}>{words.closeUp}</Button>}
        </div>
      )}
    </section>
  );
});

const MOST_NEARLY_FREE = 3;

/** What costs hardly anything before the machine is closed again. */
function WhileOpen({
  plan,
  onChooseCheck,
}: {
  readonly plan: TicketPlan | undefined;
  readonly onChooseCheck: (check: string) => void;
}) {
  const { ticket, model } = useTicket();
  const checks = (plan?.whileOpen ?? [])
    .slice(0, MOST_NEARLY_FREE)
    .flatMap((id) => model.checks.get(id) ?? []);
  if (checks.length === 0) return null;
  return (
    <div className="mt-2 border-l-3 border-own pl-3">
      <p className="text-sm text-quiet">{later.bench.machine.whileOpen}</p>
      <ul>
        {checks.map((check) => (
          <li key={check.id}>
            <button
              type="button"
              onClick={() => onChooseCheck(check.id)}
              className="min-h-11 text-left leading-tight underline underline-offset-4"
            >
              {check.title}{' '}
              <span className="text-sm text-quiet">
                {write.duration(checkMinutes(model, ticket.open, check))}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}

import type { FamilyModel, KnowledgeVersion } from '@nodo/knowledge';
import { assess, pendingOverlay, workLeftOn } from '@nodo/ticket';
import { useMemo } from 'react';
import { m } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { AmountField } from '../../session/AmountField.tsx';
import { useSession } from '../../session/SessionContext.tsx';
import { intakeOf } from '../../shop/intake/intake.ts';
import { blankForm, type IntakeForm } from '../../shop/intake/intakeForm.ts';
import { PromisePicker } from '../../shop/promise/PromisePicker.tsx';
import { SpokenSelect } from '../../shop/SpokenSelect.tsx';
import { actorOf } from '../../ticket/useShownTicket.ts';
import { RadioBoxes } from '../../ui/RadioBoxes.tsx';

const LIMITS = ['unspoken', 'up-to', 'ask-first'] as const;

/** What may be spent, how they are reached, when it can be ready. */
export function Agreed({
  form,
  version,
  model,
  limitFault,
  feeFault,
  set,
}: {
  readonly form: IntakeForm;
  readonly version: KnowledgeVersion;
  readonly model: FamilyModel;
  readonly limitFault: string | undefined;
  readonly feeFault: string | undefined;
  readonly set: (part: Partial<IntakeForm>) => void;
}) {
  const session = useSession();
  const words = later.counter.agreed;
  const { ticket: id, family, complaint, context, traits } = form;
  // Only what the machine shows decides how long it takes; the rest of the form does not.
  const left = useMemo(() => {
    const asked = { ticket: id, family, complaint, context, traits };
    const bare = { ...blankForm(), ...asked, tag: '1', label: family };
    const actor = actorOf(session);
    const entered = intakeOf(bare, {}).drafts.map((one) => ({ command: one, actor }));
    const { ticket } = pendingOverlay()(id, [], entered, version);
    return workLeftOn(ticket, model, assess(ticket, model));
  }, [family, complaint, context, traits, session, version, model, id]);
  return (
    <div className="mt-6 grid gap-6 md:grid-cols-2">
      <div>
        <RadioBoxes
          legend={words.limit}
          options={LIMITS.map((one) => [one, words.limits[one]] as const)}
          value={form.limit}
          onChoose={(limit) => set({ limit })}
        />
        {form.limit === 'up-to' && (
          <AmountField
            label={words.amount}
            error={limitFault}
            value={form.limitAmount}
            className="max-w-48"
            onText={(limitAmount) => set({ limitAmount })}
          />
        )}
        <AmountField
          label={words.fee}
          hint={words.feeHint}
          error={feeFault}
          value={form.feeAmount}
          className="mt-3 max-w-64"
          onText={(feeAmount) => set({ feeAmount })}
        />
        <SpokenSelect
          label={later.cards.customer.reach}
          className="mt-3 max-w-64"
          how={form.reach}
          onChange={(reach) => set({ reach })}
        />
      </div>
      <section aria-label={m.life.promise.title}>
        <h2 className="font-semibold">{m.life.promise.title}</h2>
        <PromisePicker
          minutes={left.mean}
          spread={left.spread}
          promised={form.promised?.day}
          onPromise={(day, despite = '') =>
            set({ promised: day === null ? null : { day, despite } })
          }
        />
      </section>
    </div>
  );
}

import type { CallFault } from '@nodo/client';
import { mayTakeIn, type Session } from '@nodo/contract';
import { SHIPPED } from '@nodo/knowledge';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { useRackQuery, useTakeInMutation } from '../../api/client.ts';
import { faultWords } from '../../messages/faults.ts';
import { m } from '../../messages/index.ts';
import { Button } from '../../ui/Button.tsx';
import { TextArea, TextField } from '../../ui/Field.tsx';
import { Blank } from '../../ui/Stitches.tsx';
import { useTables } from '../tables/useTables.ts';
import { ComplaintTicks, ContextAnswers } from './Asked.tsx';
import { blankDraft, type CounterDraft, keepDraft, readDraft, withFamily } from './draft.ts';
import { FamilyChoice } from './FamilyChoice.tsx';
import { firstFreeTag } from './firstFreeTag.ts';
import { intakeOf } from './intake.ts';
import { SoundsLike } from './SoundsLike.tsx';

/** Takes a machine in: whose, which, what the customer says. */
export default function CounterView({ session }: { readonly session: Session }) {
  if (!mayTakeIn(session.person.role)) {
    return (
      <Blank title={m.counter.title}>
        <p>{m.counter.noRights}</p>
      </Blank>
    );
  }
  return <IntakeSheet />;
}

type FieldErrors = Partial<Record<'customer' | 'label' | 'tag' | 'shelf', string>>;

function IntakeSheet() {
  const [draft, setDraft] = useState<CounterDraft>(() => readDraft('counter'));
  const [errors, setErrors] = useState<FieldErrors>({});
  const { data: rack = [] } = useRackQuery();
  const [takeIn, { isLoading, error }] = useTakeInMutation();
  const navigate = useNavigate();
  const edition = useTables().tables?.edition ?? SHIPPED;
  const model = edition.modelOf(draft.family);
  useEffect(() => keepDraft('counter', draft), [draft]);

  const freeTag = String(firstFreeTag(rack));
  const tag = draft.tag || freeTag;
  const set = (change: Partial<CounterDraft>) => setDraft({ ...draft, ...change });

  const submit = async () => {
    const faults = faultsOf({ ...draft, tag });
    setErrors(faults);
    if (Object.keys(faults).length > 0) return;
    const result = await takeIn(intakeOf({ ...draft, tag }));
    if (!result.data) return;
    setDraft(blankDraft());
    toast.success(m.counter.taken(Number(tag)));
    void navigate(`/bench/${draft.ticket}`);
  };

  const beginAnew = () => {
    const before = draft;
    setDraft(blankDraft());
    toast(m.counter.cleared, {
      action: { label: m.counter.undo, onClick: () => setDraft(before) },
    });
  };

  if (!model) return null;
  const complaint = model.checks.get('complaint')?.findings ?? [];
  const context = model.checks.get('context')?.findings ?? [];
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void submit();
      }}
      noValidate
      className="flex flex-1 flex-col lg:flex-row"
    >
      <div className="min-w-0 flex-1 px-6 py-4">
        <h1 className="mb-4 text-2xl font-bold">{m.counter.title}</h1>
        <div className="grid gap-x-8 gap-y-4 md:grid-cols-2">
          <TextField
            label={m.counter.name}
            error={errors.customer}
            value={draft.customer}
            maxLength={120}
            autoComplete="off"
            onChange={({ target }) => set({ customer: target.value })}
          />
          <TextField
            label={m.counter.phone}
            value={draft.phone}
            maxLength={40}
            inputMode="tel"
            autoComplete="off"
            onChange={({ target }) => set({ phone: target.value })}
          />
        </div>
        <FamilyChoice value={draft.family} onChoose={(family) => set(withFamily(draft, family))} />
        <div className="grid gap-x-8 gap-y-4 md:grid-cols-[1fr_6rem_6rem]">
          <TextField
            label={m.counter.label}
            hint={m.counter.labelHint}
            error={errors.label}
            value={draft.label}
            maxLength={80}
            onChange={({ target }) => set({ label: target.value })}
          />
          <TextField
            label={m.counter.tag}
            error={errors.tag}
            value={draft.tag}
            placeholder={freeTag}
            inputMode="numeric"
            maxLength={4}
            onChange={({ target }) => set({ tag: target.value })}
          />
          <TextField
            label={m.counter.shelf}
            error={errors.shelf}
            value={draft.shelf}
            maxLength={12}
            onChange={({ target }) => set({ shelf: target.value })}
          />
        </div>
        <TextArea
          className="mt-4"
          label={m.counter.words}
          rows={2}
          value={draft.words}
          maxLength={2000}
          onChange={({ target }) => set({ words: target.value })}
        />
        <ComplaintTicks
          findings={complaint}
          ticked={draft.complaint}
          onChange={(ticked) => set({ complaint: ticked })}
        />
        <ContextAnswers
          findings={context}
          answers={draft.context}
          onChange={(answers) => set({ context: answers })}
        />
      </div>
      <aside className="flex flex-col border-rule bg-paper px-6 py-4 max-lg:border-t lg:sticky lg:top-0 lg:h-[calc(100dvh-3.5rem)] lg:w-88 lg:border-l">
        <SoundsLike model={model} complaint={draft.complaint} context={draft.context} />
        <div className="mt-auto flex flex-col gap-2 pt-4">
          <p role="alert" className="font-semibold text-hazard">
            {error && !isLoading ? faultWords(error as CallFault) : ''}
          </p>
          <Button look="main" type="submit" disabled={isLoading} className="min-h-14 text-lg">
            {isLoading ? m.counter.submitting : m.counter.submit}
          </Button>
          <p className="text-sm text-quiet">{m.counter.kept}</p>
          <Button look="quiet" onClick={beginAnew}>
            {m.counter.clear}
          </Button>
        </div>
      </aside>
    </form>
  );
}

function faultsOf({ customer, phone, label, tag, shelf }: CounterDraft): FieldErrors {
  const number = Number(tag);
  return {
    // A number without a name would have nowhere to be kept.
    ...(customer.trim() === '' && phone.trim() !== '' ? { customer: m.counter.required } : {}),
    ...(label.trim() === '' ? { label: m.counter.required } : {}),
    ...(shelf.trim() === '' ? { shelf: m.counter.required } : {}),
    ...(Number.isInteger(number) && number >= 1 && number <= 9999 ? {} : { tag: m.counter.badTag }),
  };
}

import { m } from '../../messages/index.ts';
import { Button } from '../../ui/Button.tsx';
import { NumberField, TextField } from '../../ui/Field.tsx';
import type { IntakeForm } from './intakeForm.ts';

type Set = (part: Partial<IntakeForm>) => void;

/** Whose it is: somebody whom the shop knows, or a name and a number. */
export function CustomerFields({
  draft,
  error,
  set,
}: {
  readonly draft: IntakeForm;
  readonly error: string | undefined;
  readonly set: Set;
}) {
  const words = m.counter.known;
  if (draft.customerId !== null) {
    return (
      <p className="flex flex-wrap items-center gap-4">
        <strong>
          <bdi>{words.customer(draft.customer)}</bdi>
        </strong>
        <span className="text-quiet">{draft.phone}</span>
        {draft.call === null && (
          <Button look="quiet" onClick={() => set({ customerId: null, customer: '', phone: '' })}>
            {words.anotherCustomer}
          </Button>
        )}
      </p>
    );
  }
  return (
    <div className="grid gap-x-8 gap-y-4 md:grid-cols-2">
      <NameFields draft={draft} error={error} set={set} />
    </div>
  );
}

/** Somebody who is new here: how they are called, where they are reached. */
export function NameFields({
  draft,
  error,
  set,
}: {
  readonly draft: { readonly customer: string; readonly phone: string };
  readonly error: string | undefined;
  readonly set: (part: { customer: string } | { phone: string }) => void;
}) {
  return (
    <>
      <TextField
        label={m.counter.name}
        error={error}
        value={draft.customer}
        maxLength={120}
        autoComplete="off"
        onText={(customer) => set({ customer })}
      />
      <TextField
        label={m.counter.phone}
        value={draft.phone}
        maxLength={40}
        inputMode="tel"
        autoComplete="off"
        onText={(phone) => set({ phone })}
      />
    </>
  );
}

/** How it is called, what its plate says, where it hangs. */
export function MachineFields({
  draft,
  errors,
  freeTag,
  set,
}: {
  readonly draft: IntakeForm;
  readonly errors: Partial<Record<'label' | 'tag' | 'shelf', string>>;
  readonly freeTag: string;
  readonly set: Set;
}) {
  const isNew = draft.machineId === null && draft.call === null;
  return (
    <div className="mt-3 grid gap-x-8 gap-y-4 md:grid-cols-[1fr_6rem_6rem]">
      <TextField
        label={m.counter.label}
        hint={m.counter.labelHint}
        error={errors.label}
        value={draft.label}
        maxLength={80}
        disabled={draft.call !== null}
        onText={(label) => set({ label })}
      />
      <NumberField
        whole
        label={m.counter.tag}
        error={errors.tag}
        value={draft.tag}
        placeholder={freeTag}
        maxLength={4}
        onText={(tag) => set({ tag })}
      />
      <TextField
        label={m.counter.shelf}
        error={errors.shelf}
        value={draft.shelf}
        maxLength={12}
        onText={(shelf) => set({ shelf })}
      />
      {isNew && (
        <div className="grid gap-x-8 gap-y-4 sm:grid-cols-2 md:col-span-3">
          <TextField
            label={m.counter.plateModel}
            value={draft.model}
            maxLength={80}
            onText={(model) => set({ model })}
          />
          <TextField
            label={m.counter.serial}
            value={draft.serial}
            maxLength={60}
            onText={(serial) => set({ serial })}
          />
        </div>
      )}
    </div>
  );
}

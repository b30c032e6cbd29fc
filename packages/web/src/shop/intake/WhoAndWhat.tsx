import { useId } from 'react';
import { useShopQuery } from '../../api/client.ts';
import { later } from '../../messages/later.ts';
import { Button } from '../../ui/Button.tsx';
import { NumberField, TextField } from '../../ui/Field.tsx';
import { ColourChoice } from './ColourChoice.tsx';
import type { IntakeForm } from './intakeForm.ts';
import { HereOf, SamePerson } from './SamePerson.tsx';

type Set = (part: Partial<IntakeForm>) => void;

/** Whose it is: somebody whom the shop knows, or a name and a number. */
export function CustomerFields({
  form,
  error,
  set,
}: {
  readonly form: IntakeForm;
  readonly error: string | undefined;
  readonly set: Set;
}) {
  const words = later.counter.known;
  if (form.customerId !== null) {
    return (
      <p className="flex flex-wrap items-center gap-4">
        <strong>
          <bdi>{words.customer(form.customer)}</bdi>
        </strong>
        <span className="text-quiet">{form.phone}</span>
        <HereOf customer={form.customerId} />
        {form.call === null && (
          <Button look="quiet" onClick={() => set({ customerId: null, customer: '', phone: '' })}>
            {words.anotherCustomer}
          </Button>
        )}
      </p>
    );
  }
  return (
    <>
      <div className="grid gap-x-6 gap-y-4 md:grid-cols-2">
        <NameFields form={form} error={error} set={set} />
      </div>
      <SamePerson form={form} onSame={set} />
    </>
  );
}

/** Somebody who is new here: how they are called, where they are reached. */
function NameFields({
  form,
  error,
  set,
}: {
  readonly form: { readonly customer: string; readonly phone: string };
  readonly error: string | undefined;
  readonly set: (part: { customer: string } | { phone: string }) => void;
}) {
  return (
    <>
      <TextField
        label={later.counter.name}
        name="customer"
        error={error}
        value={form.customer}
        maxLength={120}
        autoComplete="off"
        onText={(customer) => set({ customer })}
      />
      <TextField
        label={later.counter.phone}
        name="phone"
        value={form.phone}
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
  form,
  errorOf,
  freeTag,
  firstShelf,
  set,
}: {
  readonly form: IntakeForm;
  readonly errorOf: (field: 'label' | 'tag' | 'shelf') => string | undefined;
  readonly freeTag: string;
  readonly firstShelf: string;
  readonly set: Set;
}) {
  const shelves = useShopQuery().data?.card.shelves ?? [];
  const list = useId();
  const isNew = form.machineId === null && form.call === null;
  return (
    <div className="mt-3 grid gap-x-6 gap-y-4 md:grid-cols-[1fr_6rem_6rem]">
      <TextField
        label={later.counter.label}
        hint={later.counter.labelHint}
        error={errorOf('label')}
        value={form.label}
        maxLength={80}
        disabled={form.call !== null}
        onText={(label) => set({ label })}
      />
      <NumberField
        whole
        label={later.counter.tag}
        error={errorOf('tag')}
        value={form.tag}
        placeholder={freeTag}
        maxLength={4}
        onText={(tag) => set({ tag })}
      />
      <TextField
        list={list}
        label={later.counter.shelf}
        error={errorOf('shelf')}
        value={form.shelf}
        placeholder={firstShelf}
        maxLength={12}
        onText={(shelf) => set({ shelf })}
      />
      {/* The shop's own shelves are offered; any other may be written. */}
      <datalist id={list}>
        {shelves.map((shelf) => (
          <option key={shelf} value={shelf} />
        ))}
      </datalist>
      {form.call === null && (
        <div className="md:col-span-3">
          <ColourChoice value={form.colour} onChoose={(colour) => set({ colour })} />
        </div>
      )}
      {isNew && (
        <div className="grid gap-x-6 gap-y-4 sm:grid-cols-2 md:col-span-3">
          <TextField
            label={later.counter.plateModel}
            value={form.model}
            maxLength={80}
            onText={(model) => set({ model })}
          />
          <TextField
            label={later.counter.serial}
            value={form.serial}
            maxLength={60}
            onText={(serial) => set({ serial })}
          />
        </div>
      )}
    </div>
  );
}

import { type ComponentProps, type ReactNode, useId } from 'react';
import { twMerge } from 'tailwind-merge';

const BOX =
  'w-full min-h-11 rounded-md border-2 border-edge bg-paper px-3 py-2 text-ink aria-invalid:border-hazard disabled:opacity-55';

export interface Labelled {
  readonly label: string;
  /** Stands in the box, after what is typed. */
  readonly unit?: string | undefined;
  readonly hint?: string | undefined;
  readonly error?: string | undefined;
}

interface Shown {
  /** The label without what stands in the box. */
  readonly shown?: string | undefined;
}

interface Typed {
  /** Hears what stands in the box after each change. */
  readonly onText?: ((text: string) => void) | undefined;
}

/** Ties a box to its label, hint and error. */
export function Field({
  label,
  shown = label,
  hint,
  error,
  className,
  box,
}: Labelled &
  Shown & {
    readonly className?: string | undefined;
    readonly box: (ties: {
      readonly id: string;
      readonly className: string;
      readonly 'aria-invalid': true | undefined;
      readonly 'aria-describedby': string | undefined;
      /** The whole label, where a part of it is not shown. */
      readonly 'aria-label': string | undefined;
    }) => ReactNode;
  }) {
  const id = useId();
  const describedBy = [hint && `${id}-hint`, error && `${id}-error`].filter(Boolean).join(' ');
  return (
    <div className={twMerge('flex flex-col gap-1', className)}>
      <label htmlFor={id} className="font-semibold">
        {shown}
      </label>
      {box({
        id,
        className: BOX,
        'aria-invalid': error ? true : undefined,
        'aria-describedby': describedBy || undefined,
        'aria-label': shown === label ? undefined : label,
      })}
      {hint && (
        <p id={`${id}-hint`} className="text-sm text-quiet">
          {hint}
        </p>
      )}
      {error && (
        <p id={`${id}-error`} role="alert" className="text-sm font-semibold text-hazard">
          {error}
        </p>
      )}
    </div>
  );
}

/** A line of text. */
export function TextField({
  label,
  shown,
  unit,
  hint,
  error,
  className,
  onText,
  ...rest
}: Labelled & Shown & Typed & ComponentProps<'input'>) {
  const frame = { label, shown, hint, error, className };
  const hear = onText && { onChange: heardBy(onText) };
  const room = unit && { style: { paddingInlineEnd: `${unit.length + 2}ch` } };
  return (
    <Field
      {...frame}
      box={(ties) => {
        const input = <input dir="auto" {...ties} {...room} {...hear} {...rest} />;
        return unit === undefined ? input : <WithUnit unit={unit}>{input}</WithUnit>;
      }}
    />
  );
}

function WithUnit({ unit, children }: { readonly unit: string; readonly children: ReactNode }) {
  return (
    <span className="relative block">
      {children}
      <span
        aria-hidden
        className="pointer-events-none absolute inset-y-0 end-3 flex items-center text-quiet"
      >
        {unit}
      </span>
    </span>
  );
}

/** A label that ends in the unit of its number. */
const UNIT_LAST = /^(.*), (mm|g|m|minutes|%)$/;

/**
 * A number as it is typed, with comma or point. A line of text on purpose: fields that know the
 * page's own decimal sign alone read a pasted 45,5 as 455. A unit at the end of its label stands in the box; whoever
 * hears the label hears it there.
 */
export function NumberField({
  whole = false,
  label,
  ...rest
}: ComponentProps<typeof TextField> & { readonly whole?: boolean }) {
  const [, name, unit] = UNIT_LAST.exec(label) ?? [];
  const shown = { label, ...(unit && { unit, shown: name }) };
  return <TextField inputMode={whole ? 'numeric' : 'decimal'} {...shown} {...rest} />;
}

/** Several lines of text. */
export function TextArea({
  label,
  hint,
  error,
  className,
  onText,
  ...rest
}: Labelled & Typed & ComponentProps<'textarea'>) {
  const frame = { label, hint, error, className };
  const hear = onText && { onChange: heardBy(onText) };
  return <Field {...frame} box={(ties) => <textarea dir="auto" {...ties} {...hear} {...rest} />} />;
}

/** What a box does when something is typed into it. */
export function heardBy(onText: (text: string) => void) {
  return ({ target }: { readonly target: { readonly value: string } }) => onText(target.value);
}

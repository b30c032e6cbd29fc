import { type ComponentProps, type ReactNode, useId } from 'react';
import { twMerge } from 'tailwind-merge';

const BOX =
  'w-full min-h-11 rounded-md border-2 border-edge bg-paper px-3 py-2 text-ink aria-invalid:border-hazard disabled:opacity-55';

export interface Labelled {
  readonly label: string;
  readonly hint?: string | undefined;
  readonly error?: string | undefined;
}

interface Typed {
  /** Hears what stands in the box after each change. */
  readonly onText?: ((text: string) => void) | undefined;
}

/** Ties a box to its label, hint and error. */
export function Field({
  label,
  hint,
  error,
  className,
  box,
}: Labelled & {
  readonly className?: string | undefined;
  readonly box: (ties: {
    readonly id: string;
    readonly className: string;
    readonly 'aria-invalid': true | undefined;
    readonly 'aria-describedby': string | undefined;
  }) => ReactNode;
}) {
  const id = useId();
  const describedBy = [hint && `${id}-hint`, error && `${id}-error`].filter(Boolean).join(' ');
  return (
    <div className={twMerge('flex flex-col gap-1', className)}>
      <label htmlFor={id} className="font-semibold">
        {label}
      </label>
      {box({
        id,
        className: BOX,
        'aria-invalid': error ? true : undefined,
        'aria-describedby': describedBy || undefined,
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
  hint,
  error,
  className,
  onText,
  ...rest
}: Labelled & Typed & ComponentProps<'input'>) {
  const frame = { label, hint, error, className };
  const hear = onText && { onChange: heardBy(onText) };
  return <Field {...frame} box={(ties) => <input dir="auto" {...ties} {...hear} {...rest} />} />;
}

/**
 * A number as it is typed, with comma or point. A line of text on purpose: fields that know the
 * page's own decimal sign alone read a pasted 45,5 as 455.
 */
export function NumberField({
  whole = false,
  ...rest
}: ComponentProps<typeof TextField> & { readonly whole?: boolean }) {
  return <TextField inputMode={whole ? 'numeric' : 'decimal'} {...rest} />;
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

function heardBy(onText: (text: string) => void) {
  return ({ target }: { readonly target: { readonly value: string } }) => onText(target.value);
}

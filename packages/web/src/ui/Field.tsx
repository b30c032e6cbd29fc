import { type ComponentProps, type ReactNode, useId } from 'react';
import { twMerge } from 'tailwind-merge';

const BOX =
  'w-full min-h-11 rounded-md border-2 border-edge bg-paper px-3 py-2 text-ink aria-invalid:border-hazard';

interface Labelled {
  readonly label: string;
  readonly hint?: string | undefined;
  readonly error?: string | undefined;
}

function FieldFrame({
  id,
  label,
  hint,
  error,
  className,
  children,
}: Labelled & {
  readonly id: string;
  readonly className?: string | undefined;
  readonly children: ReactNode;
}) {
  return (
    <div className={twMerge('flex flex-col gap-1', className)}>
      <label htmlFor={id} className="font-semibold">
        {label}
      </label>
      {children}
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

function describedBy(id: string, { hint, error }: Labelled): string | undefined {
  return [hint && `${id}-hint`, error && `${id}-error`].filter(Boolean).join(' ') || undefined;
}

/** A line of text with its label, hint and error tied to it. */
export function TextField({
  label,
  hint,
  error,
  className,
  ...rest
}: Labelled & ComponentProps<'input'>) {
  const id = useId();
  return (
    <FieldFrame id={id} label={label} hint={hint} error={error} className={className}>
      <input
        id={id}
        aria-invalid={error ? true : undefined}
        aria-describedby={describedBy(id, { label, hint, error })}
        className={BOX}
        {...rest}
      />
    </FieldFrame>
  );
}

export function TextArea({
  label,
  hint,
  error,
  className,
  ...rest
}: Labelled & ComponentProps<'textarea'>) {
  const id = useId();
  return (
    <FieldFrame id={id} label={label} hint={hint} error={error} className={className}>
      <textarea
        id={id}
        aria-invalid={error ? true : undefined}
        aria-describedby={describedBy(id, { label, hint, error })}
        className={BOX}
        {...rest}
      />
    </FieldFrame>
  );
}

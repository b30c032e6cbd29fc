import type { ComponentProps } from 'react';
import { Field, type Labelled } from './Field.tsx';
import { SelectBox } from './SelectBox.tsx';

/** One of a few. */
export function Select<Value extends string | number | null>({
  label,
  hint,
  error,
  className,
  ...rest
}: Labelled & ComponentProps<typeof SelectBox<Value>>) {
  const frame = { label, hint, error, className };
  return <Field {...frame} box={(ties) => <SelectBox {...ties} {...rest} />} />;
}

import type { ComponentProps } from 'react';
import { twMerge } from 'tailwind-merge';

/** What may be chosen: a value, null for none of them, and what it is called. */
export type Options<Value> = readonly (readonly [value: Value, text: string])[];

export interface Chosen<Value> {
  readonly value: NoInfer<Value> | undefined;
  readonly options: Options<Value>;
  readonly onChoose: (value: Value) => void;
}

/** One of a few, where the label stands elsewhere. */
export function SelectBox<Value extends string | number | null>({
  value,
  options,
  onChoose,
  className,
  ...rest
}: Chosen<Value> & Omit<ComponentProps<'select'>, 'children' | 'value'>) {
  return (
    <select
      className={twMerge('min-h-11 rounded-md border-2 border-edge bg-paper px-2', className)}
      value={value ?? ''}
      onChange={({ target }) => {
        const chosen = options.find(([one]) => String(one ?? '') === target.value);
        if (chosen) onChoose(chosen[0]);
      }}
      {...rest}
    >
      {options.map(([one, text]) => (
        <option key={one} value={one ?? ''}>
          {text}
        </option>
      ))}
    </select>
  );
}

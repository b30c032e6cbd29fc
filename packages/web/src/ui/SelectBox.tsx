import type { ComponentProps } from 'react';
import { twMerge } from 'tailwind-merge';

/** One of a few, where the label stands elsewhere. */
export function SelectBox<Value extends string | number | null>({
  value,
  options,
  onChoose,
  className,
  ...rest
}: {
  readonly value: NoInfer<Value> | undefined;
  /** Each with what it is called; null is none of them. */
  readonly options: readonly (readonly [value: Value, text: string])[];
  readonly onChoose: (value: Value) => void;
} & Omit<ComponentProps<'select'>, 'children' | 'value'>) {
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

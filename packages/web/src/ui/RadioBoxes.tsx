import { type ReactNode, useId } from 'react';
import { twMerge } from 'tailwind-merge';

/** One of some, each with what it is called. */
export function RadioBoxes<Value extends string>({
  legend,
  options,
  value,
  onChoose,
  className,
}: {
  readonly legend: string;
  readonly options: readonly (readonly [value: Value, text: ReactNode])[];
  readonly value: Value | undefined;
  readonly onChoose: (value: Value) => void;
  readonly className?: string;
}) {
  const name = useId();
  return (
    <fieldset className={twMerge('min-w-0', className)}>
      <legend className="font-semibold">{legend}</legend>
      {options.map(([option, text]) => (
        <label key={option} className="flex min-h-11 items-center gap-3">
          <input
            type="radio"
            name={name}
            className="size-5 shrink-0 accent-own"
            checked={option === value}
            onChange={() => onChoose(option)}
          />
          {text}
        </label>
      ))}
    </fieldset>
  );
}

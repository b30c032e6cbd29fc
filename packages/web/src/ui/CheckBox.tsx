import type { ReactNode } from 'react';
import { twMerge } from 'tailwind-merge';

/** Something that is so or not. */
export function CheckBox({
  checked,
  onCheck,
  className,
  children,
}: {
  readonly checked: boolean;
  readonly onCheck: (isSo: boolean) => void;
  readonly className?: string | undefined;
  readonly children: ReactNode;
}) {
  return (
    <label className={twMerge('flex min-h-11 items-center gap-3', className)}>
      <input
        type="checkbox"
        className="size-5 shrink-0 accent-own"
        checked={checked}
        onChange={({ target }) => onCheck(target.checked)}
      />
      {children}
    </label>
  );
}

/** Any number of some, each with what it is called. */
export function CheckBoxes({
  options,
  ticked,
  onTick,
  className,
}: {
  readonly options: readonly (readonly [value: string, text: ReactNode])[];
  readonly ticked: readonly string[];
  readonly onTick: (ticked: string[]) => void;
  /** Of each. */
  readonly className?: string;
}) {
  return options.map(([value, text]) => (
    <CheckBox
      key={value}
      className={className}
      checked={ticked.includes(value)}
      onCheck={(isSo) => onTick(isSo ? [...ticked, value] : ticked.filter((one) => one !== value))}
    >
      {text}
    </CheckBox>
  ));
}

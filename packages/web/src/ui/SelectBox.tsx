import { getNonce } from 'get-nonce';
import { Check, ChevronDown } from 'lucide-react';
import { Select } from 'radix-ui';
import { twMerge } from 'tailwind-merge';

interface SelectBoxProps<Value extends string | number | null> {
  readonly value: NoInfer<Value> | undefined;
  /** Each with what it is called; null is none of them. */
  readonly options: readonly (readonly [value: Value, text: string])[];
  readonly onChoose: (value: Value) => void;
  readonly className?: string | undefined;
  readonly disabled?: boolean;
  readonly autoFocus?: boolean;
  readonly id?: string;
  readonly 'aria-label'?: string | undefined;
  readonly 'aria-describedby'?: string | undefined;
  readonly 'aria-invalid'?: true | undefined;
}

/** One of a few, where the label stands elsewhere. */
export function SelectBox<Value extends string | number | null>({
  value,
  options,
  onChoose,
  className,
  disabled = false,
  ...rest
}: SelectBoxProps<Value>) {
  const chosen = options.find(([one]) => one === (value ?? null) || one === value);
  return (
    <Select.Root
      value={keyOf(chosen?.[0] ?? null)}
      disabled={disabled}
      onValueChange={(key) => {
        const found = options.find(([one]) => keyOf(one) === key);
        if (found) onChoose(found[0]);
      }}
    >
      <Select.Trigger
        className={twMerge(
          'inline-flex min-h-11 items-center justify-between gap-2 rounded-md border-2 border-edge bg-paper px-3 text-left leading-tight hover:border-ink disabled:opacity-55 aria-invalid:border-hazard',
          className,
        )}
        {...rest}
      >
        <Select.Value>{chosen?.[1]}</Select.Value>
        <ChevronDown aria-hidden size={18} className="shrink-0 text-quiet" />
      </Select.Trigger>
      <Select.Portal>
        <Select.Content
          position="popper"
          sideOffset={4}
          collisionPadding={8}
          className="z-70 max-h-[min(24rem,var(--radix-select-content-available-height))] min-w-(--radix-select-trigger-width) overflow-hidden rounded-md border-2 border-ink bg-paper text-ink shadow-lg"
        >
          <Select.Viewport className="p-1" nonce={getNonce()}>
            {options.map(([one, text]) => (
              <Select.Item
                key={keyOf(one)}
                value={keyOf(one)}
                className="flex min-h-11 cursor-pointer items-center gap-3 rounded px-3 py-2 leading-tight outline-none data-[highlighted]:bg-sunk data-[state=checked]:font-semibold"
              >
                <span aria-hidden="true" className="w-4 shrink-0">
                  <Select.ItemIndicator>
                    <Check size={16} />
                  </Select.ItemIndicator>
                </span>
                <Select.ItemText>{text}</Select.ItemText>
              </Select.Item>
            ))}
          </Select.Viewport>
        </Select.Content>
      </Select.Portal>
    </Select.Root>
  );
}

/** A value as the list knows it; it takes no empty one. */
function keyOf(value: string | number | null): string {
  return `=${value ?? ''}`;
}

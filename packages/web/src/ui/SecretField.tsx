import { Eye, EyeOff } from 'lucide-react';
import { type ComponentProps, useState } from 'react';
import { twMerge } from 'tailwind-merge';
import { m } from '../messages/index.ts';
import { Field, heardBy, type Labelled } from './Field.tsx';

/** A password or the like: hidden, and shown to whoever types it as long as they like. */
export function SecretField({
  label,
  hint,
  error,
  className,
  onText,
  ...rest
}: Labelled &
  Omit<ComponentProps<'input'>, 'type'> & {
    readonly onText?: ((text: string) => void) | undefined;
  }) {
  const [isShown, setShown] = useState(false);
  const hear = onText && { onChange: heardBy(onText) };
  const Icon = isShown ? EyeOff : Eye;
  return (
    <Field
      {...{ label, hint, error, className }}
      box={(ties) => (
        <span className="relative block">
          <input
            dir="auto"
            {...ties}
            {...hear}
            {...rest}
            type={isShown ? 'text' : 'password'}
            spellCheck={false}
            autoCapitalize="none"
            className={twMerge(ties.className, 'pe-12')}
          />
          <button
            type="button"
            aria-pressed={isShown}
            aria-label={m.shell.showTyped}
            onClick={() => setShown(!isShown)}
            className="absolute inset-y-0 end-0 flex w-11 items-center justify-center rounded-md text-quiet"
          >
            <Icon aria-hidden className="size-5" />
          </button>
        </span>
      )}
    />
  );
}

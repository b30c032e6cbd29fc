import { type ComponentProps, useId } from 'react';
import { twMerge } from 'tailwind-merge';

const LOOKS = {
  /** The one thing to do here. */
  main: 'bg-ink text-ground border-ink hover:bg-own hover:border-own font-semibold',
  /** A real choice among others. */
  plain: 'bg-paper text-ink border-edge hover:border-ink',
  /** Always at hand, never in the way. */
  quiet:
    'border-transparent text-quiet underline decoration-edge underline-offset-4 hover:text-ink hover:decoration-ink px-2',
  hazard: 'bg-paper text-hazard border-hazard hover:bg-hazard-wash font-semibold',
} as const;

export interface ButtonProps extends ComponentProps<'button'> {
  readonly look?: keyof typeof LOOKS;
  /** What it still waits for: it cannot be pressed, and says so beside it. */
  readonly lacks?: string | false | undefined;
}

export function Button({
  look = 'plain',
  lacks = false,
  disabled = false,
  className,
  type = 'button',
  ...rest
}: ButtonProps) {
  const id = useId();
  const isLacking = lacks !== false && lacks !== '';
  const button = (
    <button
      type={type}
      disabled={disabled || isLacking}
      aria-describedby={isLacking ? id : undefined}
      className={twMerge(
        'inline-flex min-h-11 min-w-11 items-center justify-center gap-2 rounded-md border-2 px-4 py-2 text-base leading-tight transition-colors disabled:opacity-55',
        LOOKS[look],
        className,
      )}
      {...rest}
    />
  );
  if (!isLacking) return button;
  return (
    <>
      {button}
      <span id={id} className="mt-auto mb-3 text-sm text-quiet">
        {lacks}
      </span>
    </>
  );
}

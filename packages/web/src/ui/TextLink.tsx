import { Link, type LinkProps } from 'react-router';
import { twMerge } from 'tailwind-merge';

/** A way to another view, in words. */
export function TextLink({ className, ...rest }: LinkProps) {
  return (
    <Link
      className={twMerge(
        'inline-flex min-h-11 items-center underline underline-offset-4',
        className,
      )}
      {...rest}
    />
  );
}

import { twMerge } from 'tailwind-merge';

/** A telephone number that a tap calls. */
export function PhoneLink({
  number,
  className,
}: {
  readonly number: string;
  readonly className?: string;
}) {
  return (
    <a
      href={`tel:${number.replaceAll(/[^\d+]/g, '')}`}
      className={twMerge(
        'inline-flex min-h-11 items-center underline underline-offset-4',
        className,
      )}
    >
      {number}
    </a>
  );
}

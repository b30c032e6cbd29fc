import type { ReactNode } from 'react';
import { twMerge } from 'tailwind-merge';

/** Opens a paper, to be printed, beside the page. */
export function PaperLink({
  href,
  className,
  children,
}: {
  readonly href: string;
  readonly className?: string;
  readonly children: ReactNode;
}) {
  return (
    <a
      href={href}
      target="_blank"
      rel="noreferrer"
      className={twMerge(
        'inline-flex min-h-11 items-center underline underline-offset-4 print:hidden',
        className,
      )}
    >
      {children}
    </a>
  );
}

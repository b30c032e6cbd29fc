import { Download } from 'lucide-react';
import type { ReactNode } from 'react';
import { twMerge } from 'tailwind-merge';

/** Has the browser keep a file. */
export function DownloadLink({
  href,
  label,
  className,
  children,
}: {
  readonly href: string;
  /** What it is called, where what is shown does not say it. */
  readonly label?: string;
  readonly className?: string;
  readonly children: ReactNode;
}) {
  return (
    <a
      href={href}
      download
      aria-label={label}
      className={twMerge(
        'inline-flex min-h-11 items-center gap-2 underline decoration-edge underline-offset-4 hover:decoration-ink',
        className,
      )}
    >
      <Download aria-hidden size={20} className="shrink-0" />
      {children}
    </a>
  );
}

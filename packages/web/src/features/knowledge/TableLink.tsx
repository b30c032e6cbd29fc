import type { ReactNode } from 'react';
import { Link, useLocation } from 'react-router';

/** To a cause or a check, with the machine or the ticket at hand kept. */
export function TableLink({
  kind,
  id,
  current = false,
  className = 'inline-flex min-h-11 items-center underline underline-offset-4',
  children,
}: {
  readonly kind: 'cause' | 'check';
  readonly id: string;
  readonly current?: boolean;
  readonly className?: string;
  readonly children: ReactNode;
}) {
  const { search } = useLocation();
  return (
    <Link
      to={`/knowledge/${kind}/${id}${search}`}
      aria-current={current ? 'page' : undefined}
      className={className}
    >
      {children}
    </Link>
  );
}

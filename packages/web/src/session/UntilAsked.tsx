import type { Role } from '@nodo/kernel';
import { useSession } from './SessionContext.tsx';

/**
 * Whether a role works among instruments, causes and chances. The counter talks to people: there a chance of a
 * cause is taken for a promise, so it comes only when it is asked for.
 */
export function worksAtBench(role: Role): boolean {
  return role !== 'counter';
}

/** What the bench sees at once, and the counter when it asks. */
export function UntilAsked({
  ask,
  children,
}: {
  /** What it is, in the words that open it. */
  readonly ask: string;
  readonly children: React.ReactNode;
}) {
  if (worksAtBench(useSession().person.role)) return children;
  return (
    <details>
      <summary className="flex min-h-11 cursor-pointer items-center text-quiet underline underline-offset-4">
        {ask}
      </summary>
      {children}
    </details>
  );
}

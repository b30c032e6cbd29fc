import type { Session } from '@nodo/api';
import { createContext, type ReactNode, useContext } from 'react';

const Current = createContext<Session | undefined>(undefined);

/** Everything inside is for somebody who is signed in. */
export function SessionProvider({
  session,
  children,
}: {
  readonly session: Session;
  readonly children: ReactNode;
}) {
  return <Current value={session}>{children}</Current>;
}

/**
 * Who is signed in on this screen, and in which shop.
 * @throws Error outside of a {@link SessionProvider}
 */
export function useSession(): Session {
  const session = useContext(Current);
  if (!session) throw new Error('useSession needs a SessionProvider above it');
  return session;
}

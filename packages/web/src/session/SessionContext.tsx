import type { Session } from '@nodo/api';
import { createContext, Fragment, type ReactNode, useContext } from 'react';
import { useShopQuery } from '../api/client.ts';
import { ownZone, setShopZone } from '../time/shopTime.ts';

const Current = createContext<Session | undefined>(undefined);

/**
 * Everything inside is for somebody who is signed in. Days and clocks are the shop's; where that is
 * another time zone than the device's, what is inside is mounted again once it is known.
 */
export function SessionProvider({
  session,
  children,
}: {
  readonly session: Session;
  readonly children: ReactNode;
}) {
  const zone = useShopQuery().data?.card.timeZone ?? ownZone();
  setShopZone(zone);
  return (
    <Current value={session}>
      <Fragment key={zone}>{children}</Fragment>
    </Current>
  );
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

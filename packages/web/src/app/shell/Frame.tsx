import { Search } from 'lucide-react';
import { lazy, type ReactNode, Suspense, useLayoutEffect, useState } from 'react';
import { useLocation } from 'react-router';
import { useAppSelector, useTablesQuery } from '../../api/client.ts';
import { useStreamState } from '../../api/useStreamState.ts';
import { m } from '../../messages/index.ts';
import { BarSlot } from '../../session/BarSlot.tsx';
import { useSession } from '../../session/SessionContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { useKeys } from '../../ui/useKeys.ts';
import { AskPin } from './AskPin.tsx';
import { AskZone } from './AskZone.tsx';
import { Notices } from './Notices.tsx';
import { PersonButton } from './PersonButton.tsx';
import { ShopBar } from './ShopBar.tsx';
import { useIdleLock } from './useIdleLock.ts';

const FindBox = lazy(() => import('../../features/find/FindBox.tsx'));
const LockedScreen = lazy(() => import('./LockedScreen.tsx'));

/** What stands round every view: where one is, who one is, whether the shop is in reach. */
export function Frame({ children }: { readonly children: ReactNode }) {
  const session = useSession();
  // Every view judges with them: read once, kept as long as somebody is signed in.
  useTablesQuery();
  useIdleLock();
  const { locked } = session.screen;
  useHidden(locked);

  const isAtTicket = useIsAtTicket();
  const [isFinding, setFinding] = useState(false);
  useKeys(isAtTicket && !isFinding ? { '/': () => setFinding(true) } : {});
  const [slot, setSlot] = useState<HTMLElement | null>(null);

  return (
    <div
      data-thread={session.person.thread}
      className={`flex min-h-dvh flex-col ${isAtTicket ? 'tall:h-dvh print:h-auto' : 'max-md:pb-(--phone-bar)'}`}
    >
      {locked && (
        <Suspense>
          <LockedScreen />
        </Suspense>
      )}
      <a
        href="#main"
        className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-paper focus:p-3"
      >
        {m.shell.skipToMain}
      </a>
      <header
        className={`flex items-center border-b border-rule print:hidden ${
          isAtTicket ? 'h-13 gap-x-3 px-3 sm:px-4 lg:h-15' : 'flex-wrap gap-x-4 gap-y-1 gutter py-1'
        }`}
      >
        {isAtTicket ? (
          <>
            <div
              ref={setSlot}
              className={
                isFinding ? 'hidden' : 'flex min-w-0 flex-1 items-center gap-x-3 lg:gap-x-4'
              }
            />
            {isFinding ? (
              <Suspense>
                <FindBox
                  begun={{ text: '', isEntered: false, scan: false }}
                  onLeave={() => setFinding(false)}
                />
              </Suspense>
            ) : (
              <Button
                look="quiet"
                className="max-lg:hidden"
                aria-label={m.life.find.label}
                title={m.life.find.label}
                onClick={() => setFinding(true)}
              >
                <Search aria-hidden size={20} />
              </Button>
            )}
          </>
        ) : (
          <ShopBar />
        )}
        <span className="ml-auto flex items-center">
          <PersonButton />
        </span>
      </header>
      <Reach />
      <AskZone />
      {!isAtTicket && <AskPin />}
      <Notices />
      <main id="main" tabIndex={-1} className="flex min-h-0 flex-1 flex-col focus:outline-none">
        <BarSlot value={slot}>{children}</BarSlot>
      </main>
    </div>
  );
}

/** Hides whatever stands on the page, at once and sheets included, before the lock itself is there (styles.css). */
function useHidden(locked: boolean): void {
  useLayoutEffect(() => {
    if (!locked) return undefined;
    document.documentElement.dataset.locked = '';
    return () => {
      delete document.documentElement.dataset.locked;
    };
  }, [locked]);
}

/** Whether the view is about one ticket: its bar takes the place of the shop's. */
function useIsAtTicket(): boolean {
  const { pathname, search } = useLocation();
  return AT_TICKET.test(pathname) || new URLSearchParams(search).has('ticket');
}

const AT_TICKET = /^\/(bench|phone|ticket)\/./;

/** Says when the shop is out of reach or newer than this page, and what waits here meanwhile. */
function Reach() {
  const waiting = useAppSelector(
    ({ outbox }) => outbox.entries.filter(({ refusal }) => !refusal).length,
  );
  const unreachable = useAppSelector(({ outbox }) => outbox.unreachable);
  const lost = useStreamState() === 'lost' || unreachable;
  const outdated = useAppSelector(({ version }) => version.outdated);
  const unreadable = useAppSelector(({ outbox }) => outbox.unreadable);
  return (
    <div role="status" aria-live="polite">
      {(outdated || unreadable > 0) && (
        <p
          data-testid="outdated"
          className="flex flex-wrap items-center gap-4 border-b-2 border-dashed border-own gutter py-2"
        >
          {outdated && <span>{m.shell.update.outdated}</span>}
          {unreadable > 0 && <span>{m.shell.update.unreadable(unreadable)}</span>}
          {outdated && (
            <Button onClick={() => window.location.reload()}>{m.shell.update.load}</Button>
          )}
        </p>
      )}
      {lost && (
        <p
          data-testid="lost"
          className="flex flex-wrap items-center gap-4 border-b-2 border-dashed border-ink bg-paper gutter py-2"
        >
          <span>{m.shell.lost}</span>
          {waiting > 0 && <strong>{m.shell.waiting(waiting)}</strong>}
        </p>
      )}
    </div>
  );
}

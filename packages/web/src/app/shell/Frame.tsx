import { Moon, Sun } from 'lucide-react';
import { lazy, type ReactNode, Suspense } from 'react';
import { Link, NavLink } from 'react-router';
import { useAppSelector, useTablesQuery } from '../../api/client.ts';
import { useStreamState } from '../../api/useStreamState.ts';
import { m } from '../../messages/index.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { AskZone } from './AskZone.tsx';
import { LockedScreen } from './LockedScreen.tsx';
import { Notices } from './Notices.tsx';
import { PersonButton } from './PersonButton.tsx';
import { useIdleLock } from './useIdleLock.ts';
import { useTheme } from './useTheme.ts';

const FindBox = lazy(() => import('../../features/find/FindBox.tsx'));

/** What stands round every view: where one is, who one is, whether the shop is in reach. */
export function Frame({ children }: { readonly children: ReactNode }) {
  const session = useSession();
  // Every view judges with them: read once, kept as long as somebody is signed in.
  useTablesQuery();
  const { theme, toggle } = useTheme();
  useIdleLock();
  const { locked } = session.screen;

  return (
    <div data-thread={session.person.thread} className="flex min-h-dvh flex-col">
      {locked && <LockedScreen />}
      <a
        href="#main"
        className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-paper focus:p-3"
      >
        {m.shell.skipToMain}
      </a>
      <header className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule px-5 py-1">
        <Link to="/" className="py-2 text-xl font-bold tracking-tight">
          {m.shell.product}
        </Link>
        <nav
          aria-label={m.shell.mainNav}
          className="order-last flex w-full flex-wrap items-center gap-x-1 md:order-none md:w-auto"
        >
          <FrameLink to="/">{m.shell.toRack}</FrameLink>
          <FrameLink to="/counter">{m.shell.takeIn}</FrameLink>
          <FrameLink to="/phone">{m.phone.nav}</FrameLink>
          <FrameLink to="/needle" within>
            {m.instrument.needle}
          </FrameLink>
          <FrameLink to="/bobbin" within>
            {m.instrument.bobbin}
          </FrameLink>
          <FrameLink to="/knowledge">{m.knowledge.nav}</FrameLink>
          {session.person.role === 'lead' && <FrameLink to="/people">{m.people.nav}</FrameLink>}
          {session.person.role === 'lead' && <FrameLink to="/shop">{m.cards.shop.nav}</FrameLink>}
        </nav>
        <Suspense fallback={<span className="min-h-11 flex-1" />}>
          <FindBox />
        </Suspense>
        <p className="ml-auto hidden text-quiet 2xl:block">{session.shop.name}</p>
        <span className="ml-auto flex items-center gap-x-2">
          <PersonButton />
          <Button
            look="quiet"
            onClick={toggle}
            aria-label={theme === 'day' ? m.shell.nightBench : m.shell.dayBench}
            title={theme === 'day' ? m.shell.nightBench : m.shell.dayBench}
          >
            {theme === 'day' ? <Moon aria-hidden size={20} /> : <Sun aria-hidden size={20} />}
          </Button>
        </span>
      </header>
      <Reach />
      <AskZone />
      <Notices />
      <main id="main" tabIndex={-1} className="flex min-h-0 flex-1 flex-col focus:outline-none">
        {children}
      </main>
    </div>
  );
}

function FrameLink({
  to,
  within = false,
  children,
}: {
  readonly to: string;
  /** Also on the pages below it. */
  readonly within?: boolean;
  readonly children: string;
}) {
  return (
    <NavLink
      to={to}
      end={!within}
      className="inline-flex min-h-11 items-center whitespace-nowrap border-b-3 border-transparent px-3 text-quiet hover:text-ink aria-[current=page]:border-own aria-[current=page]:font-semibold aria-[current=page]:text-ink"
    >
      {children}
    </NavLink>
  );
}

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
          className="flex flex-wrap items-center gap-4 border-b-2 border-dashed border-own px-5 py-2"
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
          className="flex flex-wrap items-center gap-4 border-b-2 border-dashed border-hazard bg-hazard-wash px-5 py-2"
        >
          <span>{m.shell.lost}</span>
          {waiting > 0 && <strong>{m.shell.waiting(waiting)}</strong>}
        </p>
      )}
    </div>
  );
}

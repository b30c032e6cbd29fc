import type { CallError } from '@nodo/client';
import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { BrowserRouter, Route, Routes } from 'react-router';
import { useSessionQuery } from '../api/client.ts';
import { useStreamState } from '../api/useStreamState.ts';
import { RackView } from '../features/rack/RackView.tsx';
import { SignIn } from '../features/signIn/SignIn.tsx';
import { m } from '../messages/index.ts';
import { BeingRead } from '../session/NotRead.tsx';
import { SessionProvider } from '../session/SessionContext.tsx';
import { Button } from '../ui/Button.tsx';
import { ErrorBoundary } from '../ui/ErrorBoundary.tsx';
import { Blank, Sewing } from '../ui/Stitches.tsx';
import { TextLink } from '../ui/TextLink.tsx';
import { useIdle } from '../ui/useIdle.ts';
import { Frame } from './shell/Frame.tsx';

const CounterView = lazy(() => import('../features/counter/CounterView.tsx'));
const PhoneView = lazy(() => import('../features/phone/PhoneView.tsx'));
const CallView = lazy(() => import('../features/phone/CallView.tsx'));
const KnowledgeView = lazy(() => import('../features/knowledge/KnowledgeView.tsx'));
const PeopleView = lazy(() => import('../features/people/PeopleView.tsx'));
const ShopDataView = lazy(() => import('../features/shopData/ShopDataView.tsx'));
const ProgramsView = lazy(() => import('../features/programs/ProgramsView.tsx'));
const Tagged = lazy(() => import('../features/find/Tagged.tsx'));
const CustomerView = lazy(() => import('../features/customers/CustomerView.tsx'));
// Nothing is told before somebody has done something; the first picture does not wait for it.
const Messages = lazy(() => import('./shell/Messages.tsx'));
/** So soon messages can be shown, however busy the page is. */
const MESSAGES_WITHIN_MS = 1_000;
const MachineView = lazy(() => import('../features/machines/MachineView.tsx'));
const ShopView = lazy(() => import('../features/shopProfile/ShopView.tsx'));
const DayView = lazy(() => import('../features/day/DayView.tsx'));
const CollectedView = lazy(() => import('../features/collected/CollectedView.tsx'));
const NeedleView = lazy(() => import('../instruments/needle/NeedleView.tsx'));
const BobbinView = lazy(() => import('../instruments/bobbin/BobbinView.tsx'));
const StitchView = lazy(() => import('../instruments/stitch/StitchView.tsx'));
const SampleView = lazy(() => import('../instruments/sample/SampleView.tsx'));
const TensionView = lazy(() => import('../instruments/tension/TensionView.tsx'));
const ToolsView = lazy(() => import('../features/tools/ToolsView.tsx'));
const SharedView = lazy(() => import('../features/customerLink/SharedView.tsx'));
const TicketPage = lazy(() => import('../features/bench/page/TicketPage.tsx'));
const BenchView = lazy(() => import('../features/bench/BenchView.tsx'));

/** A customer's page needs no sign-in; everything else begins with one. */
export function App() {
  const [, token] = /^\/shared\/([^/]+)$/.exec(window.location.pathname) ?? [];
  if (token === undefined) return <Shop />;
  return (
    <Suspense fallback={<BeingRead />}>
      <SharedView token={token} />
    </Suspense>
  );
}

/** Sign-in before everything; then one frame round every view. */
function Shop() {
  const [asksAgain, setAsksAgain] = useState(false);
  const {
    data: session,
    error,
    isLoading,
    refetch,
  } = useSessionQuery(undefined, { pollingInterval: asksAgain ? SESSION_POLL_MS : 0 });
  // A stream that ended may mean that the sign-in did; a lock may be opened by another tab.
  const mayChange = useStreamState() === 'lost' || session?.screen.locked === true;
  useEffect(() => setAsksAgain(mayChange), [mayChange]);
  const isIdle = useIdle(MESSAGES_WITHIN_MS);
  const fault = error as CallError | undefined;

  if (isLoading) {
    return (
      <main className="grid min-h-dvh place-items-center">
        <Sewing label={m.shell.loading} />
      </main>
    );
  }
  if (!session && fault?.kind === 'unreachable') {
    return <Unreachable onRetry={() => void refetch()} />;
  }
  if (!session) return <SignIn />;
  return (
    <BrowserRouter>
      <SessionProvider session={session}>
        <Frame>
          <ErrorBoundary instead={<Broken />}>
            <Suspense fallback={<BeingRead />}>
              <Routes>
                <Route path="/" element={<RackView />} />
                <Route path="/counter" element={<CounterView />} />
                <Route path="/phone" element={<PhoneView />} />
                <Route path="/phone/:ticket" element={<CallView />} />
                <Route path="/ticket/:ticket" element={<TicketPage />} />
                <Route path="/bench/:ticket" element={<BenchView />} />
                <Route path="/bench/:ticket/needle/:part?" element={<NeedleView />} />
                <Route path="/bench/:ticket/bobbin/:part?" element={<BobbinView />} />
                <Route path="/bobbin/:part?" element={<BobbinView />} />
                <Route path="/bench/:ticket/stitch/:part?" element={<StitchView />} />
                <Route path="/stitch/:part?" element={<StitchView />} />
                <Route path="/bench/:ticket/tension/:part?" element={<TensionView />} />
                <Route path="/tension/:part?" element={<TensionView />} />
                <Route path="/bench/:ticket/sample/:part?" element={<SampleView />} />
                <Route path="/sample/:part?" element={<SampleView />} />
                <Route path="/tools" element={<ToolsView />} />
                <Route path="/needle/:part?" element={<NeedleView />} />
                <Route path="/knowledge/:kind?/:id?" element={<KnowledgeView />} />
                <Route path="/t/:ticket" element={<Tagged />} />
                <Route path="/customers/:customer" element={<CustomerView />} />
                <Route path="/machines/:machine" element={<MachineView />} />
                <Route path="/shop" element={<ShopView />} />
                <Route path="/day" element={<DayView />} />
                <Route path="/collected" element={<CollectedView />} />
                <Route path="/people" element={<PeopleView />} />
                <Route path="/data" element={<ShopDataView />} />
                <Route path="/programs" element={<ProgramsView />} />
                <Route path="*" element={<NothingHere />} />
              </Routes>
            </Suspense>
          </ErrorBoundary>
        </Frame>
      </SessionProvider>
      {isIdle && (
        <Suspense>
          <Messages />
        </Suspense>
      )}
    </BrowserRouter>
  );
}

function Broken() {
  return (
    <Blank title={m.shell.brokenTitle} text={m.shell.broken}>
      <Button look="main" onClick={() => window.location.reload()}>
        {m.shell.loadAgain}
      </Button>
    </Blank>
  );
}

function NothingHere() {
  return (
    <Blank title={m.shell.nothingHere}>
      <TextLink to="/">{m.shell.backToRack}</TextLink>
    </Blank>
  );
}

function Unreachable({ onRetry }: { readonly onRetry: () => void }) {
  useRetry(onRetry);
  return (
    <main>
      <Blank title={m.shell.unreachableTitle} text={m.shell.unreachable}>
        <Button look="main" onClick={onRetry}>
          {m.shell.tryAgain}
        </Button>
      </Blank>
    </main>
  );
}

const RETRY_MS = 2_000;
const SESSION_POLL_MS = 3_000;

function useRetry(retry: () => void): void {
  const latest = useRef(retry);
  useEffect(() => {
    latest.current = retry;
  });
  useEffect(() => {
    const timer = setInterval(() => latest.current(), RETRY_MS);
    return () => clearInterval(timer);
  }, []);
}

import { atTheClock, mayRecord, minutesWorked, stageOf } from '@nodo/ticket';
import { ClipboardList, Pause, Play } from 'lucide-react';
import { lazy, Suspense, useEffect, useState } from 'react';
import { m, write } from '../../../messages/index.ts';
import { useSession } from '../../../session/SessionContext.tsx';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { Button } from '../../../ui/Button.tsx';
import { SendSheet, type SentOn } from '../together/Together.tsx';
import { useOtherClock } from './useOtherClock.ts';

const JobSheet = lazy(() => import('./JobSheet.tsx'));

const LOOK_AT_CLOCK_MS = 15_000;

/** The clock of whoever stands here, what holds the ticket up, and the way to all else of it. */
export function JobBar() {
  const { ticket } = useTicket();
  const session = useSession();
  const standing = stageOf(ticket);
  const { role } = session.person;
  const isHeldUp = standing === 'ask-customer' || standing === 'part-awaited';
  return (
    <div className="flex items-center gap-2 max-lg:flex-wrap">
      {isHeldUp && (
        <span className="rounded border-2 border-dashed border-ink px-2 py-1 text-sm leading-tight font-semibold">
          {m.life.standing(standing, ticket.closing?.unrepaired)}
        </span>
      )}
      {ticket.status === 'open' && mayRecord(role, 'clock-started') && <Clock />}
      <JobButton />
    </div>
  );
}

/** Opens the job sheet, and from it what leaves this bench. */
export function JobButton() {
  const [sheet, setSheet] = useState<'job' | SentOn>();
  return (
    <>
      <Button onClick={() => setSheet('job')} className="px-3">
        <ClipboardList aria-hidden size={20} />
        {m.life.sheet.open}
      </Button>
      {sheet === 'job' && (
        <Suspense>
          <JobSheet onClose={() => setSheet(undefined)} onSendOn={setSheet} />
        </Suspense>
      )}
      {(sheet === 'hand-over' || sheet === 'links') && (
        <SendSheet sheet={sheet} onDone={() => setSheet(undefined)} />
      )}
    </>
  );
}

function Clock() {
  const { ticket, record } = useTicket();
  const session = useSession();
  const { life } = ticket;
  const now = useNow();
  const words = m.life.clock;
  const isRunning = atTheClock(life).includes(session.person.id);
  const worked = Math.floor(minutesWorked(life, now));
  const interruptOther = useOtherClock(ticket.id);
  const start = () => {
    interruptOther();
    record('clock-started', {});
  };
  if (!isRunning) {
    return (
      <Button
        onClick={start}
        className="px-3"
        title={worked > 0 ? words.resume : words.start}
        aria-label={
          worked > 0 ? `${words.resume} · ${words.worked(write.duration(worked))}` : undefined
        }
      >
        <Play aria-hidden size={18} />
        {worked > 0 ? words.worked(write.duration(worked)) : words.start}
      </Button>
    );
  }
  return (
    <Button
      onClick={() => record('clock-stopped', { why: 'interrupted' })}
      className="border-own px-3"
      title={words.interrupt}
      aria-label={`${words.interrupt} · ${words.running(write.duration(worked))}`}
    >
      <Pause aria-hidden size={18} />
      {words.running(write.duration(worked))}
    </Button>
  );
}

function useNow(): string {
  const [now, setNow] = useState(() => new Date().toISOString());
  useEffect(() => {
    const timer = setInterval(() => setNow(new Date().toISOString()), LOOK_AT_CLOCK_MS);
    return () => clearInterval(timer);
  }, []);
  return now;
}

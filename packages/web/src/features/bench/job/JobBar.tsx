import { atTheClock, mayRecord, minutesWorked, stageOf } from '@nodo/ticket';
import { ClipboardList, Pause, Play } from 'lucide-react';
import { lazy, Suspense, useEffect, useState } from 'react';
import { m, write } from '../../../messages/index.ts';
import { useSession } from '../../../session/SessionContext.tsx';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { Button } from '../../../ui/Button.tsx';
import { useOtherClock } from './useOtherClock.ts';

const JobSheet = lazy(() => import('./JobSheet.tsx'));

const LOOK_AT_CLOCK_MS = 15_000;

/** The clock of whoever stands here, where the ticket stands, and the way to its job sheet. */
export function JobBar() {
  const { ticket } = useTicket();
  const session = useSession();
  const [open, setOpen] = useState(false);
  const standing = stageOf(ticket);
  const { role } = session.person;
  const isHeldUp = standing === 'ask-customer' || standing === 'part-awaited';
  return (
    <div className="flex flex-wrap items-center gap-2">
      {isHeldUp && (
        <span className="rounded border-2 border-hazard px-2 py-1 text-sm font-semibold text-hazard">
          {m.life.standing(standing)}
        </span>
      )}
      {ticket.status === 'open' && mayRecord(role, 'clock-started') && <Clock />}
      <Button onClick={() => setOpen(true)} className="px-3">
        <ClipboardList aria-hidden size={20} />
        {m.life.sheet.open}
      </Button>
      {open && (
        <Suspense>
          <JobSheet onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </div>
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
      <Button onClick={start} className="px-3">
        <Play aria-hidden size={18} />
        {worked > 0 ? `${words.resume} · ${words.worked(write.minutes(worked))}` : words.start}
      </Button>
    );
  }
  return (
    <Button
      onClick={() => record('clock-stopped', { why: 'interrupted' })}
      className="border-own px-3"
      title={words.interrupt}
    >
      <Pause aria-hidden size={18} />
      {`${words.interrupt} · ${words.running(write.minutes(worked))}`}
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

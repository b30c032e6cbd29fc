import type { Person } from '@nodo/api';
import type { Planned, ShopPlan } from '@nodo/shop';
import { mayRecord, type RackEntry } from '@nodo/ticket';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { m, write } from '../../messages/index.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { ticketAddress } from '../../shop/ticketAddress.ts';
import { shopClock } from '../../time/shopTime.ts';
import { Button } from '../../ui/Button.tsx';
import { PersonMark } from '../../ui/PersonMark.tsx';

// What moves jobs by hand is for a lead who asks for it.
const ArrangeBenches = lazy(() => import('./ArrangeBenches.tsx'));

/** Pixels that a minute of work takes, and the least that a machine does. */
const PER_MINUTE = 2.2;
const LEAST_WIDE = 76;
/** So many machines of one person are drawn; the rest is a number. */
const MOST_DRAWN = 9;

/**
 * Who is best to do what next: each bench a thread, each machine a stitch as long as its work,
 * with loose ends for how unsure that is, a flag where a day is promised.
 */
export function DayThreads({
  plan,
  rack,
  people,
}: {
  readonly plan: ShopPlan;
  readonly rack: readonly RackEntry[];
  readonly people: ReadonlyMap<string, Person>;
}) {
  const words = m.rack.threads;
  const lineOf = new Map(rack.map((line) => [line.ticket, line]));
  const { role } = useSession().person;
  const [isArranging, setArranging] = useState(false);
  // What waits for a part or an answer is in the plan, but nobody can go on with it now.
  const workable = plan.planned.filter(({ waitsFor }) => waitsFor === undefined);
  const benches = [...new Set(workable.map(({ person }) => person))].sort((a, b) =>
    (people.get(a)?.name ?? '').localeCompare(people.get(b)?.name ?? ''),
  );
  if (benches.length === 0) return null;
  return (
    <section aria-labelledby="threads-title" className="mb-5 border-b border-rule pb-3">
      <h2 id="threads-title" className="font-semibold">
        {words.title}
        <span className="ml-2 text-sm font-normal text-quiet">{orderWords(plan)}</span>
      </h2>
      {mayRecord(role, 'job-pinned') && (
        <Button
          className="float-right"
          aria-pressed={isArranging}
          onClick={() => setArranging(!isArranging)}
        >
          {isArranging ? m.rack.arrange.done : m.rack.arrange.title}
        </Button>
      )}
      {isArranging ? (
        <Suspense>
          <ArrangeBenches workable={workable} rack={rack} people={people} />
        </Suspense>
      ) : (
        <p className="text-sm text-quiet">{words.legend}</p>
      )}
      {!isArranging &&
        benches.map((bench) => {
          const person = people.get(bench);
          const queue = workable.filter((one) => one.person === bench);
          return (
            person && (
              <div key={bench} className="mt-2 flex items-start gap-3">
                <PersonMark person={person} />
                <ol
                  aria-label={words.of(person.name)}
                  data-thread={person.thread}
                  className="flex min-w-0 flex-1 flex-wrap gap-y-2"
                >
                  {queue.slice(0, MOST_DRAWN).map((planned, at) => (
                    <Piece
                      key={planned.ticket}
                      isNewDay={planned.day !== queue[at - 1]?.day}
                      planned={planned}
                      line={lineOf.get(planned.ticket)}
                    />
                  ))}
                  {queue.length > MOST_DRAWN && (
                    <li className="self-center text-sm text-quiet">
                      {words.more(queue.length - MOST_DRAWN)}
                    </li>
                  )}
                </ol>
              </div>
            )
          );
        })}
    </section>
  );
}

/** Whether every promise holds, and if not, how far the order may be from the best. */
function orderWords({ cost, bound }: ShopPlan): string {
  const words = m.rack.threads;
  if (cost === 0) return words.allInTime;
  if (cost - bound < 1) return words.lateAnyway;
  return words.gap(write.minutes(Math.round(cost)), write.minutes(Math.round(bound)));
}

function Piece({
  planned: { minutes, spread, promised, chance, reason, day },
  line,
  isNewDay,
}: {
  readonly isNewDay: boolean;
  readonly planned: Planned;
  readonly line: RackEntry | undefined;
}) {
  const { role } = useSession().person;
  if (!line) return null;
  const words = m.rack.threads;
  const width = Math.max(LEAST_WIDE, Math.min(260, minutes * PER_MINUTE));
  const loose = Math.min(width * 0.45, spread * PER_MINUTE);
  const isUnsafe = chance !== null && chance < 0.9;
  const said = words.piece(
    line.label,
    write.minutes(Math.round(minutes)),
    write.minutes(Math.round(spread)),
    m.life.reason(reason),
  );
  return (
    <li className="shrink-0" style={{ width }}>
      <Link
        to={ticketAddress(role, line)}
        title={said}
        className="flex min-h-11 flex-col justify-start hover:bg-paper"
      >
        <span className="sr-only">{said}</span>
        <span aria-hidden="true" className="flex items-baseline gap-1 font-mono text-sm font-bold">
          {line.tag}
          <span className="font-sans font-normal text-quiet">
            {words.minutes(write.minutes(Math.round(minutes)))}
          </span>
        </span>
        <svg width={width} height="16" viewBox={`0 0 ${width} 16`} aria-hidden="true">
          <line
            x1="3"
            x2={Math.max(6, width - loose - 6)}
            y1="8"
            y2="8"
            stroke="var(--own)"
            strokeWidth="4"
            strokeLinecap="round"
          />
          {[3, 8, 13].map((end) => (
            <path
              key={end}
              d={`M${width - loose - 6} 8Q${width - loose / 2 - 6} 8 ${width - 6} ${end}`}
              fill="none"
              stroke="var(--own)"
              strokeWidth="1.3"
              strokeLinecap="round"
            />
          ))}
        </svg>
        <span
          className={`text-xs ${isUnsafe || (promised !== null && promised < shopClock().day) ? 'font-semibold text-hazard' : 'text-quiet'}`}
        >
          {promised === null
            ? day === null || !isNewDay
              ? ''
              : write.plainDay(day)
            : words.flag(write.plainDay(promised), chance === null ? '' : write.percent(chance))}
        </span>
      </Link>
    </li>
  );
}

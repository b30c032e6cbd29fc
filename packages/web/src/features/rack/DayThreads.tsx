import type { Person } from '@nodo/api';
import type { BenchShift, ShopPlan } from '@nodo/shop';
import { mayRecord, type RackEntry } from '@nodo/ticket';
import { lazy, Suspense, useState } from 'react';
import { m, write } from '../../messages/index.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { shopClock } from '../../time/shopTime.ts';
import { Button } from '../../ui/Button.tsx';
import { useWidth } from '../../ui/useWidth.ts';
import { BenchLine } from './BenchLine.tsx';
import { type Axis, axisOf, hoursOn, isAtRisk, scaleOf } from './dayAxis.ts';

// What moves jobs by hand is for a lead who asks for it.
const ArrangeBenches = lazy(() => import('./ArrangeBenches.tsx'));

/** The day at the benches along its hours: who does what when, what is promised, and where the clock is. */
export function DayThreads({
  plan,
  rack,
  people,
}: {
  readonly plan: ShopPlan;
  readonly rack: readonly RackEntry[];
  readonly people: ReadonlyMap<string, Person>;
}) {
  const { role } = useSession().person;
  const [isArranging, setArranging] = useState(false);
  const words = m.rack.threads;
  // What waits for a part or an answer is in the plan, but nobody can go on with it now.
  const workable = plan.planned.filter(({ waitsFor }) => waitsFor === undefined);
  const benches = plan.benches.toSorted((a, b) =>
    (people.get(a.person)?.name ?? '').localeCompare(people.get(b.person)?.name ?? ''),
  );
  const now = shopClock();
  const atRisk = plan.planned.filter((one) => isAtRisk(one, now.day)).length;
  if (benches.length === 0) return null;
  return (
    <section aria-labelledby="threads-title" className="mb-3 border-b border-rule pb-2">
      <div className="flex flex-wrap items-center gap-x-4">
        <h2 id="threads-title" className="text-lg font-semibold">
          {words.title(plan.day === now.day, write.plainDay(plan.day))}
        </h2>
        <span className="text-sm text-quiet">{words.atRisk(atRisk)}</span>
        {mayRecord(role, 'job-pinned') && (
          <Button
            look="quiet"
            className="ml-auto"
            aria-pressed={isArranging}
            onClick={() => setArranging(!isArranging)}
          >
            {isArranging ? m.rack.arrange.done : m.rack.arrange.title}
          </Button>
        )}
      </div>
      {isArranging ? (
        <Suspense>
          <ArrangeBenches
            workable={workable}
            benches={benches.map(({ person }) => person)}
            rack={rack}
            people={people}
          />
        </Suspense>
      ) : (
        <Day plan={{ ...plan, planned: workable }} benches={benches} rack={rack} people={people} />
      )}
    </section>
  );
}

/** Mark, hours, and what is promised: one below the other on a phone. */
const COLUMNS =
  'grid grid-cols-[2rem_minmax(0,1fr)] gap-x-3 sm:grid-cols-[2rem_minmax(0,1fr)_8rem]';

function Day({
  plan,
  benches,
  rack,
  people,
}: {
  readonly plan: ShopPlan;
  readonly benches: readonly BenchShift[];
  readonly rack: readonly RackEntry[];
  readonly people: ReadonlyMap<string, Person>;
}) {
  const [width, ref] = useWidth<HTMLDivElement>();
  const axis = axisOf(plan);
  const lineOf = new Map(rack.map((line) => [line.ticket, line]));
  return (
    <div>
      <div className={COLUMNS}>
        <span />
        <div ref={ref} className="relative h-6">
          <Hours axis={axis} width={width} />
        </div>
      </div>
      {benches.map((bench) => {
        const person = people.get(bench.person);
        return (
          person && (
            <div key={bench.person} className={COLUMNS}>
              <BenchLine
                person={person}
                bench={bench}
                planned={plan.planned.filter((one) => one.person === bench.person)}
                axis={axis}
                width={width}
                lineOf={lineOf}
              />
            </div>
          )
        );
      })}
    </div>
  );
}

/** The names of the hours, and where the clock is. */
function Hours({ axis, width }: { readonly axis: Axis; readonly width: number }) {
  const { perHour, x, now } = scaleOf(axis, width, shopClock());
  return (
    <>
      {hoursOn(axis, perHour).map((hour) => (
        <span
          key={hour}
          className={`absolute top-0 text-sm text-quiet ${hour === axis.until ? '-translate-x-full' : hour === axis.from ? '' : '-translate-x-1/2'}`}
          style={{ left: x(hour) }}
        >
          {hour / 60}
        </span>
      ))}
      {now !== undefined && (
        <span
          className="absolute top-0 z-10 -translate-x-1/2 bg-ground px-1 text-sm font-semibold"
          style={{ left: now }}
        >
          {m.rack.threads.now}
        </span>
      )}
    </>
  );
}

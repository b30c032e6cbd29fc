import type { Person } from '@nodo/api';
import type { BenchShift, Planned } from '@nodo/shop';
import type { RackEntry } from '@nodo/ticket';
import { useId, useState } from 'react';
import { Link } from 'react-router';
import { m, write } from '../../messages/index.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { ticketAddress } from '../../shop/ticketAddress.ts';
import { shopClock } from '../../time/shopTime.ts';
import { Opens } from '../../ui/Opens.tsx';
import { PersonMark } from '../../ui/PersonMark.tsx';
import { Tag } from '../../ui/Tag.tsx';
import {
  type Axis,
  benchDay,
  hoursOn,
  isAtRisk,
  scaleOf,
  type Target,
  tagsAbove,
} from './dayAxis.ts';

type Lines = ReadonlyMap<string, RackEntry>;

const HEIGHT = 52;
/** Where the line of work lies, below the tags. */
const AT = 34;
/** So far apart, in pixels, the ends of a long fray lie. */
const FRAY = 6;

/**
 * One bench along the hours: each job to scale under its tag, what lies too close for a finger together. A tap on
 * that opens the list of the bench.
 */
export function BenchLine({
  person,
  bench,
  planned,
  axis,
  width,
  lineOf,
}: {
  readonly person: Person;
  readonly bench: BenchShift;
  /** The jobs of this bench, in their order. */
  readonly planned: readonly Planned[];
  readonly axis: Axis;
  /** Of the axis, in pixels. */
  readonly width: number;
  readonly lineOf: Lines;
}) {
  const [isOpen, setOpen] = useState(false);
  const id = useId();
  const words = m.rack.threads;
  const { targets, later } = benchDay(bench, planned, axis, width);
  const toggle = { 'aria-expanded': isOpen, 'aria-controls': id, onClick: () => setOpen(!isOpen) };
  return (
    <>
      <span className="mt-4">
        <PersonMark person={person} />
      </span>
      <div className="relative" data-thread={person.thread} style={{ height: HEIGHT }}>
        <Work bench={bench} axis={axis} width={width} targets={targets} />
        {targets.map((target) => (
          <TargetBox
            key={target.jobs[0]?.planned.ticket}
            target={target}
            lineOf={lineOf}
            toggle={toggle}
            name={person.name}
          />
        ))}
        {!bench.shift && <span className="absolute top-5 text-sm text-quiet">{words.off}</span>}
      </div>
      <div className="flex flex-wrap content-center items-center gap-x-3 text-sm max-sm:col-start-2 max-sm:mb-2">
        <Promised planned={planned} lineOf={lineOf} axis={axis} />
        {later.length > 0 && (
          <button
            type="button"
            className="inline-flex min-h-11 items-center underline underline-offset-4"
            {...toggle}
          >
            {words.later(later.length)}
          </button>
        )}
      </div>
      {isOpen && (
        <ol
          id={id}
          aria-label={words.of(person.name)}
          className="col-span-full mb-2 border-l-3 border-edge pl-3 sm:col-start-2"
        >
          {planned.map((one) => (
            <JobLine key={one.ticket} planned={one} line={lineOf.get(one.ticket)} />
          ))}
        </ol>
      )}
    </>
  );
}

/** Hours, shift, work with its loose ends, now, and a flag where promises of the day end. */
function Work({
  bench: { shift },
  axis,
  width,
  targets,
}: {
  readonly bench: BenchShift;
  readonly axis: Axis;
  readonly width: number;
  readonly targets: readonly Target[];
}) {
  const { perHour, x, now } = scaleOf(axis, width, shopClock());
  const isDue = targets.some(({ jobs }) =>
    jobs.some(({ planned }) => planned.promised === axis.day),
  );
  return (
    <svg width={width} height={HEIGHT} className="absolute inset-0" aria-hidden="true">
      {hoursOn(axis, perHour).map((hour) => (
        <line key={hour} x1={x(hour)} x2={x(hour)} y1="0" y2={HEIGHT} stroke="var(--rule)" />
      ))}
      {shift && (
        <line
          x1={x(shift[0])}
          x2={x(shift[1])}
          y1={AT}
          y2={AT}
          stroke="var(--edge)"
          strokeDasharray="1 5"
          strokeLinecap="round"
        />
      )}
      {targets
        .flatMap(({ jobs }) => jobs)
        .map(({ planned, left, width: wide, loose }) => (
          <g key={planned.ticket} stroke="var(--own)" strokeLinecap="round" fill="none">
            <line
              x1={left + 2}
              x2={Math.max(left + 3, left + wide - loose)}
              y1={AT}
              y2={AT}
              strokeWidth="4"
            />
            {[-1, 0, 1].map((side) => (
              <path
                key={side}
                d={`M${left + wide - loose} ${AT}Q${left + wide - loose / 2} ${AT} ${left + wide - 1} ${AT + side * Math.min(FRAY, loose / 2)}`}
                strokeWidth="1.3"
              />
            ))}
          </g>
        ))}
      {isDue && shift && (
        <path
          d={`M${x(shift[1]) - 1} ${AT + 10}v-22l-11 5 11 5`}
          fill="var(--ink)"
          stroke="var(--ink)"
          strokeWidth="2"
          strokeLinejoin="round"
        />
      )}
      {now !== undefined && (
        <line x1={now} x2={now} y1="0" y2={HEIGHT} stroke="var(--ink)" strokeWidth="2" />
      )}
    </svg>
  );
}

/** What a finger can hit: one job, or those that lie close together. */
function TargetBox({
  target: { left, width, jobs },
  lineOf,
  toggle,
  name,
}: {
  readonly target: Target;
  readonly lineOf: Lines;
  readonly toggle: object;
  readonly name: string;
}) {
  const { role } = useSession().person;
  const words = m.rack.threads;
  const lines = jobs.flatMap(({ planned }) => lineOf.get(planned.ticket) ?? []);
  const [first] = lines;
  const [job] = jobs;
  if (!first || !job) return null;
  const { shown, more } = tagsAbove(
    lines.map(({ tag }) => tag ?? 0),
    width,
  );
  const box = {
    className:
      'absolute top-0 h-full min-w-11 rounded text-left text-sm font-semibold hover:bg-paper/60',
    style: { left, width },
  };
  const tags = (
    <span aria-hidden="true" className="absolute top-0 left-0.5 whitespace-nowrap">
      {shown.join('  ')}
      {more !== '' && <span className="font-normal">{more}</span>}
    </span>
  );
  if (lines.length === 1) {
    const said = saidOf(job.planned, first);
    return (
      <Link to={ticketAddress(role, first)} title={said} {...box}>
        <span className="sr-only">{said}</span>
        {tags}
      </Link>
    );
  }
  return (
    <button type="button" title={lines.map(({ label }) => label).join(', ')} {...box} {...toggle}>
      <span className="sr-only">
        {words.several(
          name,
          lines.map(({ tag }) => tag ?? 0),
        )}
      </span>
      {tags}
    </button>
  );
}

/** The promises that end with the day, and those that will hardly hold. */
function Promised({
  planned,
  lineOf,
  axis,
}: {
  readonly planned: readonly Planned[];
  readonly lineOf: Lines;
  readonly axis: Axis;
}) {
  const words = m.rack.threads;
  const today = shopClock().day;
  const tagsOf = (some: readonly Planned[]) =>
    some.map(({ ticket }) => lineOf.get(ticket)?.tag ?? 0).join(', ');
  const risky = planned.filter((one) => isAtRisk(one, today));
  const due = planned.filter((one) => one.promised === axis.day && !risky.includes(one));
  return (
    <>
      {due.length > 0 && <span>{words.due(tagsOf(due))}</span>}
      {risky.length > 0 && (
        <span className="rounded border-2 border-dashed border-ink px-1 font-semibold">
          {words.risky(tagsOf(risky))}
        </span>
      )}
    </>
  );
}

function JobLine({
  planned,
  line,
}: {
  readonly planned: Planned;
  readonly line: RackEntry | undefined;
}) {
  const { role } = useSession().person;
  const words = m.rack.threads;
  if (!line) return null;
  const { from, until, promised, chance } = planned;
  return (
    <li className="border-b border-rule last:border-0">
      <Link
        to={ticketAddress(role, line)}
        className="flex min-h-11 flex-wrap items-baseline gap-x-3 py-2 hover:underline"
      >
        <span className="w-13">{line.tag !== null && <Tag small tag={line.tag} />}</span>
        <span className="min-w-0 flex-1 break-words">
          <bdi className="font-semibold">{line.label}</bdi>
          <span className="block text-sm text-quiet">{workOf(planned)}</span>
        </span>
        <span className="text-sm">
          {[
            from &&
              until &&
              words.when(write.plainDay(from.day), clockOf(from.minute), clockOf(until.minute)),
            promised &&
              words.promised(
                write.plainDay(promised),
                chance === null ? '' : write.percent(chance),
              ),
          ]
            .filter(Boolean)
            .join(', ')}
        </span>
        <Opens />
      </Link>
    </li>
  );
}

function saidOf(planned: Planned, { label }: RackEntry): string {
  return `${label}: ${workOf(planned)}`;
}

/** How long it takes, how unsure that is, and why it comes when it does. */
function workOf({ minutes, spread, reason }: Planned): string {
  return m.rack.threads.work(
    write.duration(Math.round(minutes)),
    write.duration(Math.round(spread)),
    m.life.reason(reason),
  );
}

/** A minute of the day on the clock. */
function clockOf(minute: number): string {
  return `${Math.floor(minute / 60)}:${String(minute % 60).padStart(2, '0')}`;
}

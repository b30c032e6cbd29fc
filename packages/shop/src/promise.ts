import {
  type Bench,
  begunAt,
  doneAt,
  type Job,
  type Order,
  type Outlook,
  orderByDue,
  outlookOf,
  type PromiseOffer,
  promisesFor,
  workAfterEach,
} from '@nodo/core';
import { type Day, dayAfter, dayOf, daysBetween, type WallClock } from '@nodo/kernel';
import type { TicketSummary } from '@nodo/ticket';
import type { ShopProfile } from './profiles.ts';
import { benchOf, clockAt, dayAt, endOfDay, shiftOn } from './workingTime.ts';

/** How far ahead the shop is planned. */
const HORIZON_DAYS = 90;
/** On so many days a promise is looked for. */
const OFFERED_DAYS = 28;

/** What a minute of lateness counts against others. Ours, no source: they are asked for in the shop. */
const WEIGHT = { comeback: 3, promised: 2, usual: 1 } as const;

/** Why a machine stands where it does in the order. */
export type OrderReason = 'pinned' | 'overdue' | 'due-soon' | 'came-back' | 'promised' | 'in-turn';

/** What keeps a machine from being worked on. */
export type WaitsFor = 'answer' | 'part';

export interface Planned {
  readonly ticket: string;
  readonly person: string;
  /** What it waits for; it is done when that is there. */
  readonly waitsFor: WaitsFor | undefined;
  /** When it is expected to be begun and done; null beyond the horizon, and where nobody knows how long it waits. */
  readonly from: WallClock | null;
  readonly until: WallClock | null;
  readonly minutes: number;
  readonly spread: number;
  readonly promised: Day | null;
  /** Chance that the promise holds; null without one, and where nobody knows how long it waits. */
  readonly chance: number | null;
  readonly reason: OrderReason;
}

/** Somebody who works at the benches. */
export interface BenchShift {
  readonly person: string;
  /** On the day of the plan, in minutes from midnight; null where they do not work on it. */
  readonly shift: readonly [from: number, until: number] | null;
}

export interface ShopPlan {
  /** The day that is worked on next: today until the last shift ends. */
  readonly day: Day;
  /** Everybody whose hours are set, in the order of the workshop. */
  readonly benches: readonly BenchShift[];
  /** Bench by bench, in the order in which the machines are best done. */
  readonly planned: readonly Planned[];
}

export interface DayOffer {
  readonly day: Day;
  readonly person: string;
  readonly chance: number;
  readonly holds: boolean;
  /** What the work waits for on that day still: then it does not hold, however free the benches are. */
  readonly waitsFor: WaitsFor | undefined;
  readonly pushedLate: readonly {
    readonly ticket: string;
    readonly before: number;
    readonly after: number;
  }[];
}

export interface Workshop {
  readonly rack: readonly TicketSummary[];
  readonly card: ShopProfile;
  /** Who works at the benches, by id. */
  readonly people: readonly string[];
  readonly now: WallClock;
}

/** Orders the open work over the benches. Undefined when nobody works there. */
export function planShop(workshop: Workshop): ShopPlan | undefined {
  const arrangement = arrange(workshop);
  if (!arrangement) return undefined;
  const { order, benches, byTicket } = arrangement;
  const day = workedOnNext(workshop);
  return {
    day,
    benches: benches.map(({ person }) => ({
      person,
      shift: shiftOn(workshop.card, person, day) ?? null,
    })),
    planned: order.queues.flatMap((queue) => {
      let isFirst = true;
      const where = benches.find(({ person }) => person === queue.person);
      const work = where ? workAfterEach(queue.jobs, where) : [];
      return outlookOf([queue], benches).flatMap((outlook, at) => {
        const line = byTicket.get(outlook.job.id);
        const done = work[at];
        if (!line || !where || done === undefined) return [];
        // It goes first where only others of its kind are in front.
        isFirst &&= line.comebackOf !== null;
        const begun = begunAt(where, done - outlook.job.minutes);
        return [plannedOf(workshop, { ...outlook, begun }, line, isFirst)];
      });
    }),
  };
}

/** The order behind the plan, with what it costs and what no order can undercut. Undefined when nobody works there. */
export function orderOf(workshop: Workshop): Order | undefined {
  return arrange(workshop)?.order;
}

/** Today while somebody's shift lasts, else the next day on which anybody works; today where nobody ever does. */
function workedOnNext({ card, people, now }: Workshop): Day {
  const works = (ahead: number) =>
    people.some((person) => {
      const shift = shiftOn(card, person, dayAfter(now.day, ahead));
      return shift !== undefined && (ahead > 0 || shift[1] > now.minute);
    });
  const ahead = Array.from({ length: HORIZON_DAYS }, (_, days) => days).find(works);
  return dayAfter(now.day, ahead ?? 0);
}

/**
 * What could be promised for one more machine, or for one of those that are here.
 * @param job minutes it will take, and what lateness of it counts
 * @returns one offer per day on which anybody works, the soonest first
 */
export function offersFor(
  workshop: Workshop,
  job: { readonly ticket?: string | undefined; readonly minutes: number; readonly spread: number },
): readonly DayOffer[] {
  const own = workshop.rack.find(({ ticket }) => ticket === job.ticket);
  const others = workshop.rack.filter((line) => line !== own);
  const arrangement = arrange({ ...workshop, rack: others });
  if (!arrangement) return [];
  const days = Array.from({ length: OFFERED_DAYS }, (_, ahead) => ahead);
  const { from, only } = own ? jobOf(own, workshop) : {};
  const offers = promisesFor(
    { id: 'asked', minutes: job.minutes, spread: job.spread, weight: WEIGHT.promised, from, only },
    days.map(endOfDay),
    arrangement.order,
    arrangement.benches,
  );
  return offers.map((offer) => {
    const day = dayAt(workshop.now, offer.due - 1);
    const wait = own && waitOf(own, workshop.now.day);
    const waitsFor = wait && (wait.until === undefined || wait.until >= day) ? wait.on : undefined;
    return {
      day,
      person: offer.person,
      chance: offer.chance,
      holds: offer.holds && waitsFor === undefined && worksOn(arrangement.benches, offer),
      waitsFor,
      pushedLate: offer.pushedLate.map(({ job: other, before, after }) => ({
        ticket: other.id,
        before,
        after,
      })),
    };
  });
}

/**
 * What a machine waits for, and the day in whose course that comes; no day where nobody knows one, as with an
 * answer, or with a part that should have been there.
 */
function waitOf(
  { standing, awaited }: TicketSummary,
  today: Day,
): { readonly on: WaitsFor; readonly until: Day | undefined } | undefined {
  if (standing === 'ask-customer') return { on: 'answer', until: undefined };
  if (!awaited) return undefined;
  const { expected } = awaited;
  return { on: 'part', until: expected !== null && expected >= today ? expected : undefined };
}

/** Nothing is promised for a day on which nobody is there to hand it out finished. */
function worksOn(benches: readonly ReturnType<typeof benchOf>[], { due }: PromiseOffer): boolean {
  return benches.some(({ stretches }) =>
    stretches.some(([from]) => from < due && from >= due - endOfDay(0)),
  );
}

interface Arrangement {
  readonly benches: readonly ReturnType<typeof benchOf>[];
  readonly order: Order;
  readonly byTicket: ReadonlyMap<string, TicketSummary>;
}

function arrange(workshop: Workshop): Arrangement | undefined {
  const { rack, card, people, now } = workshop;
  const benches = people
    .map((person) => benchOf(card, person, now, HORIZON_DAYS))
    .filter(({ stretches }) => stretches.length > 0);
  if (benches.length === 0) return undefined;
  const open = rack.filter(({ status, tag, left }) => status === 'open' && tag !== null && left);
  const byTicket = new Map(open.map((line) => [line.ticket, line]));
  const jobs = open.toSorted(byPin).map((line) => jobOf(line, workshop));
  return { benches, order: orderByDue(comebacksFirst(jobs, byTicket, benches), benches), byTicket };
}

/** One machine's work. What is not promised should be ready after the shop's usual days. */
function jobOf(line: TicketSummary, { card, now }: Pick<Workshop, 'card' | 'now'>): Job {
  const { ticket, left, promised, comebackOf, takenInAt, pin, atTheClock } = line;
  const day = promised ?? dayAfter(dayOf(takenInAt, card.timeZone), card.usualDays);
  const wait = waitOf(line, now.day);
  // Nobody knows how long: there is room for it from tomorrow on.
  const waitDays = wait?.until === undefined ? 0 : daysBetween(now.day, wait.until);
  const [worker] = atTheClock;
  return {
    id: ticket,
    minutes: Math.max(1, left?.mean ?? 0),
    spread: left?.spread ?? 0,
    due: endOfDay(daysBetween(now.day, day)),
    weight:
      comebackOf !== null ? WEIGHT.comeback : promised !== null ? WEIGHT.promised : WEIGHT.usual,
    from: wait && endOfDay(waitDays),
    ...(worker !== undefined
      ? { only: worker, after: null }
      : { only: pin?.person, after: pin?.after }),
  };
}

/** The pin that was set last comes last: it has the last word. Who is at work on one now is past all words. */
function byPin(one: TicketSummary, other: TicketSummary): number {
  const isWorkedOn = (line: TicketSummary) => (line.atTheClock.length > 0 ? 1 : 0);
  const at = (line: TicketSummary) => line.pin?.at ?? '';
  return isWorkedOn(one) - isWorkedOn(other) || at(one).localeCompare(at(other));
}

/**
 * What came back goes first at the bench that is free soonest, or at its own; before it only what somebody put
 * there by hand. The oldest first.
 */
function comebacksFirst(
  jobs: readonly Job[],
  byTicket: ReadonlyMap<string, TicketSummary>,
  benches: readonly Bench[],
): readonly Job[] {
  const isFirst = (job: Job) =>
    byTicket.get(job.id)?.comebackOf !== null && job.from === undefined && job.after === undefined;
  const load = new Map(benches.map(({ person }) => [person, 0]));
  const add = ({ minutes, only }: Job) => {
    if (only !== undefined) load.set(only, (load.get(only) ?? 0) + minutes);
  };
  for (const job of jobs) if (job.after !== undefined) add(job);
  const firsts = jobs
    .filter(isFirst)
    .toSorted((one, other) => (one.due ?? 0) - (other.due ?? 0))
    .map((job): Job => {
      const [soonest] = benches.toSorted(
        (one, other) =>
          doneAt(one, load.get(one.person) ?? 0) - doneAt(other, load.get(other.person) ?? 0),
      );
      const placed = { ...job, only: job.only ?? soonest?.person, after: null };
      add(placed);
      return placed;
    });
  // Of those that ask for the first place the last named gets it: the pins, and of these the oldest last.
  return [...firsts.toReversed(), ...jobs.filter((job) => !isFirst(job))];
}

function plannedOf(
  { now }: Workshop,
  { job, person, begun, done, chance }: Outlook & { readonly begun: number },
  line: TicketSummary,
  isFirst: boolean,
): Planned {
  const wait = waitOf(line, now.day);
  const isOpenEnded = wait !== undefined && wait.until === undefined;
  return {
    ticket: line.ticket,
    person,
    waitsFor: wait?.on,
    from: isOpenEnded ? null : clockAt(now, begun),
    until: isOpenEnded ? null : clockAt(now, done),
    minutes: job.minutes,
    spread: job.spread,
    promised: line.promised,
    chance: line.promised === null || isOpenEnded ? null : chance,
    reason: reasonOf(line, person, job.due ?? 0, isFirst),
  };
}

function reasonOf(
  { promised, comebackOf, pin }: TicketSummary,
  person: string,
  due: number,
  isFirst: boolean,
): OrderReason {
  if (pin?.person === person) return 'pinned';
  if (comebackOf !== null && isFirst) return 'came-back';
  if (due <= 0) return 'overdue';
  if (due <= endOfDay(1)) return 'due-soon';
  return promised === null ? 'in-turn' : 'promised';
}

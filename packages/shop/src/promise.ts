import {
  type Job,
  type Order,
  type Outlook,
  orderByDue,
  outlookOf,
  type PromiseOffer,
  promisesFor,
} from '@nodo/core';
import { type Day, dayAfter, dayOf, daysBetween, type WallClock } from '@nodo/kernel';
import type { TicketSummary } from '@nodo/ticket';
import type { ShopProfile } from './profiles.ts';
import { benchOf, dayAt, endOfDay } from './workingTime.ts';

/** How far ahead the shop is planned. */
const HORIZON_DAYS = 90;
/** On so many days a promise is looked for. */
const OFFERED_DAYS = 28;

/** What a minute of lateness counts against others. Ours, no source: they are asked for in the shop. */
const WEIGHT = { comeback: 3, promised: 2, usual: 1 } as const;

/** Why a machine stands where it does in the order. */
export type OrderReason = 'overdue' | 'due-soon' | 'came-back' | 'promised' | 'in-turn';

export interface Planned {
  readonly ticket: string;
  readonly person: string;
  /** Day on which it is expected to be done; null beyond the horizon. */
  readonly day: Day | null;
  readonly minutes: number;
  readonly spread: number;
  readonly promised: Day | null;
  /** Chance that the promise holds; null without one. */
  readonly chance: number | null;
  readonly reason: OrderReason;
}

export interface ShopPlan {
  /** Bench by bench, in the order in which the machines are best done. */
  readonly planned: readonly Planned[];
  /** Minutes of weight x lateness, and what no order can undercut. */
  readonly cost: number;
  readonly bound: number;
}

export interface DayOffer {
  readonly day: Day;
  readonly person: string;
  readonly chance: number;
  readonly holds: boolean;
  /** What the work waits for on that day still: then it does not hold, however free the benches are. */
  readonly waitsFor: 'answer' | 'part' | undefined;
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
  return {
    planned: outlookOf(order.queues, benches).flatMap((outlook) => {
      const line = byTicket.get(outlook.job.id);
      return line ? [plannedOf(workshop, outlook, line)] : [];
    }),
    cost: order.cost,
    bound: order.bound(),
  };
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
  const offers = promisesFor(
    { id: 'asked', minutes: job.minutes, spread: job.spread, weight: WEIGHT.promised },
    days.map(endOfDay),
    arrangement.order,
    arrangement.benches,
  );
  return offers.map((offer) => {
    const day = dayAt(workshop.now, offer.due - 1);
    const waitsFor = own && waitsOn(own, day);
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
 * What keeps a machine from being worked on by a day: an answer to the price, or a part that is not there
 * before that day, or for which no day is known.
 */
function waitsOn({ standing, awaited }: TicketSummary, day: Day): DayOffer['waitsFor'] {
  if (standing === 'ask-customer') return 'answer';
  const isThere = !awaited || (awaited.expected !== null && awaited.expected < day);
  return isThere ? undefined : 'part';
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

function arrange({ rack, card, people, now }: Workshop): Arrangement | undefined {
  const benches = people
    .map((person) => benchOf(card, person, now, HORIZON_DAYS))
    .filter(({ stretches }) => stretches.length > 0);
  if (benches.length === 0) return undefined;
  const open = rack.filter(({ status, tag, left }) => status === 'open' && tag !== null && left);
  const order = orderByDue(
    open.map((line) => jobOf(line, card, now)),
    benches,
  );
  return {
    benches,
    order,
    byTicket: new Map(open.map((line) => [line.ticket, line])),
  };
}

/** One machine's work. What is not promised should be ready after the shop's usual days. */
function jobOf(line: TicketSummary, { usualDays, timeZone }: ShopProfile, now: WallClock): Job {
  const { ticket, left, promised, comebackOf, takenInAt } = line;
  const day = promised ?? dayAfter(dayOf(takenInAt, timeZone), usualDays);
  return {
    id: ticket,
    minutes: Math.max(1, left?.mean ?? 0),
    spread: left?.spread ?? 0,
    due: endOfDay(daysBetween(now.day, day)),
    weight:
      comebackOf !== null ? WEIGHT.comeback : promised !== null ? WEIGHT.promised : WEIGHT.usual,
  };
}

function plannedOf(
  { now }: Workshop,
  { job, person, done, chance }: Outlook,
  line: TicketSummary,
): Planned {
  return {
    ticket: line.ticket,
    person,
    day: Number.isFinite(done) ? dayAt(now, done) : null,
    minutes: job.minutes,
    spread: job.spread,
    promised: line.promised,
    chance: line.promised === null ? null : chance,
    reason: reasonOf(line, job.due ?? 0),
  };
}

function reasonOf({ promised, comebackOf }: TicketSummary, due: number): OrderReason {
  if (due <= 0) return 'overdue';
  if (comebackOf !== null) return 'came-back';
  if (due <= endOfDay(1)) return 'due-soon';
  return promised === null ? 'in-turn' : 'promised';
}

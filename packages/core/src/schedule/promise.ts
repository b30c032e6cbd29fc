import { normalTail } from '../chance/normal.ts';
import {
  type Bench,
  doneAt,
  type Job,
  SURE_OF_PROMISE,
  startOf,
  workAfterEach,
  workUntil,
} from './benches.ts';
import type { Order } from './order.ts';

/** When a job of an order is done. */
export interface Outlook {
  readonly job: Job;
  readonly person: string;
  /** Expected instant; infinite when the benches' time does not hold it. */
  readonly done: number;
  /** Chance that it is done when due; 1 when nothing was promised. */
  readonly chance: number;
}

/**
 * What an order comes to. The work up to and with a job is taken as normal with the sums of
 * means and variances, held against the time there is until it is due. The scatter of what is done before a
 * bench stands idle counts on behind the gap, which errs on the safe side.
 */
export function outlookOf(queues: Order['queues'], benches: readonly Bench[]): readonly Outlook[] {
  return addedUp(queues, benches).flatMap((sums) =>
    sums.jobs.map((job, at): Outlook => {
      const [room, mean, variance] = sumsAt(sums, at);
      return {
        job,
        person: sums.where.person,
        done: doneAt(sums.where, mean),
        chance: chanceWithin(room, mean, variance),
      };
    }),
  );
}

/** P(work <= room). */
function chanceWithin(room: number, mean: number, variance: number): number {
  if (variance === 0) return mean <= room ? 1 : 0;
  return Math.min(normalTail((mean - room) / Math.sqrt(variance)), NEVER_QUITE_SURE);
}

/** A tail never ends, though its rest is lost in rounding far out: what has a spread is never certain. */
const NEVER_QUITE_SURE = 1 - Number.EPSILON;

export interface PromiseOffer {
  readonly due: number;
  /** Whose queue it joins, and chance that it is done by then. */
  readonly person: string;
  readonly chance: number;
  /** Other jobs that were as good as safe and would not be any more. */
  readonly pushedLate: readonly {
    readonly job: Job;
    readonly before: number;
    readonly after: number;
  }[];
  /** Can be given: sure enough, and nobody else pays for it. */
  readonly holds: boolean;
}

/** One bench's queue, added up from its front. */
interface Sums {
  readonly where: Bench;
  readonly jobs: readonly Job[];
  /** Mean and variance of the work up to and with each job, idle time in it; a zero in front. */
  readonly means: readonly number[];
  readonly variances: readonly number[];
  /** Work that there is time for until each job is due; no bound without a promise. */
  readonly rooms: readonly number[];
}

/**
 * What can be promised for one more job, for each instant at which it might be due: the best
 * place for it in an order that stands, what its chance is there, and what it pushes late.
 * @param dues candidate instants, each answered for itself.
 */
export function promisesFor(
  job: Omit<Job, 'due'>,
  dues: readonly number[],
  order: Pick<Order, 'queues'>,
  benches: readonly Bench[],
): readonly PromiseOffer[] {
  const queues = addedUp(order.queues, benches).filter(
    ({ where }) => job.only === undefined || job.only === where.person,
  );
  return dues.flatMap((due) => {
    const offers = queues.flatMap((sums) =>
      placesWorthTrying(sums, due).map((index) => offerAt(sums, index, job, due)),
    );
    const [best] = offers.sort(byMerit);
    return best ? [best] : [];
  });
}

function addedUp(queues: Order['queues'], benches: readonly Bench[]): readonly Sums[] {
  return queues.flatMap(({ person, jobs }) => {
    const where = benches.find((one) => one.person === person);
    if (!where) return [];
    const means = [0, ...workAfterEach(jobs, where)];
    const variances = [0];
    for (const { spread } of jobs) variances.push((variances.at(-1) as number) + spread ** 2);
    const rooms = jobs.map(({ due }) =>
      due === undefined ? Number.POSITIVE_INFINITY : workUntil(where, due),
    );
    return [{ where, jobs, means, variances, rooms }];
  });
}

/** Room, mean and variance of the work up to and with one job. */
function sumsAt(
  { rooms, means, variances }: Sums,
  at: number,
): readonly [room: number, mean: number, variance: number] {
  return [rooms[at] as number, means[at + 1] as number, variances[at + 1] as number];
}

/** The job in front of what stands at a place of the queue. */
function offerAt(
  sums: Sums,
  index: number,
  { minutes, spread, from }: Omit<Job, 'due'>,
  due: number,
): PromiseOffer {
  const { where, jobs, means, variances } = sums;
  const variance = spread ** 2;
  let work = startOf(means[index] as number, from, where) + minutes;
  const chance = chanceWithin(workUntil(where, due), work, (variances[index] as number) + variance);
  const pushedLate: { job: Job; before: number; after: number }[] = [];
  for (let at = index; at < jobs.length; at += 1) {
    const [room, mean, scatter] = sumsAt(sums, at);
    const job = jobs[at] as Job;
    work = startOf(work, job.from, where) + job.minutes;
    // A gap took it up: nothing behind it is moved.
    if (work <= mean) break;
    // Most have time enough by far: no tail has to be computed.
    if (work + FAR * Math.sqrt(scatter + variance) < room) continue;
    const before = chanceWithin(room, mean, scatter);
    const after = chanceWithin(room, work, scatter + variance);
    if (before >= SURE_OF_PROMISE && after < SURE_OF_PROMISE) {
      pushedLate.push({ job, before, after });
    }
  }
  const holds = chance >= SURE_OF_PROMISE && pushedLate.length === 0;
  return { due, person: where.person, chance, pushedLate, holds };
}

/** So many deviations off, a promise is safe (Q(4) = 3e-5). */
const FAR = 4;

/** Behind everything that is due before it, in front of any part of that, or in a gap of the bench. */
function placesWorthTrying({ jobs, means, where }: Sums, due: number): readonly number[] {
  const behind = jobs.filter((job) => job.due !== undefined && job.due <= due).length;
  const gaps = jobs.flatMap(({ from }, at) =>
    from !== undefined && startOf(means[at] as number, from, where) > (means[at] as number)
      ? [at]
      : [],
  );
  const places = [0, Math.floor(behind / 2), behind, jobs.length, ...gaps];
  return [...new Set(places)];
}

function byMerit(a: PromiseOffer, b: PromiseOffer): number {
  if (a.holds !== b.holds) return a.holds ? -1 : 1;
  if (a.pushedLate.length !== b.pushedLate.length) return a.pushedLate.length - b.pushedLate.length;
  return b.chance - a.chance;
}

import { normalTail } from '../chance/normal.ts';
import { type Bench, doneAt, type Job, workUntil } from './benches.ts';
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
 * means and variances, held against the time there is until it is due.
 */
export function outlookOf(queues: Order['queues'], benches: readonly Bench[]): readonly Outlook[] {
  return queues.flatMap(({ person, jobs }) => {
    const where = benches.find((one) => one.person === person);
    if (!where) return [];
    let mean = 0;
    let variance = 0;
    return jobs.map((job): Outlook => {
      mean += job.minutes;
      variance += job.spread ** 2;
      return {
        job,
        person,
        done: doneAt(where, mean),
        chance: job.due === undefined ? 1 : chanceWithin(workUntil(where, job.due), mean, variance),
      };
    });
  });
}

/** P(work <= room). */
function chanceWithin(room: number, mean: number, variance: number): number {
  if (variance === 0) return mean <= room ? 1 : 0;
  return normalTail((mean - room) / Math.sqrt(variance));
}

/** As sure as a promise must be. Ours, no source: nine times in ten. */
export const SURE_OF_PROMISE = 0.9;

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
  const before = outlookOf(order.queues, benches);
  const safe = new Map(before.map(({ job: { id }, chance }) => [id, chance]));
  return dues.flatMap((due) => {
    const offers = order.queues.flatMap((queue) => {
      const where = benches.filter(({ person }) => person === queue.person);
      return placesWorthTrying(queue.jobs, due).map((place): PromiseOffer => {
        const jobs = [...queue.jobs.slice(0, place), { ...job, due }, ...queue.jobs.slice(place)];
        const after = outlookOf([{ ...queue, jobs }], where);
        const chance = after[place]?.chance ?? 0;
        const pushedLate = after.flatMap(({ job: other, chance: now }) => {
          const was = safe.get(other.id);
          if (was === undefined || was < SURE_OF_PROMISE || now >= SURE_OF_PROMISE) return [];
          return [{ job: other, before: was, after: now }];
        });
        const holds = chance >= SURE_OF_PROMISE && pushedLate.length === 0;
        return { due, person: queue.person, chance, pushedLate, holds };
      });
    });
    const [best] = offers.sort(byMerit);
    return best ? [best] : [];
  });
}

/** Behind everything that is due before it, or in front of any part of that. */
function placesWorthTrying(jobs: readonly Job[], due: number): readonly number[] {
  const behind = jobs.filter((job) => job.due !== undefined && job.due <= due).length;
  const places = [0, Math.floor(behind / 2), behind, jobs.length];
  return [...new Set(places)];
}

function byMerit(a: PromiseOffer, b: PromiseOffer): number {
  if (a.holds !== b.holds) return a.holds ? -1 : 1;
  if (a.pushedLate.length !== b.pushedLate.length) return a.pushedLate.length - b.pushedLate.length;
  return b.chance - a.chance;
}

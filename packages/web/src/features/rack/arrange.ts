import type { Planned } from '@nodo/shop';

/** Per bench, its jobs in the order in which they are shown. */
export type Columns = ReadonlyMap<string, readonly Planned[]>;

/** A job that was put at a bench, behind another one or before all. */
export interface Move {
  readonly ticket: string;
  readonly to: string;
  readonly after: string | null;
}

/** What the plan says, with the moves that it does not know yet. */
export function columnsOf(
  planned: readonly Planned[],
  benches: readonly string[],
  moves: readonly Move[],
): Columns {
  return moves.reduce<Columns>(
    (columns, move) => moved(columns, move),
    new Map(benches.map((bench) => [bench, planned.filter(({ person }) => person === bench)])),
  );
}

function moved(columns: Columns, { ticket, to, after }: Move): Columns {
  const job = [...columns.values()].flat().find((one) => one.ticket === ticket);
  if (!job || !columns.has(to)) return columns;
  return new Map(
    [...columns].map(([bench, jobs]) => {
      const others = jobs.filter((one) => one !== job);
      if (bench !== to) return [bench, others];
      const place = others.findIndex((one) => one.ticket === after) + 1;
      return [bench, others.toSpliced(place, 0, job)];
    }),
  );
}

/**
 * Where a job goes that is dropped on another one, or on an empty bench. Undefined where that changes nothing.
 * Within a bench it takes the other's place; at another bench it comes before it.
 */
export function moveTo(columns: Columns, ticket: string, over: string): Move | undefined {
  if (ticket === over) return undefined;
  const isAt = (one: string) => (jobs: readonly Planned[]) =>
    jobs.some((job) => job.ticket === one);
  const entries = [...columns];
  const to = entries.find(([bench, jobs]) => bench === over || isAt(over)(jobs));
  const from = entries.find(([, jobs]) => isAt(ticket)(jobs));
  if (!to || !from) return undefined;
  const [bench, jobs] = to;
  const others = jobs.filter((job) => job.ticket !== ticket);
  if (bench === over) return { ticket, to: bench, after: others.at(-1)?.ticket ?? null };
  const target = others.findIndex((job) => job.ticket === over);
  const wasBefore =
    from[0] === bench &&
    jobs.findIndex((job) => job.ticket === ticket) < jobs.findIndex((job) => job.ticket === over);
  const place = wasBefore ? target : target - 1;
  return { ticket, to: bench, after: others[place]?.ticket ?? null };
}

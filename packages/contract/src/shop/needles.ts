import { sizeName } from '@nodo/core';
import {
  type CoatingId,
  coatingOf,
  NEEDLE_COATINGS,
  NEEDLE_POINTS,
  type PointId,
  pointOf,
} from '@nodo/knowledge';
import { z } from 'zod';
import { humanText, instant, minutesBetween, uuid } from '../text.ts';

/** Positions on a head: household machines have one, embroidery heads up to this many. */
export const MOST_NEEDLES = 20;

export const needlePosition = z.number().int().min(1).max(MOST_NEEDLES);

const idsOf = <Id extends string>(table: readonly { readonly id: Id }[]) =>
  table.map(({ id }) => id) as [Id, ...Id[]];

/** A needle as its packet names it. */
const needleKind = z.object({
  system: humanText(40),
  /** Blade diameter in hundredths of a millimetre. */
  size: z.number().int().min(50).max(180),
  point: z.enum(idsOf<PointId>(NEEDLE_POINTS)),
  coating: z.enum(idsOf<CoatingId>(NEEDLE_COATINGS)),
});

const sewn = z.number().min(0).max(1e10).nullable();

/** One entry of a machine's needle register: which needle is in from now on, and where the last one went. */
export const needleIn = z.object({
  at: needlePosition,
  needle: needleKind,
  /** Found in the machine, new from the packet, or an opened one that was put back before. */
  from: z.enum(['found', 'new', 'opened']),
  /** The entry that put the opened one back. */
  opened: uuid.nullable(),
  /** Stitches it has sewn already; null when nobody knows. */
  sewn,
  /** What became of the needle that was in before. */
  before: z.enum(['none', 'used-up', 'put-back', 'broken']),
  /** Stitches the one before has sewn by now. */
  beforeSewn: sewn,
});
export type NeedleIn = z.infer<typeof needleIn>;

/** An entry with who made it, where and when. */
export const registerEntry = needleIn.extend({
  id: uuid,
  machine: uuid.nullable(),
  /** The ticket it was made on; null when it was made alone. */
  ticket: uuid.nullable(),
  by: uuid,
  when: instant,
});
export type RegisterEntry = z.infer<typeof registerEntry>;

/** A needle that was opened and put back, ready to be used up. */
export const openedNeedle = z.object({
  /** The entry that put it back. */
  id: uuid,
  needle: needleKind,
  sewn,
  by: uuid,
  when: instant,
});
export type OpenedNeedle = z.infer<typeof openedNeedle>;

export interface NeedleRegister {
  /** Which needle is in, by machine and position. */
  readonly now: ReadonlyMap<string, RegisterEntry>;
  readonly opened: readonly OpenedNeedle[];
  readonly usedUp: number;
}

/** Where an entry stands in {@link NeedleRegister.now}. */
export function needlePlace(machine: string | null, at: number): string {
  return `${machine ?? ''} ${at}`;
}

/** Entries in the order of their time; those of one instant stay as they are. */
export function inTimeOrder(entries: readonly RegisterEntry[]): readonly RegisterEntry[] {
  return [...entries].sort((a, b) => minutesBetween(b.when, a.when));
}

/** What the entries of a shop's or a machine's register come to, told in the order of their time. */
export function registerOf(entries: readonly RegisterEntry[]): NeedleRegister {
  const now = new Map<string, RegisterEntry>();
  const opened = new Map<string, OpenedNeedle>();
  let usedUp = 0;
  for (const entry of inTimeOrder(entries)) {
    const place = needlePlace(entry.machine, entry.at);
    const last = now.get(place);
    if (entry.before === 'put-back' && last) {
      const { id, by, when, beforeSewn } = entry;
      opened.set(id, { id, needle: last.needle, sewn: beforeSewn ?? last.sewn, by, when });
    }
    if (entry.before === 'used-up' || entry.before === 'broken') usedUp += 1;
    if (entry.opened !== null) opened.delete(entry.opened);
    now.set(place, entry);
  }
  return { now, opened: [...opened.values()], usedUp };
}

/** A needle in one line, as a packet tells it. */
export function needleLine({ system, size, point, coating }: NeedleIn['needle']): string {
  const names = [pointOf(point)?.title, coatingOf(coating)?.title.toLowerCase()];
  return [system, sizeName(size), ...names].filter(Boolean).join(', ');
}

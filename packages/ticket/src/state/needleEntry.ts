import { humanText, instant, uuid } from '@nodo/kernel';
import { type CoatingId, NEEDLE_COATINGS, NEEDLE_POINTS, type PointId } from '@nodo/knowledge';
import { z } from 'zod';

/** Positions on a head: household machines have one, embroidery heads up to this many. */
export const MOST_NEEDLES = 20;

export const needlePosition = z.number().int().min(1).max(MOST_NEEDLES);

const idsOf = <Id extends string>(table: readonly { readonly id: Id }[]) =>
  table.map(({ id }) => id) as [Id, ...Id[]];

/** A needle as its packet names it. */
export const needleKind = z.object({
  system: humanText(40),
  /** Blade diameter in hundredths of a millimetre. */
  size: z.number().int().min(50).max(180),
  point: z.enum(idsOf<PointId>(NEEDLE_POINTS)),
  coating: z.enum(idsOf<CoatingId>(NEEDLE_COATINGS)),
});

export const sewn = z.number().min(0).max(1e10).nullable();

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

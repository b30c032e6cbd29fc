import { hourOf } from '@nodo/core';
import { minutesBetween, uuid } from '@nodo/kernel';
import {
  ACTION_FOR,
  COARSEST_GRIT,
  DRESSING_TOOLS,
  MARK_KINDS,
  STRUCK_PARTS,
  type StruckPart,
  SURFACE_IDS,
  surfaceOf,
} from '@nodo/knowledge';
import { z } from 'zod';

/** A mark on a part that the needle can reach, with its position on the map by the clock. */
export const markFound = z.object({
  surface: z.enum(SURFACE_IDS),
  /** From 0 to below 12, as the surface is looked at. */
  hour: z.number().min(0).lt(12).transform(hourOf),
  /** 0 in the middle of what the map shows, 1 at its edge. */
  out: z.number().min(0).max(1),
  kind: z.enum(MARK_KINDS),
  /** In millimetres, along its longest side. */
  length: z.number().positive().max(50),
  /** The mark of an earlier visit that it is, still there; null for a new one. */
  was: uuid.nullable(),
});

/** What was done about a mark. */
export const markEnd = z.discriminatedUnion('how', [
  z.object({
    how: z.literal('dressed'),
    tool: z.enum(DRESSING_TOOLS),
    /** The finest abrasive that it was dressed with before it was polished. */
    grit: z.number().int().min(COARSEST_GRIT).max(10_000),
  }),
  z.object({ how: z.literal('replaced') }),
]);
export type MarkEnd = z.infer<typeof markEnd>;

export const markEnded = z.object({ mark: uuid, end: markEnd });

/** A mark with what became of it. Its id is that of the entry that found it. */
export const mark = markFound.extend({
  id: uuid,
  end: markEnd.nullable(),
  /** Its part was replaced since. */
  gone: z.boolean(),
});
export type Mark = z.infer<typeof mark>;

/** Marks on a part that nothing was done about. */
export function openMarks(marks: readonly Mark[], part: StruckPart): readonly Mark[] {
  return marks.filter((one) => one.end === null && partOf(one) === part);
}

/** The part that a mark lies on. */
export function partOf({ surface }: Mark): StruckPart {
  return surfaceOf(surface).part;
}

/** The part that an action replaces for certain; undefined for one that may also only have dressed it. */
function replacedBy(action: string): StruckPart | undefined {
  return STRUCK_PARTS.find((part) => {
    const { dressed, replaced } = ACTION_FOR[part];
    return action === replaced && action !== dressed;
  });
}

/** Marks after their part was replaced: all of them are gone, and that was the end of those left open. */
function withPartReplaced(marks: readonly Mark[], part: StruckPart): readonly Mark[] {
  return marks.map((one) =>
    partOf(one) === part ? { ...one, end: one.end ?? { how: 'replaced' }, gone: true } : one,
  );
}

/** Marks after an action: it may have replaced their part. */
export function marksAfter(marks: readonly Mark[], action: string): readonly Mark[] {
  const part = replacedBy(action);
  return part === undefined ? marks : withPartReplaced(marks, part);
}

/** Marks after something was done about one of them. */
export function withMarkEnded(marks: readonly Mark[], ended: Mark, end: MarkEnd): readonly Mark[] {
  if (end.how === 'replaced') return withPartReplaced(marks, partOf(ended));
  return marks.map((one) => (one.id === ended.id ? { ...one, end } : one));
}

/** What one visit says of marks. */
export interface MarkedVisit {
  readonly ticket: string;
  /** When the machine came, as an instant. */
  readonly at: string;
  readonly marks: readonly Mark[];
  /** Repairs then, by id of the action. */
  readonly repairs: readonly string[];
}

export interface EarlierMark extends Mark {
  readonly ticket: string;
  readonly at: string;
}

/**
 * The marks that several visits left on a machine, the earliest first: each where it was last seen, and
 * none on a part that was replaced since.
 * @param now a later visit: its own marks are left out, and so are earlier marks that it saw again.
 */
export function marksLeft(
  visits: readonly MarkedVisit[],
  now?: Pick<MarkedVisit, 'marks' | 'repairs'>,
): readonly EarlierMark[] {
  const inOrder = [...visits].sort((a, b) => minutesBetween(b.at, a.at));
  const left = inOrder.reduce<readonly EarlierMark[]>(
    (before, { ticket, at, marks, repairs }) => [
      ...stillLeft(before, { marks, repairs }),
      ...marks.filter(({ gone }) => !gone).map((mark) => ({ ...mark, ticket, at })),
    ],
    [],
  );
  return now ? stillLeft(left, now) : left;
}

/** Marks from earlier visits that were neither seen again nor removed with a replaced part. */
function stillLeft(
  before: readonly EarlierMark[],
  { marks, repairs }: Pick<MarkedVisit, 'marks' | 'repairs'>,
): readonly EarlierMark[] {
  const again = new Set(marks.flatMap(({ was }) => was ?? []));
  const replaced = new Set<StruckPart | undefined>([
    ...marks.filter((one) => one.gone).map(partOf),
    ...repairs.map(replacedBy),
  ]);
  return before.filter((mark) => !again.has(mark.id) && !replaced.has(partOf(mark)));
}

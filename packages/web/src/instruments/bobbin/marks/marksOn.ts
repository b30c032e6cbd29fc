import {
  ACTION_FOR,
  type CheckId,
  findingOf,
  isPlastic,
  joinStrikes,
  type LikelyStrike,
  type StruckPart,
  SURFACES,
  type Surface,
  verdictOn,
} from '@nodo/knowledge';
import {
  type EarlierMark,
  type Mark,
  type MarkEnd,
  marksLeft,
  openMarks,
  repairsDone,
} from '@nodo/ticket';
import {
  type InstrumentBench,
  keepAction,
  keepLook,
  statusOf,
} from '../../frame/instrumentBench.ts';

/** The surfaces that this machine has. */
export function surfacesOf({ model }: InstrumentBench): readonly Surface[] {
  return SURFACES.filter(({ check }) => model.checks.has(check));
}

/** Marks recorded at this visit, in the order in which they were found. */
export function marksNow({ onTicket }: InstrumentBench): readonly Mark[] {
  return onTicket?.ticket.life.marks ?? [];
}

/** Marks of earlier visits: those that may still be there and were not found again, and those gone with their part. */
export function marksBefore({ visits, onTicket }: InstrumentBench): {
  readonly left: readonly EarlierMark[];
  readonly gone: readonly EarlierMark[];
} {
  if (typeof visits === 'string' || !onTicket) return { left: [], gone: [] };
  const { ticket } = onTicket;
  const past = visits
    .filter(({ line }) => line.ticket !== ticket.id)
    .map(({ line, marks, repairs }) => ({
      ticket: line.ticket,
      at: line.takenInAt,
      marks,
      repairs,
    }));
  const { marks: now } = ticket.life;
  const left = marksLeft(past, { marks: now, repairs: repairsDone(ticket) });
  const all = past.flatMap(({ ticket: from, at, marks }) =>
    marks.map((mark) => ({ ...mark, ticket: from, at })),
  );
  const known = new Set([...left.map(({ id }) => id), ...[...all, ...now].map(({ was }) => was)]);
  return { left, gone: all.filter(({ id }) => !known.has(id)) };
}

/** The events that the new marks of this visit likely came from. */
export function strikesNow(bench: InstrumentBench): readonly LikelyStrike[] {
  return joinStrikes(marksNow(bench).filter(({ was }) => was === null));
}

/** Marks on a part that nothing was done about. */
export function openOn(bench: InstrumentBench, part: StruckPart): readonly Mark[] {
  return openMarks(marksNow(bench), part);
}

/** Keeps what a whole part showed, by the marks on it. */
export function keepPart(bench: InstrumentBench, part: StruckPart, check: CheckId): boolean {
  const plastic = isPlastic(part, bench.model.family);
  const seen = openOn(bench, part).map(({ kind }) => findingOf(kind, part, plastic));
  return keepLook(bench, check, seen);
}

/** What is done to marks of one part: an entry for each, and the action once nothing is left to do. */
export function endMarks(
  bench: InstrumentBench,
  part: StruckPart,
  ended: readonly Mark[],
  end: MarkEnd,
): void {
  const { onTicket } = bench;
  const check = SURFACES.find((surface) => surface.part === part)?.check;
  if (!onTicket || check === undefined) return;
  // What is dressed or replaced must have been found: the causes are inferred from that.
  if (statusOf(bench, check) !== 'found' && !keepPart(bench, part, check)) return;
  // One mark records that its part was replaced; the others on it go with it.
  for (const mark of end.how === 'replaced' ? ended.slice(0, 1) : ended) {
    if (!onTicket.record('mark-ended', { mark: mark.id, end })) return;
  }
  const left = openOn(bench, part).filter(
    (mark) => !ended.includes(mark) && verdictOn(mark.kind) === 'dress',
  );
  if (end.how === 'replaced' || left.length === 0) {
    keepAction(bench, ACTION_FOR[part][end.how]);
  }
}

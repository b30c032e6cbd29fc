import {
  type CheckId,
  type FindingId,
  HANG_TURNS,
  type HangShown,
  type HangTurn,
  locateHangUp,
} from '@nodo/knowledge';

/** What each turn of the handwheel showed, as far as it was turned. */
export type TurnsShown = Readonly<Partial<Record<HangTurn, HangShown>>>;

/** The turns that are asked about: those done, and the next as long as the place is not located. */
export function turnsAsked(shown: TurnsShown): readonly (typeof HANG_TURNS)[number][] {
  const where = locateHangUp(shown);
  const last =
    where.kind === 'turn'
      ? where.next
      : HANG_TURNS.findLast(({ id }) => shown[id] !== undefined)?.id;
  return HANG_TURNS.slice(0, placeOf(last) + 1);
}

/** With one more answer. What was said of later turns was said under another answer: it goes. */
export function withTurn(shown: TurnsShown, turn: HangTurn, said: HangShown): TurnsShown {
  const before = HANG_TURNS.slice(0, placeOf(turn));
  return { ...Object.fromEntries(before.map(({ id }) => [id, shown[id]])), [turn]: said };
}

/** The checks that the turns answer, each with the finding that was seen. */
export function turnLooks(
  shown: TurnsShown,
): readonly { readonly check: CheckId; readonly seen: FindingId | undefined }[] {
  return HANG_TURNS.flatMap(({ id, check, hangs }) => {
    const said = shown[id];
    if (said === undefined) return [];
    const seen = said === 'hangs' ? hangs : said === 'missed' ? 'loop-missed' : undefined;
    return [{ check, seen }];
  });
}

function placeOf(turn: HangTurn | undefined): number {
  return HANG_TURNS.findIndex(({ id }) => id === turn);
}

import type { CheckId, FamilyModel, FindingId } from '@nodo/knowledge';
import type { PathKind, ThreadPath } from '@nodo/shop';
import type { Body, PathPoint } from '../../../drawing/body/body.ts';
import { pathOf } from '../../../drawing/body/PathNumbers.tsx';
import { later } from '../../../messages/later.ts';

const KINDS: Readonly<Record<PathPoint, PathKind>> = {
  spool: 'spool',
  guides: 'guide',
  discs: 'discs',
  'check-spring': 'check-spring',
  'take-up': 'take-up',
  'lower-guides': 'guide',
  'bar-guide': 'guide',
  needle: 'needle',
};

/** The way as it is drawn for a kind of machine. */
export function familyPath(body: Body): ThreadPath {
  return pathOf(body).map(({ point, at: [x, y] }) => ({
    kind: KINDS[point],
    name: later.drawing.path.points[point],
    x,
    y,
  }));
}

/** The points with the numbers that they are told by. */
export function numbered(path: ThreadPath) {
  return path.map((point, place) => ({ ...point, number: place + 1 }));
}

/** What it is where the thread left a point of this kind. */
const LEFT_AT: Readonly<Record<PathKind, FindingId | undefined>> = {
  // How it comes off the spool is asked with the spool.
  spool: undefined,
  guide: 'off-guide',
  discs: 'outside-discs',
  'check-spring': 'off-check-spring',
  'take-up': 'off-takeup',
  needle: 'eye-wrong-side',
};
const LOOKS = ['path-look', 'check-spring'] as const satisfies readonly CheckId[];

/** The checks that following the thread answers on this machine, each with what was seen. */
export function looksOfPath(
  path: ThreadPath,
  left: ReadonlySet<number>,
  model: FamilyModel,
): readonly { readonly check: CheckId; readonly seen: readonly FindingId[] }[] {
  const seen = [...left].flatMap((place) => {
    const kind = path[place]?.kind;
    return (kind && LEFT_AT[kind]) ?? [];
  });
  return LOOKS.flatMap((check) => {
    const findings = model.checks.get(check)?.findings.map(({ id }) => id);
    // A path without a check spring says nothing of one.
    const isOnPath = check !== 'check-spring' || path.some(({ kind }) => kind === 'check-spring');
    return findings && isOnPath
      ? [{ check, seen: [...new Set(seen)].filter((id) => findings.includes(id)) }]
      : [];
  });
}

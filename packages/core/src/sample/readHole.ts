export type SeamKind = 'straight' | 'zigzag';

/** A hole of the seam at which the threads caught. Millimetres along and across the seam. */
export interface ReadHole {
  readonly along: number;
  readonly across: number;
  /** How many stitches lie to the next caught hole: more than one where it skipped. None at the last. */
  readonly steps: number;
}

/** How far along the seam it is from each hole to the next, where no stitch was skipped between them. */
function singlePitches(holes: readonly ReadHole[]): readonly number[] {
  return holes.flatMap((hole, index) => {
    const next = holes[index + 1];
    return next && hole.steps === 1 ? [next.along - hole.along] : [];
  });
}

/** Looked at this far about a hole at most, in millimetres, and over this part of a leg. */
const ABOUT = { most: 1.3, part: 0.46 } as const;

/**
 * How far a stitch goes along the seam in the mean, where none was skipped, and how far about a hole it is looked at: nearer
 * to this hole than to the next.
 * @param swing between the swings of a zigzag
 */
export function aboutHole(
  holes: readonly ReadHole[],
  swing: number,
): { readonly along: number; readonly reach: number } {
  const pitches = singlePitches(holes);
  const along = pitches.reduce((sum, one) => sum + one, 0) / Math.max(1, pitches.length);
  return { along, reach: Math.min(ABOUT.most, ABOUT.part * Math.hypot(along, swing)) };
}

/**
 * How many stitches lie between two holes that are so far apart: from side to side of a zigzag an odd number, along one side
 * an even one.
 */
export function stepsTo(gap: number, stitch: number, to: 'straight' | 'same' | 'other'): number {
  if (to === 'straight') return Math.max(1, Math.round(gap / stitch));
  const odd = to === 'same' ? 0 : 1;
  return Math.max(2 - odd, 2 * Math.round((gap / stitch - odd) / 2) + odd);
}

/** At which side of a zigzag each hole lies, -1 or 1; 0 at a straight seam's. */
export function sidesOf(holes: readonly ReadHole[], kind: SeamKind): readonly (-1 | 0 | 1)[] {
  if (kind === 'straight') return holes.map(() => 0);
  const middle = holes.reduce((sum, { across }) => sum + across, 0) / holes.length;
  return holes.map(({ across }) => (across < middle ? -1 : 1));
}

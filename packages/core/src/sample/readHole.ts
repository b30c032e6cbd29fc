/** A hole of the seam at which the threads caught. Millimetres along and across the seam. */
export interface ReadHole {
  readonly along: number;
  readonly across: number;
  /** How many stitches lie to the next caught hole: more than one where it skipped. None at the last. */
  readonly steps: number;
}

/** How far along the seam it is from each hole to the next, where no stitch was skipped between them. */
export function singlePitches(holes: readonly ReadHole[]): readonly number[] {
  return holes.flatMap((hole, index) => {
    const next = holes[index + 1];
    return next && hole.steps === 1 ? [next.along - hole.along] : [];
  });
}

/** A hole of the seam at which the threads caught. Millimetres along and across the seam. */
export interface ReadHole {
  readonly along: number;
  readonly across: number;
  /** How many stitches lie to the next caught hole: more than one where it skipped. None at the last. */
  readonly steps: number;
}

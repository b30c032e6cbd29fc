import { CoreError } from '../errors/coreError.ts';
import { positive } from '../units/quantities.ts';

/** How sharply the knot follows the ratio of the two pulls: from memory between 1 and 3, typical. */
export const KNOT_SHARPNESS = 2;

/** Where the knot of a lockstitch lies in the fabric. */
export interface Knot {
  /** From the top of the fabric (0) to its bottom (1). */
  readonly depth: number;
  /** Signed imbalance: -1 on top, 0 in the middle, 1 below. */
  readonly balance: number;
}

/**
 * The knot is drawn to the side that pulls harder: depth 1 / (1 + (top / bobbin)^k). A model of the trade's, no
 * published source: with pulls alike it lies in the middle, with one side locked at that side.
 * @param top pull of the top thread where the stitch is drawn tight, any unit
 * @param bobbin pull of the bobbin thread, the same unit
 */
export function knotOf(top: number, bobbin: number, sharpness: number = KNOT_SHARPNESS): Knot {
  if (!(top >= 0 && bobbin >= 0 && top + bobbin > 0))
    throw new CoreError('no-pull', { top, bobbin });
  positive('sharpness', sharpness);
  // By shares, so that neither side may be nothing.
  const [above, below] = [
    (top / (top + bobbin)) ** sharpness,
    (bobbin / (top + bobbin)) ** sharpness,
  ];
  const depth = below / (above + below);
  return { depth, balance: 2 * depth - 1 };
}

/**
 * Pulls by the gauge at which the knot lies in the middle, top over bobbin: the top thread is gauged at the needle, with
 * all its guides. From memory, typical; a machine's own where it was found.
 */
export const EVEN_RATIO = 3;

/** Where the knot lies by pulls as a gauge reads them. */
export function gaugedKnot(top: number, bobbin: number, even: number = EVEN_RATIO): Knot {
  return knotOf(top / positive('even', even), bobbin);
}

/** On which faces the other thread shows: the knot is nearer to it than a thread is thick. */
export function showsOn(
  { depth }: Pick<Knot, 'depth'>,
  fabric: number,
  thread: number,
): { readonly top: boolean; readonly bottom: boolean } {
  return { top: depth * fabric < thread, bottom: (1 - depth) * fabric < thread };
}

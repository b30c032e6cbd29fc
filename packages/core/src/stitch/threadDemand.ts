import { type Millimetres, mm, positive } from '../units/quantities.ts';

/**
 * Thread that each of the two strands of a balanced lockstitch uses for one stitch: the way along
 * the seam, straight or to and fro, and once through the fabric. The rectangle model.
 */
export function threadPerStitch(
  length: Millimetres,
  width: Millimetres,
  fabric: Millimetres,
): Millimetres {
  return mm(Math.hypot(positive('stitch length', length), width) + fabric);
}

/** Length of a stitch by how many go to an inch. */
export function stitchLength(perInch: number): Millimetres {
  return mm(25.4 / positive('stitches an inch', perInch));
}

/** Thread that take-up and hook draw down for one stitch, most of it pulled back again; typical. */
const DRAWN_DOWN = mm(130);

/**
 * How often one point of the thread passes the needle's eye before it is sewn in: what is drawn down
 * for a stitch over what a stitch uses. A model of ours; the trade says 40 to 50 at 12 an inch.
 */
export function eyePasses(perStitch: Millimetres, drawnDown: Millimetres = DRAWN_DOWN): number {
  return drawnDown / positive('thread per stitch', perStitch);
}

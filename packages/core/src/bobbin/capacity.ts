import { CoreError } from '../errors/coreError.ts';
import { type Millimetres, positive } from '../units/quantities.ts';

/** Share of the room between the flanges that is thread, wound evenly; typical. */
const WINDING_PACKING = 0.55;

export interface BobbinRoom {
  /** Across the winding when full. */
  readonly full: Millimetres;
  readonly core: Millimetres;
  /** Between the flanges. */
  readonly width: Millimetres;
}

/** Metres a bobbin holds: the room for thread, times its packing, over the thread's section. */
export function bobbinMetres(
  { full, core, width }: BobbinRoom,
  thread: Millimetres,
  packing = WINDING_PACKING,
): number {
  if (core >= full) throw new CoreError('core-fills-bobbin', { core, full });
  const room = (Math.PI / 4) * (full ** 2 - core ** 2) * positive('width', width);
  const section = (Math.PI / 4) * positive('thread', thread) ** 2;
  return (room * positive('packing', packing)) / section / 1000;
}

/**
 * Metres still on a bobbin that is partly used, by how far its winding stands out now.
 * @throws CoreFault `winding-outside` for a winding thinner than the core or thicker than full.
 */
export function metresLeft(
  room: BobbinRoom,
  winding: Millimetres,
  thread: Millimetres,
  packing = WINDING_PACKING,
): number {
  if (winding < room.core || winding > room.full) {
    throw new CoreError('winding-outside', { winding, core: room.core, full: room.full });
  }
  if (winding === room.core) return 0;
  return bobbinMetres({ ...room, full: winding }, thread, packing);
}

/** How many stitches so much bobbin thread sews, and whether that is enough for a job. */
export function bobbinLasts(
  metres: number,
  perStitch: Millimetres,
  jobStitches: number,
): { readonly stitches: number; readonly lasts: boolean } {
  const stitches = Math.floor((metres * 1000) / positive('thread per stitch', perStitch));
  return { stitches, lasts: stitches >= jobStitches };
}

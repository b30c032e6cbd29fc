import { CoreFault } from '../fault.ts';
import { type Millimetres, positive } from '../units/quantities.ts';

/** Share of the room between the flanges that is thread, wound evenly; typical. */
export const WINDING_PACKING = 0.55;

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
  if (core >= full) throw new CoreFault('core-fills-bobbin', { core, full });
  const room = (Math.PI / 4) * (full ** 2 - core ** 2) * positive('width', width);
  const section = (Math.PI / 4) * positive('thread', thread) ** 2;
  return (room * positive('packing', packing)) / section / 1000;
}

import type { Ticket } from '@nodo/contract';
import { type InstrumentBench, lookStanding } from '../../instrument/instrumentBench.ts';

/**
 * How sure the seat of the case is. Part of a drop-in case's stop may sit under the plate: seen seated
 * with the plate off it is a look, and proven only by a look after the plate is on again.
 */
export type SeatProof = 'not-yet' | 'off' | 'again' | 'looked' | 'prove-now' | 'proven';

export function seatProof(bench: InstrumentBench): SeatProof {
  const standing = lookStanding(bench, 'case-seat');
  if (standing === 'not-yet' || standing === 'again') return standing;
  if (standing === 'found') return 'off';
  const ticket = bench.onTicket?.ticket;
  if (!ticket || !bench.model.family.traits.includes('drop-in')) return 'proven';
  if (ticket.open.has('plate-off')) return 'looked';
  return lastLook(ticket) > lastClosing(ticket) ? 'proven' : 'prove-now';
}

function lastLook({ looks }: Ticket): number {
  return looks.findLast(({ check }) => check === 'case-seat')?.seq ?? 0;
}

function lastClosing({ entries, corrected }: Ticket): number {
  return (
    entries.findLast(({ type, id }) => type === 'machine-closed' && !corrected.has(id))?.seq ?? 0
  );
}

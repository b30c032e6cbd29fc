import type { CheckId, FamilyModel } from '@nodo/knowledge';
import type { Ticket } from '../state/ticket.ts';
import { checkStatus } from './checkStatus.ts';

/**
 * How sure the seat of the bobbin case is. Part of a drop-in case's stop may sit under the plate: seen
 * seated with the plate off it is a look (`looked`), once the plate is on again it is to be proven
 * (`prove-now`), by another look.
 */
export type CaseSeat = 'not-yet' | 'off' | 'again' | 'looked' | 'prove-now' | 'proven';

const CHECK: CheckId = 'case-seat';

export function caseSeat(ticket: Ticket, model: FamilyModel): CaseSeat {
  const standing = checkStatus(ticket, model, CHECK);
  if (standing === 'not-yet' || standing === 'again') return standing;
  if (standing === 'found') return 'off';
  if (!model.family.traits.includes('drop-in')) return 'proven';
  if (ticket.open.has('plate-off')) return 'looked';
  const looked = ticket.looks.findLast(({ check }) => check === CHECK)?.seq ?? 0;
  return looked > lastClosing(ticket) ? 'proven' : 'prove-now';
}

function lastClosing({ entries, corrected }: Ticket): number {
  return (
    entries.findLast(({ type, id }) => type === 'machine-closed' && !corrected.has(id))?.seq ?? 0
  );
}

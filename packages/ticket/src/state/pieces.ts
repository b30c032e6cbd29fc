import type { FindingId } from '@nodo/knowledge';
import type { Ticket } from './ticket.ts';

const BREAKAGE: FindingId = 'needle-break';

/** Laid end to end since the needle was last said to have broken, the pieces made it whole. */
export function allPiecesFound({ life: { pieces }, answers }: Ticket): boolean {
  const broke = answers.findLast(({ finding, present }) => finding === BREAKAGE && present);
  return pieces?.state === 'whole' && pieces.seq > (broke?.seq ?? 0);
}

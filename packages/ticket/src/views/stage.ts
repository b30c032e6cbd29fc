import { INTERVIEWS } from '@nodo/knowledge';
import type { Stage } from '../state/life.ts';
import type { Ticket } from '../state/ticket.ts';

/** Where a ticket stands in the life of the shop. */
export function stageOf({ status, intake, performedActions, looks, life }: Ticket): Stage {
  if (status === 'collected') return 'collected';
  if (status === 'closed') return 'ready';
  if (intake?.tag === undefined) return 'away';
  if (life.asked && !life.asked.answer) return 'ask-customer';
  if (life.awaits.some(({ came }) => !came)) return 'part-awaited';
  const isBegun =
    performedActions.length > 0 ||
    life.worked.length > 0 ||
    looks.some(({ check }) => !INTERVIEWS.has(check));
  return isBegun ? 'on-the-bench' : 'taken-in';
}

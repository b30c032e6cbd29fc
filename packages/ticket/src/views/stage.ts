import type { Stage } from '../state/life.ts';
import type { Ticket } from '../state/ticket.ts';
import { workInShop } from './cameIn.ts';

/** Where a ticket stands in the life of the shop. */
export function stageOf(ticket: Ticket): Stage {
  const { status, intake, life } = ticket;
  if (status === 'collected') return 'collected';
  if (status === 'closed') return 'ready';
  if (intake?.tag === undefined) return 'away';
  if (life.asked && !life.asked.answer) return 'ask-customer';
  if (life.awaits.some(({ came }) => !came)) return 'part-awaited';
  const isBegun = life.worked.length > 0 || workInShop(ticket).length > 0;
  return isBegun ? 'on-the-bench' : 'taken-in';
}

import type { FamilyModel } from '@nodo/knowledge';
import { type Refusal, refuse } from '../../refusal.ts';
import type { Ticket } from '../ticket.ts';
import type { DecideContext } from './define.ts';

/** The machine is in work and the epoch named has been reached; else the refusal. */
export function atWork(
  ticket: Ticket,
  context: DecideContext,
):
  | { readonly model: FamilyModel; readonly refusal?: undefined }
  | { readonly model?: undefined; readonly refusal: Refusal } {
  if (ticket.status === 'new' || !context.model) return { refusal: refuse('not-taken-in') };
  if (ticket.status !== 'open') return { refusal: refuse('ticket-closed') };
  if (context.epoch > ticket.epoch) {
    return { refusal: refuse('epoch-not-reached', 'epoch', { reached: ticket.epoch }) };
  }
  return { model: context.model };
}

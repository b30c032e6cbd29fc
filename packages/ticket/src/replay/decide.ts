import type { Actor } from '@nodo/kernel';
import { type Refusal, refuse } from '@nodo/kernel';
import type { KnowledgeVersion } from '@nodo/knowledge';
import { modelOfTicket } from '../assessment/ticketModel.ts';
import { kindOf, type TicketCommand, type TicketEvent } from '../events/index.ts';
import type { Ticket } from '../state/ticket.ts';
import { mayRecord } from './rights.ts';

/** An accepted event, still without the instant at which the server received it. */
export type DecidedEvent = Omit<TicketEvent, 'receivedAt'>;

export type Verdict =
  | { readonly ok: true; readonly event: DecidedEvent }
  | { readonly ok: false; readonly refusal: Refusal };

/**
 * Whether a command becomes the ticket's next event, and which; the same on the server and on
 * every screen. Pure: the command brings its own id and instant.
 */
export function decide(
  ticket: Ticket,
  command: TicketCommand,
  actor: Actor,
  version: KnowledgeVersion,
): Verdict {
  if (!mayRecord(actor.role, command.type)) {
    return { ok: false, refusal: refuse('role-may-not', 'type', { role: actor.role }) };
  }
  const kind = kindOf(command.type);
  const knowledge = version.knowledge.hash;
  const decision = kind.decide(ticket, command.command, {
    actor,
    epoch: command.epoch,
    observedAt: command.observedAt,
    id: command.id,
    model: modelOfTicket(ticket, version),
    modelOf: version.modelOf,
    knowledge,
  });
  if (!decision.ok) return decision;
  const { id, type, epoch, observedAt, device } = command;
  return {
    ok: true,
    event: {
      id,
      ticket: ticket.id,
      seq: ticket.seq + 1,
      type,
      version: kind.version,
      actor,
      device,
      observedAt,
      epoch,
      knowledge,
      body: decision.body,
    },
  };
}

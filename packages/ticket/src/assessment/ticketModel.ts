import { type FamilyModel, type KnowledgeVersion, withOwnCauses } from '@nodo/knowledge';
import type { Ticket } from '../state/ticket.ts';

/**
 * The tables that a ticket is judged with: those of its family, and what was found on this
 * machine alone. Undefined before it is taken in, and for a family that is not known.
 */
export function modelOfTicket(
  { intake, ownCauses }: Ticket,
  version: KnowledgeVersion,
): FamilyModel | undefined {
  const model = intake && version.modelOf(intake.family, intake.traits);
  return model && withOwnCauses(model, ownCauses);
}

import { type Edition, type FamilyModel, withOwnCauses } from '@nodo/knowledge';
import type { Ticket } from '../state/ticket.ts';

/**
 * The tables that a ticket is judged with: those of its family, and what was found on this
 * machine alone. Undefined before it is taken in, and for a family that is not known.
 */
export function tablesOf({ intake, ownCauses }: Ticket, edition: Edition): FamilyModel | undefined {
  const model = intake && edition.modelOf(intake.family, intake.traits);
  return model && withOwnCauses(model, ownCauses);
}

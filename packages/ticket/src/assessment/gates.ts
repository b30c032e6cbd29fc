import { type FamilyModel, gateRequirements, type Raiser } from '@nodo/knowledge';
import { POWER_OFF } from '../state/namedActions.ts';
import type { Ticket } from '../state/ticket.ts';
import { checkOutcome } from './checkStatus.ts';

/**
 * What must still be done before a step may be taken, as the duty table writes it.
 * @param step the raising token of the step: `access:plate-off`, `check:timing`.
 */
export function gatesUnmet(ticket: Ticket, model: FamilyModel, step: Raiser): readonly string[] {
  const unmet = gateRequirements(model, step)
    .filter(({ requirement }) => !holds(ticket, model, requirement, step))
    .map(({ text }) => text);
  return [...new Set(unmet)];
}

type GateRequirement = ReturnType<typeof gateRequirements>[number]['requirement'];

function holds(
  ticket: Ticket,
  model: FamilyModel,
  requirement: GateRequirement,
  step: Raiser,
): boolean {
  switch (requirement.kind) {
    case 'check': {
      const { done, normal } = checkOutcome(ticket, model, requirement.id);
      return requirement.normal ? normal : done;
    }
    case 'action': {
      if (requirement.id === POWER_OFF) return ticket.power === 'off';
      // An action that is gated by another asks for it again each time.
      const lastStep = Math.max(
        0,
        ...ticket.performedActions
          .filter(({ action }) => `action:${action}` === step)
          .map(({ seq }) => seq),
      );
      return ticket.performedActions.some(
        ({ action, seq }) => action === requirement.id && seq > lastStep,
      );
    }
    case 'finding':
      return ticket.answers.some(({ finding, present }) => finding === requirement.id && present);
  }
}

import { type FamilyModel, parseRequirement, type Raiser } from '@nodo/knowledge';
import { POWER_OFF } from '../state/namedActions.ts';
import type { Ticket } from '../state/ticket.ts';
import { checkOutcome } from './checkStatus.ts';

/**
 * What must still be done before a step may be taken, as the duty table writes it.
 * @param step the raising token of the step: `access:plate-off`, `check:timing`.
 */
export function gatesUnmet(ticket: Ticket, model: FamilyModel, step: Raiser): readonly string[] {
  const unmet: string[] = [];
  for (const duty of model.duties.values()) {
    if (!duty.gate || !duty.raisedBy.includes(step)) continue;
    for (const text of duty.gate) {
      if (!holds(ticket, model, text, step) && !unmet.includes(text)) unmet.push(text);
    }
  }
  return unmet;
}

function holds(ticket: Ticket, model: FamilyModel, text: string, step: Raiser): boolean {
  const requirement = parseRequirement(text);
  if (!requirement) return false;
  switch (requirement.kind) {
    case 'check': {
      if (!model.checks.has(requirement.id)) return true;
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

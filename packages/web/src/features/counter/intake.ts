import type { Customer, Draft } from '@nodo/contract';
import { deviceId } from '../../store/device.ts';
import type { CounterDraft } from './draft.ts';

/** The sheet as the server wants it. Ids come from the ticket's, so sending again is safe. */
export function intakeOf(draft: CounterDraft): {
  ticket: string;
  customer: Customer | null;
  drafts: readonly Draft[];
} {
  const { ticket } = draft;
  const customer: Customer | null =
    draft.customer.trim() === ''
      ? null
      : { id: derivedId(ticket, 9), name: draft.customer, phone: draft.phone };
  const common = { epoch: 0, observedAt: new Date().toISOString(), device: deviceId() };
  const drafts: Draft[] = [
    {
      ...common,
      id: derivedId(ticket, 1),
      type: 'intake-taken',
      command: {
        family: draft.family,
        label: draft.label,
        tag: Number(draft.tag),
        shelf: draft.shelf,
        words: draft.words,
        customer: customer?.id ?? null,
      },
    },
  ];
  if (draft.complaint.length > 0) {
    drafts.push({
      ...common,
      id: derivedId(ticket, 2),
      type: 'findings-recorded',
      command: {
        check: 'complaint',
        answers: Object.fromEntries(draft.complaint.map((id) => [id, 'yes' as const])),
      },
    });
  }
  if (Object.keys(draft.context).length > 0) {
    drafts.push({
      ...common,
      id: derivedId(ticket, 3),
      type: 'findings-recorded',
      command: { check: 'context', answers: { ...draft.context } },
    });
  }
  return { ticket, customer, drafts };
}

/** The ticket's random id with its last digit replaced. */
function derivedId(ticket: string, digit: number): string {
  const last = (Number.parseInt(ticket.slice(-1), 16) + digit) % 16;
  return ticket.slice(0, -1) + last.toString(16);
}

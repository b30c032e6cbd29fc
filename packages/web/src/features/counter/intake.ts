import type { Customer, Draft } from '@nodo/contract';
import { deviceId } from '../../store/device.ts';
import type { CounterDraft } from './draft.ts';

interface Sheet {
  readonly ticket: string;
  readonly customer: Customer | null;
  readonly drafts: readonly Draft[];
}

/** The sheet as the server wants it. Ids come from the ticket's, so sending again is safe. */
export function intakeOf(draft: CounterDraft): Sheet {
  const customer = customerOf(draft);
  return sheetOf(draft, customer, {
    type: 'intake-taken',
    command: {
      ...spokenOf(draft, customer),
      tag: Number(draft.tag),
      shelf: draft.shelf,
    },
  });
}

/** The same for a machine that stays where it is: somebody rang up about it. */
export function callOf(draft: CounterDraft): Sheet {
  const customer = customerOf(draft);
  return sheetOf(draft, customer, { type: 'call-taken', command: spokenOf(draft, customer) });
}

function customerOf({ ticket, customer, phone }: CounterDraft): Customer | null {
  return customer.trim() === '' ? null : { id: derivedId(ticket, 9), name: customer, phone };
}

function spokenOf({ family, label, words }: CounterDraft, customer: Customer | null) {
  return { family, label, words, customer: customer?.id ?? null };
}

function sheetOf(
  draft: CounterDraft,
  customer: Customer | null,
  first: Pick<Draft & { type: 'intake-taken' | 'call-taken' }, 'type' | 'command'>,
): Sheet {
  const { ticket } = draft;
  const common = { epoch: 0, observedAt: new Date().toISOString(), device: deviceId() };
  const drafts: Draft[] = [{ ...common, id: derivedId(ticket, 1), ...first } as Draft];
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

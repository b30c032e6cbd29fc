import type { Customer, NewMachine } from '@nodo/api';
import { COMPLAINT, CONTEXT } from '@nodo/knowledge';
import { newCustomerProfile, newMachineProfile } from '@nodo/shop';
import type { TicketCommand } from '@nodo/ticket';
import { deviceId } from '../../store/device.ts';
import type { IntakeForm } from './intakeForm.ts';

export interface Sheet {
  readonly ticket: string;
  readonly customer: Customer | null;
  readonly machine: NewMachine | null;
  readonly drafts: readonly TicketCommand[];
}

/** Which digit of the sheet's id stands for what; 0 is the ticket itself. */
const DIGIT = { first: 1, complaint: 2, context: 3, limit: 4, promise: 5, signed: 6, machine: 7 };
const CUSTOMER_DIGIT = 9;
const FIRST_PHOTO_DIGIT = 10;
/** So many pictures a sheet has ids for. */
export const MOST_PHOTOS = 6;

/**
 * The sheet as the server wants it. Ids come from the sheet's, so sending again is safe.
 * @param limit in the smallest unit, where one was agreed
 */
export function intakeOf(draft: IntakeForm, limit: number | undefined): Sheet {
  const sheet = sheetOf(draft, {
    type: 'intake-taken',
    command: {
      ...spokenOf(draft),
      tag: Number(draft.tag),
      shelf: draft.shelf,
      ...receivedOf(draft),
      comebackOf: draft.comebackOf,
    },
  });
  return { ...sheet, drafts: [...sheet.drafts, ...agreedOf(draft, limit)] };
}

/** The same for a machine that stays where it is: somebody rang up about it. */
export function callOf(draft: IntakeForm): Sheet {
  return sheetOf(draft, { type: 'call-taken', command: spokenOf(draft) });
}

/** A machine that was talked about on the telephone comes in: what is new since. */
export function arrivalOf(draft: IntakeForm, limit: number | undefined): readonly TicketCommand[] {
  const arrived = draftOf(draft, DIGIT.first, 'machine-arrived', {
    tag: Number(draft.tag),
    shelf: draft.shelf,
    ...receivedOf(draft),
  });
  return [arrived, ...asked(draft), ...agreedOf(draft, limit)];
}

/** The entry that keeps a picture; a place for each, the signature's own. */
export function pictureOf(
  draft: IntakeForm,
  photo: string,
  place: number | 'signature',
): TicketCommand {
  return place === 'signature'
    ? draftOf(draft, DIGIT.signed, 'signed', { photo, what: 'intake' })
    : draftOf(draft, FIRST_PHOTO_DIGIT + place, 'photo-kept', { photo, words: '' });
}

function receivedOf({ accessories, condition }: IntakeForm) {
  return { accessories: [...accessories], condition: condition.trim() };
}

function agreedOf(draft: IntakeForm, limit: number | undefined): readonly TicketCommand[] {
  const { promised } = draft;
  const spoken = draft.limit !== 'unspoken';
  return [
    ...(spoken ? [draftOf(draft, DIGIT.limit, 'limit-agreed', { limit: limit ?? null })] : []),
    ...(promised
      ? [
          draftOf(draft, DIGIT.promise, 'day-promised', {
            day: promised.day,
            ...(promised.despite ? { despite: promised.despite } : {}),
          }),
        ]
      : []),
  ];
}

function newCustomerOf({ ticket, customerId, customer, phone, reach }: IntakeForm) {
  if (customerId !== null || customer.trim() === '') return null;
  const card = { ...newCustomerProfile(customer, phone), reach };
  return { id: derivedId(ticket, CUSTOMER_DIGIT), ...card };
}

function newMachineOf({ ticket, machineId, family, label, model, serial }: IntakeForm) {
  if (machineId !== null) return null;
  const card = {
    ...newMachineProfile(family, label.trim()),
    model: model.trim(),
    serial: serial.trim(),
  };
  return { id: derivedId(ticket, DIGIT.machine), card };
}

function spokenOf(draft: IntakeForm) {
  const { family, label, words, traits } = draft;
  return {
    family,
    label,
    words,
    customer: draft.customerId ?? newCustomerOf(draft)?.id ?? null,
    machine: draft.machineId ?? newMachineOf(draft)?.id ?? null,
    traits: traits && [...traits],
  };
}

function sheetOf(
  draft: IntakeForm,
  first: Pick<TicketCommand & { type: 'intake-taken' | 'call-taken' }, 'type' | 'command'>,
): Sheet {
  return {
    ticket: draft.ticket,
    customer: newCustomerOf(draft),
    machine: newMachineOf(draft),
    drafts: [draftOf(draft, DIGIT.first, first.type, first.command), ...asked(draft)],
  };
}

/** What was ticked and what was asked. */
function asked(draft: IntakeForm): readonly TicketCommand[] {
  const found = (digit: number, check: string, answers: object) =>
    Object.keys(answers).length > 0
      ? [draftOf(draft, digit, 'findings-recorded', { check, answers })]
      : [];
  return [
    ...found(
      DIGIT.complaint,
      COMPLAINT,
      Object.fromEntries(draft.complaint.map((id) => [id, 'yes'])),
    ),
    ...found(DIGIT.context, CONTEXT, { ...draft.context }),
  ];
}

function draftOf(
  { ticket }: IntakeForm,
  digit: number,
  type: TicketCommand['type'],
  command: object,
) {
  return {
    id: derivedId(ticket, digit),
    type,
    command,
    epoch: 0,
    observedAt: new Date().toISOString(),
    device: deviceId(),
  } as TicketCommand;
}

/** The sheet's random id with its last digit replaced. */
function derivedId(ticket: string, digit: number): string {
  const last = (Number.parseInt(ticket.slice(-1), 16) + digit) % 16;
  return ticket.slice(0, -1) + last.toString(16);
}

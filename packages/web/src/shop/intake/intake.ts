import type { Customer, NewMachine } from '@nodo/api';
import { COMPLAINT, CONTEXT } from '@nodo/knowledge';
import { newCustomerProfile, newMachineProfile } from '@nodo/shop';
import type { TicketCommand } from '@nodo/ticket';
import { later } from '../../messages/later.ts';
import { deviceId } from '../../store/device.ts';
import type { IntakeForm } from './intakeForm.ts';

/** What the server is asked to take in. */
export interface Intake {
  readonly ticket: string;
  readonly customer: Customer | null;
  readonly machine: NewMachine | null;
  readonly drafts: readonly TicketCommand[];
}

/** Money that was agreed at the counter, in the smallest unit, where any was. */
export interface AgreedMoney {
  readonly limit?: number | undefined;
  readonly fee?: number | undefined;
}

/** Which digit of the form's id stands for what; 0 is the ticket itself. */
const DIGIT = {
  first: 1,
  complaint: 2,
  context: 3,
  limit: 4,
  promise: 5,
  signed: 6,
  machine: 7,
  tried: 8,
  /** Past the pictures: it changes the last digit but one. */
  fee: 16,
};
const CUSTOMER_DIGIT = 9;
const FIRST_PHOTO_DIGIT = 10;
/** So many pictures a form has ids for. */
export const MOST_PHOTOS = 6;

/**
 * The form as the server wants it. Ids come from the form's, so sending again is safe.
 */
export function intakeOf(form: IntakeForm, agreed: AgreedMoney): Intake {
  const taken = newTicketOf(form, {
    type: 'intake-taken',
    command: {
      ...spokenOf(form),
      tag: Number(form.tag),
      shelf: form.shelf,
      ...receivedOf(form),
      comebackOf: form.comebackOf,
    },
  });
  return { ...taken, drafts: [...taken.drafts, ...triedOf(form), ...agreedOf(form, agreed)] };
}

/** The same for a machine that stays where it is: somebody rang up about it. */
export function callOf(form: IntakeForm): Intake {
  return newTicketOf(form, { type: 'call-taken', command: spokenOf(form) });
}

/** A machine that was talked about on the telephone comes in: what is new since. */
export function arrivalOf(form: IntakeForm, agreed: AgreedMoney): readonly TicketCommand[] {
  const arrived = commandOf(form, DIGIT.first, 'machine-arrived', {
    tag: Number(form.tag),
    shelf: form.shelf,
    ...receivedOf(form),
  });
  return [arrived, ...asked(form), ...triedOf(form), ...agreedOf(form, agreed)];
}

/** The entry that keeps a picture; a place for each, the signature's own. */
export function pictureOf(
  form: IntakeForm,
  photo: string,
  place: number | 'signature',
): TicketCommand {
  return place === 'signature'
    ? commandOf(form, DIGIT.signed, 'signed', { photo, what: 'intake' })
    : commandOf(form, FIRST_PHOTO_DIGIT + place, 'photo-kept', { photo, words: '' });
}

/** What the customer tried already, as a note on the ticket. */
function triedOf(form: IntakeForm): readonly TicketCommand[] {
  const tried = [...form.tried, form.triedWords.trim()].filter(Boolean).join(', ');
  if (tried === '') return [];
  return [
    commandOf(form, DIGIT.tried, 'observation-noted', { words: later.counter.tried.noted(tried) }),
  ];
}

function receivedOf({ accessories, condition }: IntakeForm) {
  return { accessories: [...accessories], condition: condition.trim() };
}

function agreedOf(form: IntakeForm, { limit, fee }: AgreedMoney): readonly TicketCommand[] {
  const { promised } = form;
  const spoken = form.limit !== 'unspoken';
  return [
    ...(spoken ? [commandOf(form, DIGIT.limit, 'limit-agreed', { limit: limit ?? null })] : []),
    ...(fee === undefined ? [] : [commandOf(form, DIGIT.fee, 'inspection-agreed', { fee })]),
    ...(promised
      ? [
          commandOf(form, DIGIT.promise, 'day-promised', {
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

function newMachineOf({ ticket, machineId, family, label, colour, model, serial }: IntakeForm) {
  if (machineId !== null) return null;
  const card = {
    ...newMachineProfile(family, label.trim()),
    colour,
    model: model.trim(),
    serial: serial.trim(),
  };
  return { id: derivedId(ticket, DIGIT.machine), card };
}

function spokenOf(form: IntakeForm) {
  const { family, label, words, traits, colour } = form;
  return {
    family,
    label,
    words,
    customer: form.customerId ?? newCustomerOf(form)?.id ?? null,
    machine: form.machineId ?? newMachineOf(form)?.id ?? null,
    traits: traits && [...traits],
    colour,
  };
}

function newTicketOf(
  form: IntakeForm,
  first: Pick<TicketCommand & { type: 'intake-taken' | 'call-taken' }, 'type' | 'command'>,
): Intake {
  return {
    ticket: form.ticket,
    customer: newCustomerOf(form),
    machine: newMachineOf(form),
    drafts: [commandOf(form, DIGIT.first, first.type, first.command), ...asked(form)],
  };
}

/** What was ticked and what was asked. */
function asked(form: IntakeForm): readonly TicketCommand[] {
  const found = (digit: number, check: string, answers: object, more: object = {}) =>
    Object.keys(answers).length > 0
      ? [commandOf(form, digit, 'findings-recorded', { check, answers, ...more })]
      : [];
  const often = Object.fromEntries(
    Object.entries(form.often).filter(([symptom]) => form.complaint.includes(symptom)),
  );
  return [
    ...found(
      DIGIT.complaint,
      COMPLAINT,
      Object.fromEntries(form.complaint.map((id) => [id, 'yes'])),
      Object.keys(often).length > 0 ? { often } : {},
    ),
    ...found(DIGIT.context, CONTEXT, { ...form.context }),
  ];
}

function commandOf(
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

/** The form's random id with its last digit moved on, and the one before it by each sixteen. */
function derivedId(ticket: string, digit: number): string {
  const moved = (at: number, by: number) =>
    ((Number.parseInt(ticket.at(at) ?? '0', 16) + by) % 16).toString(16);
  return ticket.slice(0, -2) + moved(-2, Math.floor(digit / 16)) + moved(-1, digit % 16);
}

import { day } from '@nodo/kernel';
import { modelOf } from '@nodo/knowledge';
import { BODY_COLOURS, HOW_OFTEN, SPOKEN } from '@nodo/ticket';
import { z } from 'zod';
import { later } from '../../messages/later.ts';
import { readWhole } from '../../messages/typed.ts';

/** The form of the counter; stored on this screen until the machine is taken in. */
const intakeForm = z.object({
  ticket: z.uuid(),
  customer: z.string().default(''),
  phone: z.string().default(''),
  family: z.string().default('drop-in'),
  label: z.string().default(''),
  tag: z.string().default(''),
  /** Left open, the first of the shop's. */
  shelf: z.string().default(''),
  words: z.string().default(''),
  /** Findings that the customer reported. */
  complaint: z.array(z.string()).readonly().default([]),
  /** How often what is reported shows, as far as it was asked. */
  often: z.record(z.string(), z.enum(HOW_OFTEN)).readonly().default({}),
  /** Findings of the context that were asked. */
  context: z
    .record(z.string(), z.enum(['yes', 'no']))
    .readonly()
    .default({}),
  /** Rows that the shop has of them already. */
  customerId: z.uuid().nullable().default(null),
  machineId: z.uuid().nullable().default(null),
  /** What the machine has otherwise than its family. */
  traits: z.array(z.string()).readonly().nullable().default(null),
  /** Of its body, where it was asked. */
  colour: z.enum(BODY_COLOURS).nullable().default(null),
  model: z.string().default(''),
  serial: z.string().default(''),
  reach: z.enum(SPOKEN).default('telephone'),
  /** The ticket that it comes back from. */
  comebackOf: z.uuid().nullable().default(null),
  /** The call that announced it. */
  call: z.uuid().nullable().default(null),
  /** What the customer tried already, ticked and in words. */
  tried: z.array(z.string()).readonly().default([]),
  triedWords: z.string().default(''),
  accessories: z.array(z.string()).readonly().default([]),
  condition: z.string().default(''),
  limit: z.enum(['unspoken', 'up-to', 'ask-first']).default('unspoken'),
  /** As it is typed. */
  limitAmount: z.string().default(''),
  /** What the look alone costs, as it is typed; empty where it was not agreed. */
  feeAmount: z.string().default(''),
  promised: z.object({ day, despite: z.string() }).readonly().nullable().default(null),
});

export type IntakeForm = Readonly<z.infer<typeof intakeForm>>;

/** Most that a tag can say. */
const HIGHEST_TAG = 9999;

/**
 * The form of the counter as it may be sent; its messages are the texts shown at the fields.
 * @param readMoney reads an amount in the shop's currency
 */
export function readyIntake(readMoney: (typed: string) => number | undefined) {
  return intakeForm.superRefine(
    ({ customer, phone, label, tag, shelf, limit, limitAmount, feeAmount }, context) => {
      const wants = (path: keyof IntakeForm, isMet: boolean, message: string) => {
        if (!isMet) context.addIssue({ code: 'custom', path: [path], message });
      };
      const number = readWhole(tag) ?? 0;
      // A number without a name would have nowhere to be kept.
      wants('customer', customer.trim() !== '' || phone.trim() === '', later.counter.required);
      wants('label', label.trim() !== '', later.counter.required);
      wants('shelf', shelf.trim() !== '', later.counter.required);
      wants('tag', number >= 1 && number <= HIGHEST_TAG, later.counter.badTag);
      wants(
        'limitAmount',
        limit !== 'up-to' || readMoney(limitAmount) !== undefined,
        later.counter.agreed.badAmount,
      );
      wants(
        'feeAmount',
        feeAmount.trim() === '' || readMoney(feeAmount) !== undefined,
        later.counter.agreed.badAmount,
      );
    },
  );
}

/** The form of a call as the questions can begin with it. */
export const readyCall = intakeForm.superRefine(({ customer, phone, complaint }, context) => {
  if (customer.trim() === '' && phone.trim() !== '') {
    context.addIssue({ code: 'custom', path: ['customer'], message: later.counter.required });
  }
  if (complaint.length === 0) {
    context.addIssue({ code: 'custom', path: ['complaint'], message: later.phone.tickOne });
  }
});

/** Where the form of the counter and that of the telephone are stored. */
export type FormName = 'counter' | 'phone';

export const blankForm = (): IntakeForm => intakeForm.parse({ ticket: crypto.randomUUID() });

export function readForm(name: FormName): IntakeForm {
  try {
    return intakeForm.parse(JSON.parse(localStorage.getItem(`nodo.${name}`) ?? ''));
  } catch {
    return blankForm();
  }
}

export function storeForm(name: FormName, form: IntakeForm): void {
  localStorage.setItem(`nodo.${name}`, JSON.stringify(form));
}

/** Another kind of machine: keeps what was ticked and asked as far as this kind knows it. */
export function withFamily(form: IntakeForm, family: string): IntakeForm {
  const known = modelOf(family)?.findings ?? new Map();
  return {
    ...form,
    family,
    traits: null,
    complaint: form.complaint.filter((id) => known.has(id)),
    context: Object.fromEntries(Object.entries(form.context).filter(([id]) => known.has(id))),
  };
}

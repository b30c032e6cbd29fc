import { type Day, day } from '@nodo/kernel';
import { modelOf } from '@nodo/knowledge';
import { SPOKEN, type Spoken } from '@nodo/ticket';
import { z } from 'zod';

/** What is on the counter's sheet; kept on this screen until the tag hangs. */
export interface IntakeForm {
  readonly ticket: string;
  readonly customer: string;
  readonly phone: string;
  readonly family: string;
  readonly label: string;
  readonly tag: string;
  readonly shelf: string;
  readonly words: string;
  /** Findings that the customer reported. */
  readonly complaint: readonly string[];
  /** Findings of the context that were asked. */
  readonly context: Readonly<Record<string, 'yes' | 'no'>>;
  /** Rows that the shop has of them already. */
  readonly customerId: string | null;
  readonly machineId: string | null;
  /** What the machine has otherwise than its family. */
  readonly traits: readonly string[] | null;
  readonly model: string;
  readonly serial: string;
  readonly reach: Spoken;
  /** The ticket that it comes back from. */
  readonly comebackOf: string | null;
  /** The call that announced it. */
  readonly call: string | null;
  readonly accessories: readonly string[];
  readonly condition: string;
  readonly limit: 'unspoken' | 'up-to' | 'ask-first';
  /** As it is typed. */
  readonly limitAmount: string;
  readonly promised: { readonly day: Day; readonly despite: string } | null;
}

/** Where the sheet of the counter and that of the telephone are kept. */
export type SheetName = 'counter' | 'phone';

const kept = z.object({
  ticket: z.uuid(),
  customer: z.string(),
  phone: z.string(),
  family: z.string(),
  label: z.string(),
  tag: z.string(),
  shelf: z.string(),
  words: z.string(),
  complaint: z.array(z.string()),
  context: z.record(z.string(), z.enum(['yes', 'no'])),
  // Sheets of before these were asked for have none of them.
  customerId: z.uuid().nullable().default(null),
  machineId: z.uuid().nullable().default(null),
  traits: z.array(z.string()).nullable().default(null),
  model: z.string().default(''),
  serial: z.string().default(''),
  reach: z.enum(SPOKEN).default('telephone'),
  comebackOf: z.uuid().nullable().default(null),
  call: z.uuid().nullable().default(null),
  accessories: z.array(z.string()).default([]),
  condition: z.string().default(''),
  limit: z.enum(['unspoken', 'up-to', 'ask-first']).default('unspoken'),
  limitAmount: z.string().default(''),
  promised: z.object({ day, despite: z.string() }).nullable().default(null),
});

export function blankForm(): IntakeForm {
  return {
    ticket: crypto.randomUUID(),
    customer: '',
    phone: '',
    family: 'drop-in',
    label: '',
    tag: '',
    shelf: 'A',
    words: '',
    complaint: [],
    context: {},
    customerId: null,
    machineId: null,
    traits: null,
    model: '',
    serial: '',
    reach: 'telephone',
    comebackOf: null,
    call: null,
    accessories: [],
    condition: '',
    limit: 'unspoken',
    limitAmount: '',
    promised: null,
  };
}

export function readForm(sheet: SheetName): IntakeForm {
  try {
    return kept.parse(JSON.parse(localStorage.getItem(`nodo.${sheet}`) ?? ''));
  } catch {
    return blankForm();
  }
}

export function storeForm(sheet: SheetName, draft: IntakeForm): void {
  localStorage.setItem(`nodo.${sheet}`, JSON.stringify(draft));
}

/** Another kind of machine: keeps what was ticked and asked as far as this kind knows it. */
export function withFamily(draft: IntakeForm, family: string): IntakeForm {
  const known = modelOf(family)?.findings ?? new Map();
  return {
    ...draft,
    family,
    traits: null,
    complaint: draft.complaint.filter((id) => known.has(id)),
    context: Object.fromEntries(Object.entries(draft.context).filter(([id]) => known.has(id))),
  };
}

import { modelOf } from '@nodo/knowledge';
import { z } from 'zod';

/** What is on the counter's sheet; kept on this screen until the tag hangs. */
export interface CounterDraft {
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
});

export function blankDraft(): CounterDraft {
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
  };
}

export function readDraft(sheet: SheetName): CounterDraft {
  try {
    return kept.parse(JSON.parse(localStorage.getItem(`nodo.${sheet}`) ?? ''));
  } catch {
    return blankDraft();
  }
}

export function keepDraft(sheet: SheetName, draft: CounterDraft): void {
  localStorage.setItem(`nodo.${sheet}`, JSON.stringify(draft));
}

/** Another kind of machine: keeps what was ticked and asked as far as this kind knows it. */
export function withFamily(draft: CounterDraft, family: string): CounterDraft {
  const known = modelOf(family)?.findings ?? new Map();
  return {
    ...draft,
    family,
    complaint: draft.complaint.filter((id) => known.has(id)),
    context: Object.fromEntries(Object.entries(draft.context).filter(([id]) => known.has(id))),
  };
}

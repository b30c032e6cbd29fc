import { CELL_FAULTS, IMPORT_KINDS, SEPARATORS } from '@nodo/exchange';
import { EVERY_ROLE, LEADS, type Role, tableId } from '@nodo/kernel';
import { z } from 'zod';
import { ADDRESSES } from './addresses.ts';
import { defineEndpoint } from './endpoint.ts';

/** Files with what the shop wrote, and whose they are. What everybody reads in the tables, everybody may take along. */
export const EXPORTS = {
  'customers.csv': LEADS,
  'machines.csv': LEADS,
  'tickets.csv': LEADS,
  'measures.csv': LEADS,
  'parts.csv': LEADS,
  'bills.csv': LEADS,
  'tickets.jsonl': LEADS,
  'ticket.schema.json': EVERY_ROLE,
  'tables.json': EVERY_ROLE,
  'causes.csv': EVERY_ROLE,
  'shows.csv': EVERY_ROLE,
  'checks.csv': EVERY_ROLE,
  'findings.csv': EVERY_ROLE,
  'changes.json': EVERY_ROLE,
  'changes.csv': EVERY_ROLE,
} as const satisfies Readonly<Record<string, readonly Role[]>>;
export type ExportName = keyof typeof EXPORTS;
export const EXPORT_NAMES = Object.keys(EXPORTS) as [ExportName, ...ExportName[]];

/** One of the {@link EXPORTS}, whole. */
export const readExport = defineEndpoint({
  ...ADDRESSES.readExport,
  sends: '*/*',
  roles: EVERY_ROLE,
  params: z.object({ export: z.enum(EXPORT_NAMES) }),
  answer: z.never(),
});

/** Characters of the largest file that is taken over: some 50 000 customers. */
export const LARGEST_IMPORT = 8_000_000;
/** So many faults are told at a time. */
export const MOST_FAULTS = 200;

const matching = z.record(z.string().max(40), z.number().int().min(0).max(500).nullable());

/**
 * Looks what a file would change, or takes it over: all of it or nothing. Columns and separator are guessed where they
 * are left out.
 */
export const importRows = defineEndpoint({
  ...ADDRESSES.importRows,
  roles: LEADS,
  body: z.object({
    kind: z.enum(IMPORT_KINDS),
    text: z.string().max(LARGEST_IMPORT),
    separator: z.enum(SEPARATORS).optional(),
    matching: matching.optional(),
    /** The kind of a machine of which the file says none. */
    usual: tableId.optional(),
    apply: z.boolean(),
  }),
  answer: z.object({
    separator: z.enum(SEPARATORS),
    header: z.array(z.string()),
    matching,
    counts: z.object({
      new: z.number().int(),
      changed: z.number().int(),
      same: z.number().int(),
      faulty: z.number().int(),
    }),
    /** The first of them, as they would be kept. */
    sample: z.array(
      z.object({
        row: z.number().int(),
        status: z.enum(['new', 'changed', 'same']),
        cells: z.array(z.object({ column: z.string(), text: z.string() })),
      }),
    ),
    /** The first of them, by row. */
    faults: z
      .array(
        z.object({
          row: z.number().int(),
          column: z.string(),
          code: z.enum(CELL_FAULTS),
          cell: z.string(),
        }),
      )
      .max(MOST_FAULTS),
    applied: z.boolean(),
  }),
});
export type ImportAnswer = z.infer<typeof importRows.answer>;

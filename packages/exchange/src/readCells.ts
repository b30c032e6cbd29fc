import {
  type CustomerProfile,
  customerProfile,
  MACHINE_FACTS,
  type MachineProfile,
  machineProfile,
} from '@nodo/shop';
import type { z } from 'zod';
import { AND, factColumn, NONE } from './sheets.ts';

/** The cells of a row, by the names of our columns; a column that the file does not have is left out. */
export type Cells = Readonly<Record<string, string>>;

/** A kind of machine, as the tables know it. */
export interface Kind {
  readonly id: string;
  readonly name: string;
  /** That a machine of it can have. */
  readonly traits: readonly string[];
}

/** Why a cell cannot be taken over. */
export const CELL_FAULTS = [
  'missing',
  'too-long',
  'unknown-kind',
  'unknown-trait',
  'not-a-choice',
  'not-a-number',
  'not-readable',
  'twice',
  'no-such-customer',
  'merged-in-a-circle',
  'several-customers',
  'erased',
  'quotes',
  'too-many-cells',
] as const;
export type CellFault = (typeof CELL_FAULTS)[number];

export type Read<Card> =
  | { readonly card: Card }
  | { readonly faults: readonly { readonly column: string; readonly code: CellFault }[] };

/** @param before what is there already: a column that the file does not have leaves it as it is */
export function readCustomer(
  cells: Cells,
  before: CustomerProfile | undefined,
): Read<CustomerProfile> {
  const given = {
    name: cells.name ?? before?.name ?? '',
    phone: cells.phone ?? before?.phone ?? '',
    other: cells.other ?? before?.other ?? '',
    reach: filled(cells.reach) ?? before?.reach ?? 'telephone',
    notes: cells.notes ?? before?.notes ?? '',
  };
  return judged(customerProfile, given, (field) => field);
}

/**
 * @param before as in {@link readCustomer}
 * @param usual the kind of a machine of which the file says none
 */
export function readMachine(
  cells: Cells,
  before: MachineProfile | undefined,
  kinds: readonly Kind[],
  usual: string | undefined,
): Read<MachineProfile> {
  const kind = kindOf(filled(cells.kind) ?? before?.family ?? usual ?? '', kinds);
  if (!kind) {
    const code = filled(cells.kind) === undefined ? 'missing' : 'unknown-kind';
    return { faults: [{ column: 'kind', code }] };
  }
  const traits = cells.traits === undefined ? (before?.traits ?? null) : traitsIn(cells.traits);
  if (traits?.some((trait) => !kind.traits.includes(trait))) {
    return { faults: [{ column: 'traits', code: 'unknown-trait' }] };
  }
  const service = serviceIn(cells.service_values, before);
  if (service === undefined)
    return { faults: [{ column: 'service_values', code: 'not-readable' }] };
  const needles = filled(cells.needles);
  const choice = (cell: string | undefined, known: string | null | undefined) =>
    cell === undefined ? (known ?? null) : (filled(cell) ?? null);
  const given = {
    family: kind.id,
    label: labelOf(cells, before, kind),
    colour: choice(cells.colour, before?.colour),
    model: cells.model ?? before?.model ?? '',
    serial: cells.serial ?? before?.serial ?? '',
    traits,
    facts: factsIn(cells, before),
    service,
    needles: needles === undefined ? (before?.needles ?? 1) : Number(needles),
    scarf: choice(cells.scarf, before?.scarf),
    bobbin: choice(cells.bobbin, before?.bobbin),
    bobbinTurns: choice(cells.bobbin_turns, before?.bobbinTurns),
    oilPoints: cells.oil_points ?? before?.oilPoints ?? '',
    notes: cells.notes ?? before?.notes ?? '',
  };
  return judged(machineProfile, given, columnOf);
}

/** What a machine is called: as the file says, else as before, else by its model or kind. */
function labelOf(
  cells: Cells,
  before: Pick<MachineProfile, 'label'> | undefined,
  kind: Kind | undefined,
): string {
  return filled(cells.name) ?? before?.label ?? filled(cells.model) ?? kind?.name ?? '';
}

/** As {@link readMachine} would call one of which nothing is known yet. */
export function newLabel(cells: Cells, kinds: readonly Kind[], usual: string | undefined): string {
  return labelOf(cells, undefined, kindOf(filled(cells.kind) ?? usual ?? '', kinds));
}

/** By its id or by its name, however it is written. */
function kindOf(cell: string, kinds: readonly Kind[]): Kind | undefined {
  const wanted = plain(cell);
  return kinds.find(({ id, name }) => plain(id) === wanted || plain(name) === wanted);
}

/** Letters and figures alone, small: what two ways of writing the same have in common. */
export function plain(text: string): string {
  return text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();
}

function traitsIn(cell: string): string[] | null {
  const text = cell.trim();
  if (text === '') return null;
  if (text === NONE) return [];
  return text.split(AND).map((trait) => trait.trim());
}

function factsIn(cells: Cells, before: MachineProfile | undefined): MachineProfile['facts'] {
  return Object.fromEntries(
    MACHINE_FACTS.flatMap((fact) => {
      const cell = cells[factColumn(fact)];
      const value = cell === undefined ? before?.facts[fact] : filled(cell);
      return value === undefined ? [] : [[fact, value]];
    }),
  );
}

function serviceIn(cell: string | undefined, before: MachineProfile | undefined): unknown {
  if (cell === undefined) return before?.service ?? {};
  if (cell.trim() === '') return {};
  try {
    return JSON.parse(cell) as unknown;
  } catch {
    return undefined;
  }
}

const OTHERWISE: Readonly<Record<string, string>> = {
  family: 'kind',
  label: 'name',
  bobbinTurns: 'bobbin_turns',
  oilPoints: 'oil_points',
  service: 'service_values',
};

/** The column in which a field of a machine stands. */
function columnOf(field: string, within: string | undefined): string {
  return field === 'facts' && within !== undefined
    ? factColumn(within)
    : (OTHERWISE[field] ?? field);
}

function judged<Card>(
  schema: z.ZodType<Card>,
  given: object,
  column: (field: string, within: string | undefined) => string,
): Read<Card> {
  const read = schema.safeParse(given);
  if (read.success) return { card: read.data };
  return {
    faults: read.error.issues.map(({ path, code }) => {
      const [field = '', within] = path.map(String);
      return { column: column(field, within), code: FAULTS[code] ?? 'not-readable' };
    }),
  };
}

const FAULTS: Readonly<Record<string, CellFault>> = {
  too_small: 'missing',
  too_big: 'too-long',
  invalid_value: 'not-a-choice',
  invalid_type: 'not-a-number',
};

/** Nothing where there is only space. */
function filled(cell: string | undefined): string | undefined {
  const text = cell?.trim();
  return text === '' ? undefined : text;
}

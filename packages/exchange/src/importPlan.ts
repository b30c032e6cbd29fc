import type { CustomerProfile, MachineProfile } from '@nodo/shop';
import type { ImportKind, Matching } from './columns.ts';
import type { CsvRead, CsvRow } from './csv.ts';
import { asWritten } from './csv.ts';
import {
  type CellFault,
  type Cells,
  type Kind,
  newLabel,
  plain,
  type Read,
  readCustomer,
  readMachine,
} from './readCells.ts';
import type { CustomerRow, MachineRow } from './sheets.ts';

/** What is in the shop already. */
export interface Existing {
  readonly customers: readonly CustomerRow[];
  /** People who were erased: a list of before does not bring them back. */
  readonly erased: ReadonlySet<string>;
  readonly machines: readonly Omit<MachineRow, 'customerName'>[];
  readonly kinds: readonly Kind[];
  /** An id for a name, the same every time. */
  readonly idFor: (name: string) => string;
}

export interface ImportFault {
  readonly row: number;
  /** One of our columns; empty where the whole row is meant. */
  readonly column: string;
  readonly code: CellFault;
  /** What stands in the cell. */
  readonly cell: string;
}

interface Planned<Card> {
  readonly row: number;
  readonly id: string;
  readonly card: Card;
  readonly status: 'new' | 'changed' | 'same';
}
export type PlannedCustomer = Planned<CustomerProfile> & { readonly mergedInto: string | null };
export type PlannedMachine = Planned<MachineProfile> & { readonly customer: string | null };

export interface ImportPlan {
  readonly customers: readonly PlannedCustomer[];
  readonly machines: readonly PlannedMachine[];
  readonly faults: readonly ImportFault[];
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/**
 * What a file would change. A row is one that is known by its number, or else by name and telephone (customers), by
 * owner, name and serial number (machines): taken over twice it changes nothing.
 * @param usual the kind of a machine of which the file says none
 */
export function planImport(
  kind: ImportKind,
  file: CsvRead,
  matching: Matching,
  existing: Existing,
  usual?: string,
): ImportPlan {
  const known = indexed(existing);
  const unreadable = file.faults.map(({ row, code }) => ({ row, column: '', code, cell: '' }));
  const rows = file.rows.map((row) => ({ row: row.row, cells: cellsOf(row, matching) }));
  const faults: ImportFault[] = [...unreadable];
  const seen = new Set<string>();
  /** Takes a row, unless something is wrong with it. */
  const accept = <Card, Line>(
    row: number,
    cells: Cells,
    id: string,
    read: Read<Card>,
    use: (card: Card) => Line,
  ): Line[] => {
    const wrong = 'faults' in read ? [...read.faults] : [];
    if (seen.has(id)) wrong.push({ column: '', code: 'twice' });
    seen.add(id);
    faults.push(
      ...wrong.map(({ column, code }) => ({ row, column, code, cell: cells[column] ?? '' })),
    );
    return wrong.length > 0 || !('card' in read) ? [] : [use(read.card)];
  };
  if (kind === 'customers') {
    const customers = rows.flatMap(({ row, cells }) => {
      const id = customerId(cells, known);
      const before = known.customer.get(id);
      const into = cells.merged_into?.trim();
      const mergedInto = into === undefined ? (before?.mergedInto ?? null) : into || null;
      const read: Read<CustomerProfile> = existing.erased.has(id)
        ? { faults: [{ column: '', code: 'erased' }] }
        : readCustomer(cells, before?.card);
      return accept(row, cells, id, read, (card) => ({
        row,
        id,
        card,
        mergedInto,
        status: statusOf(before, { card, mergedInto }),
      }));
    });
    const all = new Set([...existing.customers, ...customers].map(({ id }) => id));
    faults.push(...lostDoubles(customers, all), ...circles(customers, existing));
    return { customers, machines: [], faults };
  }
  const machines = rows.flatMap(({ row, cells }) => {
    const owner = ownerOf(cells, known);
    if ('code' in owner) {
      faults.push({ row, column: owner.column, code: owner.code, cell: cells[owner.column] ?? '' });
      return [];
    }
    const label = newLabel(cells, existing.kinds, usual);
    const id = machineId(cells, owner.customer, label, known);
    const before = known.machine.get(id);
    const customer = owner.isSaid ? owner.customer : (before?.customer ?? null);
    const read = readMachine(cells, before?.card, existing.kinds, usual);
    return accept(row, cells, id, read, (card) => ({
      row,
      id,
      card,
      customer,
      status: statusOf(before, { card, customer }),
    }));
  });
  return { customers: [], machines, faults };
}

/** Doubles whose other one is neither here nor in the file. */
function lostDoubles(
  customers: readonly PlannedCustomer[],
  all: ReadonlySet<string>,
): ImportFault[] {
  return customers.flatMap(({ row, mergedInto }) =>
    mergedInto === null || all.has(mergedInto)
      ? []
      : [{ row, column: 'merged_into', code: 'no-such-customer' as const, cell: mergedInto }],
  );
}

/** Doubles of each other: whoever looks for the one they are all found as would never end. */
function circles(
  customers: readonly PlannedCustomer[],
  existing: Pick<Existing, 'customers'>,
): ImportFault[] {
  const into = new Map(
    [...existing.customers, ...customers].map(({ id, mergedInto }) => [id, mergedInto]),
  );
  return customers.flatMap(({ row, id, mergedInto }) => {
    const passed = new Set([id]);
    let next = mergedInto;
    while (next && !passed.has(next)) {
      passed.add(next);
      next = into.get(next) ?? null;
    }
    return next === null
      ? []
      : [
          {
            row,
            column: 'merged_into',
            code: 'merged-in-a-circle' as const,
            cell: mergedInto ?? '',
          },
        ];
  });
}

function cellsOf({ cells }: CsvRow, matching: Matching): Cells {
  return Object.fromEntries(
    Object.entries(matching).flatMap(([column, at]) =>
      at === null || cells[at] === undefined ? [] : [[column, asWritten(cells[at])]],
    ),
  );
}

type Machine = Existing['machines'][number];

/** What is there, by all that rows are known by. */
function indexed(existing: Existing) {
  const { customers, machines, erased, idFor } = existing;
  const byName = new Map<string, CustomerRow[]>();
  // Doubles are found as the one that they were merged into.
  for (const one of customers.filter(({ mergedInto }) => mergedInto === null)) {
    const name = plain(one.card.name);
    byName.set(name, [...(byName.get(name) ?? []), one]);
  }
  return {
    erased,
    idFor,
    customer: new Map(customers.map((one) => [one.id, one])),
    person: new Map(customers.map((one) => [personKey(one.card.name, one.card.phone), one.id])),
    byName,
    machine: new Map(machines.map((one) => [one.id, one])),
    ownMachine: new Map(machines.map((one) => [machineKey(one), one.id])),
  };
}
type Known = ReturnType<typeof indexed>;

/** Ours as it is; anybody else's number becomes one of ours, the same every time. */
function idOf(cell: string | undefined, what: ImportKind, { idFor }: Known): string | undefined {
  const text = cell?.trim().toLowerCase() ?? '';
  if (text === '') return undefined;
  return UUID.test(text) ? text : idFor(`${what} ${text}`);
}

function customerId(cells: Cells, known: Known): string {
  const key = personKey(cells.name, cells.phone);
  return (
    idOf(cells.id, 'customers', known) ??
    known.person.get(key) ??
    known.idFor(`customers by name ${key}`)
  );
}

function machineId(cells: Cells, customer: string | null, label: string, known: Known): string {
  const key = machineKey({ customer, card: { label, serial: cells.serial ?? '' } });
  return (
    idOf(cells.id, 'machines', known) ??
    known.ownMachine.get(key) ??
    known.idFor(`machines by name ${key}`)
  );
}

function personKey(name = '', phone = ''): string {
  return `${plain(name)}|${figures(phone)}`;
}

function machineKey({
  customer,
  card,
}: Pick<Machine, 'customer'> & {
  readonly card: Pick<MachineProfile, 'label' | 'serial'>;
}): string {
  return [customer ?? '', plain(card.label), plain(card.serial)].join('|');
}

function figures(phone: string): string {
  return phone.replace(/[^0-9]+/g, '');
}

/** Whose a machine is: by number, or else by a name that one customer alone has. */
function ownerOf(
  cells: Cells,
  known: Known,
):
  | { readonly customer: string | null; readonly isSaid: boolean }
  | { readonly column: string; readonly code: CellFault } {
  const given = idOf(cells.customer_id, 'customers', known);
  if (given !== undefined) {
    if (known.erased.has(given)) return { column: 'customer_id', code: 'erased' };
    return known.customer.has(given)
      ? { customer: given, isSaid: true }
      : { column: 'customer_id', code: 'no-such-customer' };
  }
  const name = plain(cells.customer_name ?? '');
  if (name === '') return { customer: null, isSaid: cells.customer_id !== undefined };
  const phone = figures(cells.customer_phone ?? '');
  const called = (known.byName.get(name) ?? []).filter(
    ({ card }) => phone === '' || figures(card.phone) === phone,
  );
  const [one] = called;
  if (!one) return { column: 'customer_name', code: 'no-such-customer' };
  if (called.length > 1) return { column: 'customer_name', code: 'several-customers' };
  return { customer: one.id, isSaid: true };
}

/** The same content, whatever the order of its fields. */
function statusOf<Line extends object>(
  before: NoInfer<Line> | undefined,
  after: Line,
): Planned<unknown>['status'] {
  if (!before) return 'new';
  const fields = Object.keys(after) as (keyof Line)[];
  const isSame = fields.every((field) => written(before[field]) === written(after[field]));
  return isSame ? 'same' : 'changed';
}

function written(value: unknown): string {
  return JSON.stringify(value, (_key, one: unknown) =>
    typeof one === 'object' && one !== null && !Array.isArray(one)
      ? Object.fromEntries(Object.entries(one).toSorted(([a], [b]) => (a < b ? -1 : 1)))
      : one,
  );
}

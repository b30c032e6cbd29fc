import { MACHINE_FACTS } from '@nodo/shop';
import { plain } from './readCells.ts';
import { CUSTOMER_COLUMNS, factColumn, MACHINE_COLUMNS } from './sheets.ts';

/** What can be taken over from a file. */
export const IMPORT_KINDS = ['customers', 'machines'] as const;
export type ImportKind = (typeof IMPORT_KINDS)[number];

/** Which cell of a row stands for which of our columns; null: the file does not have it. */
export type Matching = Readonly<Record<string, number | null>>;

/** What other people call our columns, in small letters. Common words, no source. */
const SYNONYMS: Readonly<Record<ImportKind, Readonly<Record<string, readonly string[]>>>> = {
  customers: {
    id: ['number', 'customer number', 'customer no', 'customer id', 'no', 'nr'],
    name: ['customer', 'customer name', 'full name', 'client', 'surname', 'last name'],
    phone: ['telephone', 'tel', 'phone number', 'mobile', 'cell'],
    other: ['mail', 'email', 'e mail', 'second phone'],
    notes: ['note', 'remark', 'remarks', 'comment', 'comments'],
  },
  machines: {
    id: ['number', 'machine number', 'machine id', 'no', 'nr'],
    customer_id: ['customer number', 'customer no', 'owner id', 'owner number'],
    customer_name: ['customer', 'owner', 'owner name', 'client'],
    customer_phone: ['phone', 'telephone', 'owner phone', 'tel', 'mobile'],
    kind: ['type', 'family', 'machine type'],
    name: ['machine', 'label', 'description', 'machine name'],
    model: ['model number', 'type plate'],
    serial: ['serial number', 'serial no', 'serial nr', 's n', 'sn'],
    colour: ['color'],
    notes: ['note', 'remark', 'remarks', 'comment', 'comments'],
  },
};

/** The columns of ours that a file can have, in the order of the form in which they are matched. */
export function columnsOf(kind: ImportKind): readonly string[] {
  return kind === 'customers'
    ? CUSTOMER_COLUMNS.map(({ name }) => name)
    : MACHINE_COLUMNS.flatMap(({ name }) =>
        name === 'customer_name' ? [name, 'customer_phone'] : [name],
      );
}

/** Those that only our own files have: they are matched by their names alone, and not asked about. */
export function isOurOwn(column: string): boolean {
  return OWN.has(column);
}
const OWN: ReadonlySet<string> = new Set([
  'reach',
  'merged_into',
  'traits',
  'needles',
  'scarf',
  'bobbin',
  'bobbin_turns',
  'service_values',
  'oil_points',
  ...MACHINE_FACTS.map(factColumn),
]);

/** What each column probably is, by its name. */
export function guessMatching(kind: ImportKind, header: readonly string[]): Matching {
  const names = header.map(plain);
  const taken = new Set<number>();
  const find = (wanted: readonly string[]): number | null => {
    const at = names.findIndex((name, index) => !taken.has(index) && wanted.includes(name));
    if (at < 0) return null;
    taken.add(at);
    return at;
  };
  // By our own names first: what is called so means it.
  const own = columnsOf(kind).map((column) => [column, find([plain(column)])] as const);
  return Object.fromEntries(
    own.map(([column, at]) => [column, at ?? find(SYNONYMS[kind][column] ?? [])]),
  );
}

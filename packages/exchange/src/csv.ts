import Papa from 'papaparse';

/** One column of a sheet. */
export interface Column<Row> {
  readonly name: string;
  readonly of: (row: Row) => string | number | boolean | null;
}

/** What a spreadsheet would take for a formula, or for one that was made harmless. */
const LOOKS_LIKE_FORMULA = /^'*[=+\-@\t\r]/;

/** Text that no spreadsheet calculates: an apostrophe stands before what looks like a formula. */
export function harmless(text: string): string {
  return LOOKS_LIKE_FORMULA.test(text) ? `'${text}` : text;
}

/** The other way round; text that was never made harmless stays as it is. */
export function asWritten(cell: string): string {
  return cell.startsWith("'") && LOOKS_LIKE_FORMULA.test(cell) ? cell.slice(1) : cell;
}

/** Names of the columns, as the first line of a file (RFC 4180). */
export function csvHeader<Row>(columns: readonly Column<Row>[]): string {
  return line([columns.map(({ name }) => name)]);
}

/** Rows as lines of a file (RFC 4180: commas, quotes where needed, CR LF after every line). */
export function csvLines<Row>(columns: readonly Column<Row>[], rows: readonly Row[]): string {
  return rows.length === 0 ? '' : line(rows.map((row) => columns.map(({ of }) => cell(of(row)))));
}

/** Numbers are no formulas, whatever their sign. */
function cell(value: string | number | boolean | null): string {
  if (value === null) return '';
  return typeof value === 'string' ? harmless(value) : String(value);
}

function line(rows: readonly (readonly string[])[]): string {
  return `${Papa.unparse(rows as string[][], { newline: '\r\n' })}\r\n`;
}

/** What stands between the cells of a file. */
export const SEPARATORS = [',', ';', '\t', '|'] as const;
export type Separator = (typeof SEPARATORS)[number];
const LINES_TO_GUESS_FROM = 30;

export interface CsvRow {
  /** Counted as a spreadsheet does: the header is row 1. */
  readonly row: number;
  /** As many as the header has. */
  readonly cells: readonly string[];
}

export interface CsvRead {
  readonly header: readonly string[];
  /** Without empty lines. */
  readonly rows: readonly CsvRow[];
  readonly separator: Separator;
  /** Rows that cannot be read. */
  readonly faults: readonly { readonly row: number; readonly code: 'quotes' | 'too-many-cells' }[];
}

/** @param separator found by itself if left out */
export function readCsv(text: string, separator?: Separator): CsvRead {
  const content = text.replace(/^\uFEFF/, '');
  const found = separator ?? separatorOf(content);
  const { data, errors } = Papa.parse<string[]>(content, { delimiter: found });
  const [header = [], ...rest] = data;
  const isEmpty = (row: readonly string[]) => row.every((one) => one.trim() === '');
  const rows = rest
    .map((cells, index) => ({ cells, row: index + 2 }))
    .filter(({ cells }) => !isEmpty(cells));
  return {
    header: header.map((name) => name.trim()),
    rows: rows.map(({ row, cells }) => ({ row, cells: header.map((_, at) => cells[at] ?? '') })),
    separator: found,
    faults: [
      ...errors.flatMap(({ type, row }) =>
        type === 'Quotes' ? [{ row: (row ?? 0) + 1, code: 'quotes' as const }] : [],
      ),
      ...rows.flatMap(({ row, cells }) =>
        cells.slice(header.length).some((one) => one.trim() !== '')
          ? [{ row, code: 'too-many-cells' as const }]
          : [],
      ),
    ],
  };
}

/** Empty lines, also the last one, would count as rows of one cell. */
function separatorOf(content: string): Separator {
  const { meta } = Papa.parse<string[]>(content, {
    delimitersToGuess: [...SEPARATORS],
    skipEmptyLines: true,
    preview: LINES_TO_GUESS_FROM,
  });
  return SEPARATORS.find((one) => one === meta.delimiter) ?? ',';
}

import { parse } from 'csv-parse/sync';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { asWritten, type Column, csvHeader, csvLines, harmless, readCsv } from '../src/index.ts';

interface Row {
  readonly name: string;
  readonly amount: number | null;
}
const COLUMNS: readonly Column<Row>[] = [
  { name: 'name', of: ({ name }) => name },
  { name: 'amount', of: ({ amount }) => amount },
];
const written = (rows: readonly Row[]) => csvHeader(COLUMNS) + csvLines(COLUMNS, rows);

describe('a file of comma separated values', () => {
  it('is written as RFC 4180 says', () => {
    const text = written([
      { name: 'Kell, Wenna', amount: 12 },
      { name: 'called "the quick"', amount: null },
      { name: 'two\nlines', amount: -0.5 },
    ]);
    expect(text).toBe(
      'name,amount\r\n"Kell, Wenna",12\r\n"called ""the quick""",\r\n"two\nlines",-0.5\r\n',
    );
    expect(written([])).toBe('name,amount\r\n');
  });

  it('is read alike by another parser, whatever people wrote', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ unit: 'grapheme' }), { minLength: 1 }), (names) => {
        const text = written(names.map((name) => ({ name, amount: 1 })));
        const elsewhere = parse<Row>(text, { columns: true, record_delimiter: '\r\n' });
        expect(elsewhere.map(({ name }) => asWritten(name))).toEqual(names);
        const ours = readCsv(text, ',');
        // A row with nothing in it is left out; here every row has an amount.
        expect(ours.rows.map(({ cells }) => asWritten(cells[0] ?? ''))).toEqual(names);
        expect(ours.faults).toEqual([]);
      }),
    );
  });

  it('holds nothing that a spreadsheet would calculate', () => {
    for (const text of ['=1+1', '+49 30 1', '-2', '@SUM(A1)', '\t=1', "'=1"]) {
      const [, row] = written([{ name: text, amount: 1 }]).split('\r\n');
      expect(row?.replace(/^"/, '')).toMatch(/^'/);
      expect(asWritten(harmless(text))).toBe(text);
    }
    expect(harmless("O'Kelt = ours")).toBe("O'Kelt = ours");
    expect(asWritten("'quoted'")).toBe("'quoted'");
  });
});

describe('a file of somebody else', () => {
  it.each([
    [';', 'Name;Telephone\nWenna Ó’Kelt;0555 0100\nOsric Venlow;0555 0177\n'],
    ['\t', 'Name\tTelephone\r\nWenna Ó’Kelt\t0555 0100\r\nOsric Venlow\t0555 0177'],
    ['|', 'Name|Telephone\nWenna Ó’Kelt|0555 0100\nOsric Venlow|0555 0177'],
    [',', '\uFEFFName,Telephone\n"Wenna Ó’Kelt",0555 0100\n\n"Osric Venlow",0555 0177\n'],
  ])('has its separator %j found', (separator, text) => {
    const read = readCsv(text);
    expect(read.separator).toBe(separator);
    expect(read.header).toEqual(['Name', 'Telephone']);
    expect(read.rows.map(({ cells }) => cells)).toEqual([
      ['Wenna Ó’Kelt', '0555 0100'],
      ['Osric Venlow', '0555 0177'],
    ]);
  });

  it('keeps the numbers of its rows where lines are empty, and tells rows that cannot be read', () => {
    const read = readCsv('name,phone\nWenna,1\n,,\nOsric,2,three\nAda\n', ',');
    expect(read.rows).toEqual([
      { row: 2, cells: ['Wenna', '1'] },
      { row: 4, cells: ['Osric', '2'] },
      { row: 5, cells: ['Ada', ''] },
    ]);
    expect(read.faults).toEqual([{ row: 4, code: 'too-many-cells' }]);
    expect(readCsv('name,phone\n"Wenna,1\nOsric,2\n', ',').faults).toContainEqual({
      row: 2,
      code: 'quotes',
    });
  });

  it('without anything in it is told as such', () => {
    expect(readCsv('')).toMatchObject({ header: [], rows: [] });
  });
});

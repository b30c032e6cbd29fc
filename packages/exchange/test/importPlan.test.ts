import {
  type CustomerProfile,
  type MachineProfile,
  newCustomerProfile,
  newMachineProfile,
} from '@nodo/shop';
import { describe, expect, it } from 'vitest';
import {
  CUSTOMER_COLUMNS,
  csvHeader,
  csvLines,
  type Existing,
  guessMatching,
  type ImportKind,
  MACHINE_COLUMNS,
  planImport,
  readCsv,
} from '../src/index.ts';

const uuid = (digit: number) => `${String(digit).repeat(8)}-0000-4000-8000-000000000000`;
const KINDS = [
  { id: 'drop-in', name: 'Drop-in bobbin', traits: ['bobbin', 'zigzag'] },
  { id: 'overlock', name: 'Overlock', traits: ['loopers'] },
];
const EMPTY: Existing = {
  customers: [],
  erased: new Set(),
  machines: [],
  kinds: KINDS,
  idFor: (name) => `id of ${name}`,
};
const plan = (kind: ImportKind, text: string, existing = EMPTY, usual?: string) => {
  const file = readCsv(text);
  return planImport(kind, file, guessMatching(kind, file.header), existing, usual);
};
const after = (existing: Existing, made: ReturnType<typeof plan>): Existing => ({
  ...existing,
  customers: [...existing.customers, ...made.customers],
  machines: [...existing.machines, ...made.machines],
});

const WENNA: CustomerProfile = {
  ...newCustomerProfile('Wenna Ó’Kelt', '+49 555 0100'),
  other: '=mail',
  reach: 'counter',
  notes: 'Two lines,\nand "quotes"',
};
const TEAL: MachineProfile = {
  ...newMachineProfile('drop-in', 'Teal zigzag'),
  colour: 'green',
  traits: ['bobbin', 'zigzag'],
  facts: { needleSystem: '130/705 H' },
  service: { 'hook-gap': { least: 0.05, most: 0.1, from: 'Manual, page 12' } },
  notes: '-',
};

describe('what this shop wrote', () => {
  const customers = [
    { id: uuid(1), card: WENNA, mergedInto: null },
    { id: uuid(2), card: newCustomerProfile('W. Okelt', ''), mergedInto: uuid(1) },
  ];
  const machines = [
    { id: uuid(3), customer: uuid(1), customerName: WENNA.name, card: TEAL },
    {
      id: uuid(4),
      customer: null,
      customerName: '',
      card: { ...newMachineProfile('overlock', 'Ash'), traits: [], needles: 4 },
    },
  ];
  const customersCsv = csvHeader(CUSTOMER_COLUMNS) + csvLines(CUSTOMER_COLUMNS, customers);
  const machinesCsv = csvHeader(MACHINE_COLUMNS) + csvLines(MACHINE_COLUMNS, machines);

  it('comes back as it was into an empty shop, and changes nothing a second time', () => {
    const first = plan('customers', customersCsv);
    expect(first.faults).toEqual([]);
    expect(first.customers).toMatchObject(customers.map((one) => ({ ...one, status: 'new' })));
    const withCustomers = after(EMPTY, first);
    const second = plan('machines', machinesCsv, withCustomers);
    expect(second.faults).toEqual([]);
    expect(second.machines).toMatchObject(
      machines.map(({ customerName: _name, ...one }) => ({ ...one, status: 'new' })),
    );
    const all = after(withCustomers, second);
    expect(plan('customers', customersCsv, all).customers.map(({ status }) => status)).toEqual([
      'same',
      'same',
    ]);
    expect(plan('machines', machinesCsv, all).machines.map(({ status }) => status)).toEqual([
      'same',
      'same',
    ]);
  });
});

describe('a list of customers from elsewhere', () => {
  const LIST =
    'Customer no;Surname;Mobile;Remarks\n17;Venlow;0555 0177;\n18;Trosk;0555 0100;Rings twice\n';

  it('is taken over by its own numbers, the same person each time', () => {
    const made = plan('customers', LIST);
    expect(made.faults).toEqual([]);
    expect(made.customers).toMatchObject([
      { row: 2, id: 'id of customers 17', card: { name: 'Venlow', phone: '0555 0177' } },
      { row: 3, id: 'id of customers 18', card: { name: 'Trosk', notes: 'Rings twice' } },
    ]);
    const again = plan('customers', LIST.replace('0555 0100', '0555 0199'), after(EMPTY, made));
    expect(again.customers.map(({ status }) => status)).toEqual(['same', 'changed']);
    expect(again.customers[1]?.card.phone).toBe('0555 0199');
  });

  it('without numbers finds those who were written down by hand, by name and telephone', () => {
    const known = {
      id: uuid(1),
      card: newCustomerProfile('Osric Venlow', '0555-0177'),
      mergedInto: null,
    };
    const made = plan('customers', 'name,phone\nosric  venlow,05550177\nOsric Venlow,0555 0178\n', {
      ...EMPTY,
      customers: [known],
    });
    expect(made.customers.map(({ id, status }) => [id, status])).toEqual([
      [uuid(1), 'changed'],
      ['id of customers by name osric venlow|05550178', 'new'],
    ]);
  });

  it('leaves what it has no column for as it is', () => {
    const known = { id: uuid(1), card: WENNA, mergedInto: null };
    const made = plan('customers', `id,phone\n${uuid(1)},0555 0111\n`, {
      ...EMPTY,
      customers: [known],
    });
    expect(made.customers).toMatchObject([
      { status: 'changed', card: { ...WENNA, phone: '0555 0111' } },
    ]);
  });

  it('tells each fault by row, column and cell, and brings nobody back who was erased', () => {
    const long = 'x'.repeat(200);
    const made = plan(
      'customers',
      `id,name,phone,reach,merged_into\n1,,0,,\n2,${long},0,,\n3,Ada,0,pigeon,\n4,Bo,0,,\n4,Bo,0,,\n${uuid(9)},Cy,0,,\n6,Di,0,,${uuid(8)}\n`,
      { ...EMPTY, erased: new Set([uuid(9)]) },
    );
    expect(made.faults).toEqual([
      { row: 2, column: 'name', code: 'missing', cell: '' },
      { row: 3, column: 'name', code: 'too-long', cell: long },
      { row: 4, column: 'reach', code: 'not-a-choice', cell: 'pigeon' },
      { row: 6, column: '', code: 'twice', cell: '' },
      { row: 7, column: '', code: 'erased', cell: '' },
      { row: 8, column: 'merged_into', code: 'no-such-customer', cell: uuid(8) },
    ]);
  });
});

describe('machines without a name', () => {
  it('are told apart by their models, and found again by them', () => {
    const list = 'name,model,kind\n,N 3,drop-in\n,N 4,drop-in\n';
    const made = plan('machines', list, EMPTY);
    expect(made.faults).toEqual([]);
    expect(made.machines.map(({ card, status }) => [card.label, status])).toEqual([
      ['N 3', 'new'],
      ['N 4', 'new'],
    ]);
    const again = plan('machines', list, { ...EMPTY, machines: made.machines });
    expect(again.machines.map(({ status }) => status)).toEqual(['same', 'same']);
    const twice = plan('machines', 'name,model,kind\n,N 3,drop-in\n,N 3,drop-in\n', EMPTY);
    expect(twice.faults).toMatchObject([{ row: 3, code: 'twice' }]);
  });
});

describe('customers that are merged', () => {
  const rows = (...pairs: readonly (readonly [number, number | ''])[]) =>
    `id,name,merged_into\n${pairs.map(([id, into]) => `${uuid(id)},P${id},${into && uuid(into)}`).join('\n')}\n`;

  it('into each other, or into themselves, are refused, in the file and with what is there', () => {
    const circle = plan('customers', rows([1, 2], [2, 3], [3, 1], [4, 1], [5, '']));
    expect(circle.faults.map(({ row, code }) => [row, code])).toEqual([
      [2, 'merged-in-a-circle'],
      [3, 'merged-in-a-circle'],
      [4, 'merged-in-a-circle'],
      [5, 'merged-in-a-circle'],
    ]);
    expect(plan('customers', rows([1, 1])).faults).toMatchObject([{ code: 'merged-in-a-circle' }]);
    const there = after(EMPTY, plan('customers', rows([1, 2], [2, ''])));
    expect(plan('customers', rows([2, 1]), there).faults).toMatchObject([
      { row: 2, code: 'merged-in-a-circle' },
    ]);
    // One after the other is no circle.
    expect(plan('customers', rows([1, 2], [2, 3], [3, ''])).faults).toEqual([]);
  });
});

describe('a list of machines from elsewhere', () => {
  const there = (name: string, phone: string, digit: number) => ({
    id: uuid(digit),
    card: newCustomerProfile(name, phone),
    mergedInto: null,
  });
  const shop = {
    ...EMPTY,
    customers: [
      there('Ada Brook', '1', 1),
      there('Bo Quill', '2', 2),
      there('Bo Quill', '3', 3),
      { ...there('Ada Brook', '9', 4), mergedInto: uuid(1) },
    ],
  };

  it('finds whose they are by name, where only one has it, or by the telephone beside it', () => {
    const made = plan(
      'machines',
      'Owner,Tel,Machine,Type\nada brook,,Rose,drop-in\nBo Quill,3,Ash,OVERLOCK\nBo Quill,,Mint,drop-in\nCy,,Teal,drop-in\n,,Grey,drop-in\n',
      shop,
    );
    expect(made.machines.map(({ customer, card }) => [customer, card.label, card.family])).toEqual([
      [uuid(1), 'Rose', 'drop-in'],
      [uuid(3), 'Ash', 'overlock'],
      [null, 'Grey', 'drop-in'],
    ]);
    expect(made.faults).toEqual([
      { row: 4, column: 'customer_name', code: 'several-customers', cell: 'Bo Quill' },
      { row: 5, column: 'customer_name', code: 'no-such-customer', cell: 'Cy' },
    ]);
  });

  it('takes a kind that it does not say from whoever takes it over, and knows kinds by name', () => {
    const text =
      'machine,kind,needles,traits,service values\nRose,,,,\nAsh,Drop-In BOBBIN,,,\nMint,loom,,,\nTeal,drop-in,many,,\nFawn,drop-in,,wings,\nPlum,drop-in,,,{\n';
    const made = plan('machines', text, EMPTY, 'overlock');
    expect(made.machines.map(({ card }) => [card.label, card.family])).toEqual([
      ['Rose', 'overlock'],
      ['Ash', 'drop-in'],
    ]);
    expect(made.faults).toEqual([
      { row: 4, column: 'kind', code: 'unknown-kind', cell: 'loom' },
      { row: 5, column: 'needles', code: 'not-a-number', cell: 'many' },
      { row: 6, column: 'traits', code: 'unknown-trait', cell: 'wings' },
      { row: 7, column: 'service_values', code: 'not-readable', cell: '{' },
    ]);
    expect(plan('machines', text).faults[0]).toEqual({
      row: 2,
      column: 'kind',
      code: 'missing',
      cell: '',
    });
  });

  it('finds a machine again by owner, name and serial number', () => {
    const text = 'owner,machine,serial,type,notes\nAda Brook,Rose,A-1,drop-in,first\n';
    const made = plan('machines', text, shop);
    const again = plan('machines', text.replace('first', 'second'), after(shop, made));
    expect(again.machines.map(({ id, status }) => [id, status])).toEqual([
      [made.machines[0]?.id, 'changed'],
    ]);
  });
});

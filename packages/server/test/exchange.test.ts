import { randomUUID } from 'node:crypto';
import { ADDRESSES, type ExportName, type ImportAnswer, pathTo } from '@nodo/api';
import { newMachineProfile } from '@nodo/shop';
import Ajv2020 from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import { parse } from 'csv-parse/sync';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { dumped } from './database.ts';
import { Client, startTestServer, type TestServer } from './server.ts';
import { commandOf, intakeCommand } from './shop.ts';

let server: TestServer;
let lead: Client;
let elsewhere: Client;
beforeAll(async () => {
  server = await startTestServer();
  lead = await Client.signedIn(server.url, server.shop.people.lead);
  elsewhere = await Client.signedIn(server.url, server.otherShop.people.lead);
});
afterAll(() => server.stop());

const exported = async (name: ExportName, as = lead): Promise<string> => {
  const { bytes } = await as.read(pathTo('readExport', { export: name }));
  return bytes.toString('utf8');
};
/** As another program reads it. */
const rowsOf = async (name: ExportName): Promise<Record<string, string>[]> =>
  parse(await exported(name), { columns: true, record_delimiter: '\r\n' });
const importing = (as: Client, body: object) =>
  as.call('POST', ADDRESSES.importRows.path, { apply: true, ...body });

const takeIn = async (name: string, label: string, machine = randomUUID()) => {
  const ticket = randomUUID();
  const customer = { id: randomUUID(), name, phone: '+49 555 0100' };
  const drafts = [intakeCommand({ customer: customer.id, label, machine })];
  const { status, body } = await lead.call('POST', '/api/tickets', {
    ticket,
    customer,
    machine: { id: machine, card: { ...newMachineProfile('drop-in', label), serial: '=A1' } },
    drafts,
  });
  expect(status, JSON.stringify(body)).toBe(200);
  return { ticket, machine, customer: customer.id };
};
const record = async (ticket: string, type: Parameters<typeof commandOf>[0], command: object) => {
  const entry = commandOf(type, command);
  const { status, body } = await lead.call('POST', `/api/tickets/${ticket}/events`, entry);
  expect(status, JSON.stringify(body)).toBe(200);
};

describe('what a shop wrote, as files', () => {
  let first: Awaited<ReturnType<typeof takeIn>>;
  beforeAll(async () => {
    first = await takeIn('=Wenna, "Ó’Kelt"', 'Teal zigzag');
    await takeIn('Osric Venlow', 'بيضاء\nwith a dent');
    await record(first.ticket, 'measured', { quantity: 'hook-gap', value: 0.07, when: 'found' });
    await record(first.ticket, 'part-fitted', { words: 'Bobbin case', count: 2, each: 1250 });
  });

  it('are read by another program, cell for cell, and hold no formula', async () => {
    const customers = await rowsOf('customers.csv');
    expect(customers.map(({ name }) => name)).toEqual(
      expect.arrayContaining([`'=Wenna, "Ó’Kelt"`, 'Osric Venlow']),
    );
    const machines = await rowsOf('machines.csv');
    expect(machines).toContainEqual(
      expect.objectContaining({ id: first.machine, customer_id: first.customer, serial: "'=A1" }),
    );
    expect(machines.map(({ name }) => name)).toContain('بيضاء\nwith a dent');
    for (const row of [...customers, ...machines]) {
      for (const cell of Object.values(row)) expect(cell).not.toMatch(/^[=+\-@\t\r]/);
    }
    expect(await rowsOf('tickets.csv')).toContainEqual(
      expect.objectContaining({
        ticket_id: first.ticket,
        machine_id: first.machine,
        customer_id: first.customer,
        machine: 'Teal zigzag',
        status: 'open',
        currency: 'EUR',
      }),
    );
    expect(await rowsOf('measures.csv')).toMatchObject([
      { ticket_id: first.ticket, quantity: 'hook-gap', value: '0.07', unit: 'mm', when: 'found' },
    ]);
    expect(await rowsOf('parts.csv')).toMatchObject([
      { part: 'Bobbin case', count: '2', each: '12.5', amount: '25', currency: 'EUR' },
    ]);
    expect(await rowsOf('bills.csv')).toEqual([]);
  });

  it('hold every entry of every ticket, in the form that is published for them', async () => {
    const ajv = new Ajv2020({ strict: false });
    addFormats(ajv);
    const fits = ajv.compile(JSON.parse(await exported('ticket.schema.json')) as object);
    const lines = (await exported('tickets.jsonl'))
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as { ticket: string; events: { type: string }[] });
    expect(lines).toHaveLength(2);
    for (const line of lines) expect(fits(line), JSON.stringify(fits.errors)).toBe(true);
    const own = lines.find(({ ticket }) => ticket === first.ticket);
    expect(own?.events.map(({ type }) => type)).toEqual(
      expect.arrayContaining(['intake-taken', 'measured', 'part-fitted']),
    );
    // The form is one: what does not have it is refused by it.
    expect(fits({ ...lines[0], ticket: 'mine' })).toBe(false);
    expect(fits({ ...lines[0], events: [{ type: 'intake-taken' }] })).toBe(false);
  });

  it('hold the tables and their changes, for everybody who reads them', async () => {
    const learner = await Client.signedIn(server.url, server.shop.people.learner);
    const causes = parse<object>(await exported('causes.csv', learner), { columns: true });
    expect(causes.length).toBeGreaterThan(50);
    const tables = JSON.parse(await exported('tables.json', learner)) as {
      tables: { mechanisms: { causes: object[] }[] };
    };
    expect(tables.tables.mechanisms.flatMap((one) => one.causes)).toHaveLength(causes.length);
    for (const name of ['shows.csv', 'checks.csv', 'findings.csv'] as const) {
      expect((await rowsOf(name)).length).toBeGreaterThan(50);
    }
    expect(JSON.parse(await exported('changes.json', learner))).toEqual([]);
    expect(await exported('changes.csv', learner)).toMatch(/^id,state,kind,change,/);
    const refused = await learner.call('GET', pathTo('readExport', { export: 'tickets.jsonl' }));
    expect(refused).toMatchObject({ status: 403, body: { code: 'role-may-not' } });
  });

  it('written out, taken over by an empty shop and written out again are equal', async () => {
    const files = {
      customers: await exported('customers.csv'),
      machines: await exported('machines.csv'),
    };
    for (const kind of ['customers', 'machines'] as const) {
      const { status, body } = await importing(elsewhere, { kind, text: files[kind] });
      expect(status, JSON.stringify(body)).toBe(200);
      expect(body).toMatchObject({
        applied: true,
        counts: { new: 2, changed: 0, same: 0, faulty: 0 },
      });
    }
    expect(await exported('customers.csv', elsewhere)).toBe(files.customers);
    expect(await exported('machines.csv', elsewhere)).toBe(files.machines);

    const before = await dumped(server.database.name);
    for (const kind of ['customers', 'machines'] as const) {
      const { body } = await importing(elsewhere, { kind, text: files[kind] });
      expect((body as ImportAnswer).counts).toEqual({ new: 0, changed: 0, same: 2, faulty: 0 });
    }
    const withoutAudit = (dump: string) => dump.replace(/^.*data-imported.*\n?/gm, '');
    expect(withoutAudit(await dumped(server.database.name))).toBe(withoutAudit(before));
    // What came from a file is found like anything else.
    const found = await elsewhere.call('GET', `${ADDRESSES.search.path}?find=venlow`);
    expect(JSON.stringify(found.body)).toContain('Osric Venlow');
  });
});

describe('rows from a file', () => {
  const LIST = 'Customer no;Surname;Mobile\n17;Quill;0555 0177\n18;Brook;0555 0111\n';

  it('are looked at first, with what each column probably is', async () => {
    const before = await dumped(server.database.name);
    const { body } = await importing(lead, { kind: 'customers', text: LIST, apply: false });
    expect(body).toMatchObject({
      separator: ';',
      header: ['Customer no', 'Surname', 'Mobile'],
      matching: { id: 0, name: 1, phone: 2, notes: null },
      counts: { new: 2, changed: 0, same: 0, faulty: 0 },
      applied: false,
    });
    expect((body as ImportAnswer).sample[0]).toEqual({
      row: 2,
      status: 'new',
      cells: [
        { column: 'name', text: 'Quill' },
        { column: 'phone', text: '0555 0177' },
        { column: 'reach', text: 'telephone' },
      ],
    });
    expect(await dumped(server.database.name)).toBe(before);
  });

  it('are taken over all or none', async () => {
    const before = await dumped(server.database.name);
    const faulty = `${LIST}19;;0555\n`;
    const refused = await importing(lead, { kind: 'customers', text: faulty });
    expect(refused).toMatchObject({
      status: 422,
      body: {
        code: 'import-faulty',
        data: { faults: [{ row: 4, column: 'name', code: 'missing', cell: '' }] },
      },
    });
    expect(await dumped(server.database.name)).toBe(before);
  });

  it('are matched by hand where they are called otherwise', async () => {
    const matching = { name: 1, phone: 0 };
    const text = 'a,b\n0555 0142,Ines Mallow\n';
    const { body } = await importing(lead, { kind: 'customers', text, matching });
    expect(body).toMatchObject({ applied: true, counts: { new: 1 } });
    const rows = await rowsOf('customers.csv');
    expect(rows).toContainEqual(
      expect.objectContaining({ name: 'Ines Mallow', phone: '0555 0142' }),
    );
  });

  it('change whom they know, with all that is found by their names, and bring nobody back', async () => {
    const { customer } = await takeIn('Tilda Farrow', 'Mint zigzag');
    const text = `id,name\n${customer},Tilda Merle\n`;
    const { body } = await importing(lead, { kind: 'customers', text });
    expect(body).toMatchObject({ applied: true, counts: { new: 0, changed: 1 } });
    const found = await lead.call('GET', `${ADDRESSES.search.path}?find=merle`);
    expect(JSON.stringify(found.body)).toContain('Mint zigzag');
    await lead.call('DELETE', `/api/customers/${customer}`);
    const refused = await importing(lead, { kind: 'customers', text });
    expect(refused).toMatchObject({
      status: 422,
      body: { data: { faults: [{ row: 2, code: 'erased' }] } },
    });
  });

  it('may be many, from whoever is signed in', async () => {
    const many = Array.from(
      { length: 3_000 },
      (_, index) => `${index},Customer ${index},0${index}`,
    );
    const text = `number,name,phone\n${many.join('\n')}\n`;
    expect(text.length).toBeGreaterThan(64_000);
    const body = { kind: 'customers', text };
    expect((await importing(new Client(server.url), body)).status).toBe(401);
    const technician = await Client.signedIn(server.url, server.shop.people.technician);
    expect((await importing(technician, body)).status).toBe(403);
    const done = await importing(elsewhere, body);
    expect(done).toMatchObject({ status: 200, body: { counts: { new: 3_000 } } });
    const again = await importing(elsewhere, body);
    expect(again).toMatchObject({ status: 200, body: { counts: { new: 0, same: 3_000 } } });
  });
});

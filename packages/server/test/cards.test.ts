import { randomUUID } from 'node:crypto';
import type { CustomerFile, CustomerLink, MachineFile, ShopRecord, TicketFile } from '@nodo/api';
import { NEW_SHOP_PROFILE, newCustomerProfile } from '@nodo/shop';
import { describe, expect, it } from 'vitest';
import { styleOf } from '../src/documents/parts.ts';
import { connect, withShop } from '../src/index.ts';
import { ok, record, useCounter } from './counter.ts';
import { dumped } from './database.ts';
import { jpeg } from './jpeg.ts';
import { Client } from './server.ts';
import { intakeCommand } from './shop.ts';

const shop = useCounter();
const { takenIn, found, rackLine } = shop;

describe('a customer', () => {
  it('is changed by whoever saw the latest, and called so everywhere from then on', async () => {
    const { ticket, customer, machine } = await takenIn('Pell Umbrick');
    const card = { ...newCustomerProfile('Pell Umbrick-Ostra', '000 0777'), notes: 'Rings late' };
    const path = `/api/customers/${customer}`;
    await ok(shop.counter, 'POST', path, { revision: 0, card });
    expect(await shop.counter.call('POST', path, { revision: 0, card })).toMatchObject({
      status: 409,
      body: { code: 'card-moved' },
    });
    expect(await rackLine(ticket)).toMatchObject({ customerName: 'Pell Umbrick-Ostra' });
    // The search forgives typing errors, so it may find others beside them.
    expect(await found('ostra')).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ kind: 'customer', id: customer }),
        expect.objectContaining({ kind: 'ticket', id: ticket, machine }),
      ]),
    );
  });

  it('who turns out to be a double is found as the one, and nothing of it is lost', async () => {
    const [one, other] = [await takenIn('Mueller, Ansa'), await takenIn('Ansa Müller')];
    const merge = (into: string | null) =>
      shop.counter.call('POST', `/api/customers/${other.customer}/merged`, { into });
    expect(await merge(one.customer)).toMatchObject({ status: 200 });
    const file = await ok<CustomerFile>(shop.counter, 'GET', `/api/customers/${one.customer}`);
    expect(file.doubles).toMatchObject([{ id: other.customer, card: { name: 'Ansa Müller' } }]);
    expect(file.tickets.map(({ ticket }) => ticket).sort()).toEqual(
      [one.ticket, other.ticket].sort(),
    );
    expect(file.machines).toHaveLength(2);
    expect(await rackLine(other.ticket)).toMatchObject({ customerName: 'Mueller, Ansa' });
    expect(
      await ok<MachineFile>(shop.counter, 'GET', `/api/machines/${other.machine}`),
    ).toMatchObject({
      customerName: 'Mueller, Ansa',
    });
    // Round in a circle, or twice: nothing to do.
    const back = await shop.counter.call('POST', `/api/customers/${one.customer}/merged`, {
      into: other.customer,
    });
    expect([back.status, (await merge(one.customer)).status]).toEqual([409, 409]);
    expect(await merge(null)).toMatchObject({ status: 200 });
    expect(await rackLine(other.ticket)).toMatchObject({ customerName: 'Ansa Müller' });
  });

  it('is erased on request: name, number, signature and link go, the repair stays', async () => {
    const { ticket, customer, machine } = await takenIn('Zelda Quorn', { phone: '000 4711' });
    const dump = async () => (await dumped(shop.server.database.name)).toLowerCase();
    expect(await dump()).toContain('quorn');
    expect(await dump()).toContain('0004711');
    const { photo } = await ok<{ photo: string }>(
      shop.counter,
      'POST',
      `/api/tickets/${ticket}/photos`,
      jpeg({ width: 8, height: 6 }),
    );
    await record(shop.counter, ticket, 'signed', { photo, what: 'intake' });
    const { token } = await ok<{ token: string }>(
      shop.counter,
      'POST',
      `/api/tickets/${ticket}/links`,
      {
        days: 7,
      },
    );
    expect(await shop.counter.call('DELETE', `/api/customers/${customer}`)).toMatchObject({
      status: 403,
    });
    await ok(shop.lead, 'DELETE', `/api/customers/${customer}`);
    for (const path of [
      `/api/customers/${customer}`,
      `/api/machines/${machine}`,
      `/api/tickets/${ticket}`,
      '/api/tickets',
    ]) {
      const told = JSON.stringify((await shop.lead.call('GET', path)).body);
      expect(told).not.toContain('Quorn');
      expect(told).not.toContain('4711');
    }
    expect(await dump()).not.toMatch(/quorn|000 ?4711|zelda/);
    expect(await found('quorn')).toEqual([]);
    expect(await found('4711')).toEqual([]);
    expect((await found('teal')).length).toBeGreaterThan(0);
    expect(await shop.lead.call('GET', `/api/tickets/${ticket}/photos/${photo}`)).toMatchObject({
      status: 404,
    });
    expect((await shop.lead.call('GET', `/api/shared/${token}`)).status).toBe(404);
    expect((await ok<TicketFile>(shop.lead, 'GET', `/api/tickets/${ticket}`)).customer).toBeNull();
    const card = newCustomerProfile('Zelda Quorn', '');
    expect(
      await shop.counter.call('POST', `/api/customers/${customer}`, { revision: 0, card }),
    ).toMatchObject({ status: 409, body: { code: 'erased' } });
  });
});

describe('a machine', () => {
  it('keeps every card it had, and its visits with what was left open', async () => {
    const { machine, ticket, customer } = await takenIn('Osk Trenholt', { serial: 'TX-41 2207' });
    const path = `/api/machines/${machine}`;
    const { machine: sheet } = await ok<MachineFile>(shop.counter, 'GET', path);
    const card = {
      ...sheet.card,
      traits: ['bobbin', 'drop-in', 'zigzag', 'plastic-case', 'magnet-case'],
      service: { 'hook-gap': { least: 0.05, most: 0.1, from: 'Service manual, page 12' } },
    };
    const change = { revision: sheet.revision, card, customer };
    const changed = await ok<MachineFile>(shop.technician, 'POST', path, change);
    expect(changed.machine.card.service['hook-gap']?.from).toBe('Service manual, page 12');
    expect(changed.earlier).toMatchObject([
      { revision: 1, by: shop.server.shop.people.counter.person, card: { traits: null } },
    ]);
    expect((await shop.technician.call('POST', path, change)).status).toBe(409);
    await record(shop.technician, ticket, 'part-fitted', { words: 'Case', count: 1, each: 2400 });
    await record(shop.technician, ticket, 'measured', {
      quantity: 'hook-gap',
      value: 0.2,
      when: 'found',
    });
    const mark = { surface: 'hook', hour: 2.5, out: 0.9, kind: 'raised', length: 1, was: null };
    await record(shop.technician, ticket, 'mark-found', mark);
    const { visits, customerName } = await ok<MachineFile>(shop.counter, 'GET', path);
    expect(customerName).toBe('Osk Trenholt');
    expect(visits).toMatchObject([
      {
        line: { ticket },
        parts: [{ words: 'Case', count: 1, each: 2400 }],
        measures: [{ quantity: 'hook-gap', value: 0.2, when: 'found' }],
        marks: [{ ...mark, end: null, gone: false }],
      },
    ]);
    const least = { ...card, service: { 'hook-gap': { least: 0.2, most: 0.1, from: 'x' } } };
    expect(
      await shop.technician.call('POST', path, { ...change, revision: 2, card: least }),
    ).toMatchObject({ status: 400 });
  });

  it('that somebody else brings is theirs from then on', async () => {
    const { machine, ticket } = await takenIn('Wenzel Ruhland');
    const buyer = { id: randomUUID(), ...newCustomerProfile('Ottilie Krahn', '') };
    await ok(shop.counter, 'POST', '/api/tickets', {
      ticket: randomUUID(),
      customer: buyer,
      drafts: [intakeCommand({ machine, customer: buyer.id })],
    });
    const file = await ok<MachineFile>(shop.counter, 'GET', `/api/machines/${machine}`);
    expect(file).toMatchObject({ customerName: 'Ottilie Krahn', visits: [{}, {}] });
    // The visit of before stays with whoever brought it then.
    expect(await rackLine(ticket)).toMatchObject({ customerName: 'Wenzel Ruhland' });
    expect((await found('krahn')).map((hit) => hit.machine)).toContain(machine);
  });

  it('that comes back is counted on the ticket it comes back from, once', async () => {
    const first = await takenIn('Ilva Korr');
    const again = {
      ticket: randomUUID(),
      customer: null,
      drafts: [
        intakeCommand({
          customer: first.customer,
          machine: first.machine,
          comebackOf: first.ticket,
        }),
      ],
    };
    expect(await shop.counter.call('POST', '/api/tickets', again)).toMatchObject({
      status: 409,
      body: { code: 'ticket-open' },
    });
    await record(shop.counter, first.ticket, 'price-asked', { amount: 9900, words: 'Hook' });
    const no = { agreed: false, how: 'counter', words: '' };
    await record(shop.counter, first.ticket, 'price-answered', no);
    await record(shop.technician, first.ticket, 'ticket-closed', { unrepaired: true });
    await ok(shop.counter, 'POST', '/api/tickets', again);
    await ok(shop.counter, 'POST', '/api/tickets', again);
    expect(await rackLine(first.ticket)).toMatchObject({ comebacks: 1, unrepaired: 'refused' });
    expect(await rackLine(again.ticket)).toMatchObject({
      comebackOf: first.ticket,
      customerName: 'Ilva Korr',
    });
  });
});

describe('search', () => {
  it('forgives typing errors, umlauts and gaps, and knows tag, serial and number', async () => {
    const { ticket, customer, machine } = await takenIn('Jörgen Straßfeld', {
      label: 'Violet overedge',
      serial: 'QM-7715-B',
      phone: '000 (61) 884-20',
      words: 'Der Faden reißt',
    });
    const has = async (letters: string, id: string) =>
      expect(
        (await found(letters)).map((hit) => hit.id),
        letters,
      ).toContain(id);
    for (const letters of ['jör', 'joergen', 'Jorgen', 'strasfeld', 'Straßfeld jörgen']) {
      await has(letters, customer);
    }
    for (const letters of ['violett', 'voilet', 'overedge jörgen', 'reisst']) {
      await has(letters, ticket);
    }
    for (const letters of ['qm7715b', 'QM-7715', '7715', 'violett', 'reisst']) {
      // One row for the machine, with the ticket that it stands with.
      const rows = (await found(letters)).filter((hit) => hit.machine === machine);
      expect(rows, letters).toMatchObject([{ kind: 'ticket', id: ticket, family: 'drop-in' }]);
    }
    for (const letters of ['000 61 884 20', '88420', '0006188420']) await has(letters, customer);
    const line = await rackLine(ticket);
    expect((await found(String(line?.tag)))[0]).toMatchObject({ kind: 'ticket', id: ticket });
    // What stands in the shop comes before the customer whose name fits as well.
    expect((await found('jorgen'))[0]).toMatchObject({ kind: 'ticket', id: ticket });
    expect(await found('jörgen nowhere')).toEqual([]);
    expect(await found('%_\\')).toEqual([]);
  });
});

describe('the shop’s card', () => {
  it('is changed by a lead who saw the latest', async () => {
    const before = await ok<ShopRecord>(shop.counter, 'GET', '/api/shop');
    // A shop that has said nothing is where its server is, until a lead says otherwise.
    expect(before).toEqual({
      revision: 0,
      card: { ...NEW_SHOP_PROFILE, timeZone: 'Europe/Vienna' },
      zoneAssumed: true,
    });
    const card = { ...NEW_SHOP_PROFILE, timeZone: 'Pacific/Auckland', hour: 5200 };
    const changed = { revision: 1, card, zoneAssumed: false };
    expect(await ok(shop.lead, 'POST', '/api/shop', { revision: 0, card })).toEqual(changed);
    expect((await shop.lead.call('POST', '/api/shop', { revision: 0, card })).status).toBe(409);
    expect(await ok(shop.counter, 'GET', '/api/shop')).toEqual(changed);
  });

  it('of before shops had a time zone keeps what it says, and gets the server’s', async () => {
    const db = connect(shop.server.database, shop.server.database.app, 1);
    const { timeZone: _, ...stored } = { ...NEW_SHOP_PROFILE, hour: 6100 };
    await withShop(db, shop.server.otherShop.id, (transaction) =>
      db.query('INSERT INTO shop_sheet (shop_id, revision, card) VALUES (:shop, 4, :card)', {
        replacements: { shop: shop.server.otherShop.id, card: JSON.stringify(stored) },
        transaction,
      }),
    );
    await db.close();
    const stranger = await Client.signedIn(shop.server.url, shop.server.otherShop.people.lead);
    expect(await ok(stranger, 'GET', '/api/shop')).toEqual({
      revision: 4,
      card: { ...stored, timeZone: 'Europe/Vienna' },
      zoneAssumed: true,
    });
  });

  it('refuses a time zone that no clock knows, and says where', async () => {
    const card = { ...NEW_SHOP_PROFILE, timeZone: 'Mars/Crater' };
    expect(await shop.lead.call('POST', '/api/shop', { revision: 1, card })).toMatchObject({
      status: 400,
      body: { code: 'bad-input', path: 'card.timeZone' },
    });
  });
});

describe('papers', () => {
  it('print the shop’s own days, whatever the server’s zone', () => {
    const at = '2026-03-02T11:30:00.000Z';
    const inZone = (timeZone: string) => styleOf({ ...NEW_SHOP_PROFILE, timeZone }).dayOf(at);
    expect(inZone('Pacific/Auckland')).toBe('Tue 3 Mar 2026');
    expect(inZone('Pacific/Honolulu')).toBe('Mon 2 Mar 2026');
  });

  // As CLDR writes days and money in each; thousands apart by a space everywhere (ISO 80000-1).
  it.each([
    ['en', 'Tue 3 Mar 2026', '€1\u00a0234.50', 'Bill 7'],
    ['de', 'Di., 3. März 2026', '1\u00a0234,50\u00a0€', 'Rechnung 7'],
    ['es', 'mar, 3 mar 2026', '1234,50\u00a0€', 'Factura 7'],
    ['fr', 'mar. 3 mars 2026', '1\u00a0234,50\u00a0€', 'Facture 7'],
  ] as const)('speak the shop’s language: %s', (paperLanguage, day, amount, bill) => {
    const { words, dayOf, money } = styleOf({ ...NEW_SHOP_PROFILE, paperLanguage });
    expect([dayOf('2026-03-03T11:30:00.000Z'), money(123_450), words.bill(7)]).toEqual([
      day,
      amount,
      bill,
    ]);
  });

  it.each(['tag-a7', 'tag-label', 'receipt', 'bill', 'credit', 'reminder'])(
    '%s is a PDF',
    async (paper) => {
      const { ticket } = await takenIn('Ōrā Ćosić 李');
      const { headers, bytes } = await shop.counter.read(`/api/tickets/${ticket}/papers/${paper}`);
      expect(headers.get('content-type')).toBe('application/pdf');
      expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
      expect(bytes.length).toBeGreaterThan(3_000);
    },
  );

  it('that a customer takes along opens a page of theirs, where the shop can be reached', async () => {
    const { ticket } = await takenIn('Ilva Korr');
    const linksAfter = async (paper: string) => {
      await shop.counter.read(`/api/tickets/${ticket}/papers/${paper}`);
      return (await ok<CustomerLink[]>(shop.counter, 'GET', `/api/tickets/${ticket}/links`)).length;
    };
    expect(await linksAfter('receipt')).toBe(0);
    const { revision, card } = await ok<ShopRecord>(shop.lead, 'GET', '/api/shop');
    const reached = { ...card, publicAddress: 'https://repairs.example' };
    await ok(shop.lead, 'POST', '/api/shop', { revision, card: reached });
    expect(await linksAfter('receipt')).toBe(1);
    // A tag stays in the shop.
    expect(await linksAfter('tag-a7')).toBe(1);
    await ok(shop.lead, 'POST', '/api/shop', { revision: revision + 1, card });
  });
});

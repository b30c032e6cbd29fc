import { randomUUID } from 'node:crypto';
import type { IssuedBill } from '@nodo/shop';
import { describe, expect, it } from 'vitest';
import { ok, record, useCounter } from './counter.ts';

const shop = useCounter();
const made: string[] = [];
const RATES = { hour: 6000, taxPerMille: 200, taxIncluded: false, leastFee: 3000 };

/** A machine whose repair is done and priced, to be handed out. */
async function priced(label: string): Promise<string> {
  return (await pricedOf(label)).ticket;
}

async function pricedOf(label: string, of: { readonly customer?: string } = {}) {
  const { ticket, customer } = await shop.takenIn('Pell Umbrick', { label, ...of });
  await record(shop.technician, ticket, 'part-fitted', { words: 'Needle', count: 2, each: 150 });
  await record(shop.technician, ticket, 'bill-made', {
    labourMinutes: 10,
    rates: RATES,
    currency: 'EUR',
  });
  await record(shop.technician, ticket, 'symptom-settled', {
    symptom: 'words',
    how: 'left',
    reason: 'This story is about its bill.',
  });
  await record(shop.technician, ticket, 'ticket-closed', {});
  made.push(ticket);
  return { ticket, customer };
}

const address = (ticket: string) => `/api/tickets/${ticket}/bills`;

function issue(ticket: string, body: object) {
  return ok<IssuedBill[]>(shop.counter, 'POST', address(ticket), { id: randomUUID(), ...body });
}

describe('a bill', () => {
  it('gets the next number of the shop, says what was fitted, worked and taxed, and is never changed', async () => {
    const ticket = await priced('Teal zigzag');
    const [bill] = await issue(ticket, { kind: 'bill' });
    expect(bill).toMatchObject({
      kind: 'bill',
      of: null,
      content: {
        label: 'Teal zigzag',
        parts: [{ words: 'Needle', count: 2, each: 150, amount: 300 }],
        labour: 1000,
        // 30.00 at least: 10.00 and 3.00, so 17.00 more (arithmetic); 20 % of 30.00.
        toLeastFee: 1700,
        taxes: [{ perMille: 200, net: 3000, tax: 600 }],
        total: 3600,
      },
    });
    // What is priced anew afterwards stands on no bill that was handed over.
    await record(shop.technician, ticket, 'bill-made', {
      labourMinutes: 90,
      rates: RATES,
      currency: 'EUR',
    });
    expect(await ok<IssuedBill[]>(shop.counter, 'GET', address(ticket))).toEqual([bill]);
    const again = await shop.counter.call('POST', address(ticket), {
      id: randomUUID(),
      kind: 'bill',
    });
    expect(again).toMatchObject({ status: 409, body: { code: 'bill-stands' } });
  });

  it('is corrected by a credit with its reason, and then by a new bill', async () => {
    const ticket = await priced('Red portable');
    const noBill = await shop.counter.call('POST', address(ticket), {
      id: randomUUID(),
      kind: 'credit',
      reason: 'Too early',
    });
    expect(noBill).toMatchObject({ status: 409, body: { code: 'nothing-to-credit' } });
    const [bill] = await issue(ticket, { kind: 'bill' });
    const noReason = await shop.counter.call('POST', address(ticket), {
      id: randomUUID(),
      kind: 'credit',
    });
    expect(noReason).toMatchObject({ status: 422, body: { code: 'reason-missing' } });
    const credited = await issue(ticket, { kind: 'credit', reason: 'Wrong needle' });
    expect(credited.at(-1)).toMatchObject({
      kind: 'credit',
      of: bill?.number,
      reason: 'Wrong needle',
      number: (bill?.number ?? 0) + 1,
    });
    const anew = await issue(ticket, { kind: 'bill' });
    expect(anew.map(({ kind }) => kind)).toEqual(['bill', 'credit', 'bill']);
    for (const paper of ['bill', 'credit']) {
      const { bytes } = await shop.counter.read(`/api/tickets/${ticket}/papers/${paper}`);
      expect(bytes.subarray(0, 5).toString(), paper).toBe('%PDF-');
    }
  });

  it('counts once however often it is sent, and its number leaves no gap when many ask at once', async () => {
    const tickets = await Promise.all(['Mint', 'Plum', 'Sage', 'Rose'].map(priced));
    const id = randomUUID();
    const [first = ''] = tickets;
    await Promise.all([1, 2, 3].map(() => issue(first, { id, kind: 'bill' })));
    await Promise.all(tickets.slice(1).map((ticket) => issue(ticket, { kind: 'bill' })));
    const all = await Promise.all(
      tickets.map((ticket) => ok<IssuedBill[]>(shop.counter, 'GET', address(ticket))),
    );
    expect(all.map(({ length }) => length)).toEqual([1, 1, 1, 1]);
    const ofAll = await Promise.all(
      made.map((ticket) => ok<IssuedBill[]>(shop.counter, 'GET', address(ticket))),
    );
    const numbers = ofAll
      .flatMap((bills) => bills.map(({ number }) => number))
      .sort((a, b) => a - b);
    expect(numbers).toEqual(numbers.map((_, index) => index + 1));
  });

  it('can be over several machines of one customer, and is one for all of them', async () => {
    const { ticket: first, customer } = await pricedOf('Lilac portable');
    const { ticket: second } = await pricedOf('Slate zigzag', { customer });
    const id = randomUUID();
    const body = { id, kind: 'bill', also: [second] };
    const [bill] = await issue(first, body);
    expect(bill).toMatchObject({
      tickets: [first, second],
      // Twice 30.00 and 20 % of it, each rounded by itself.
      content: {
        taxes: [{ net: 6000, tax: 1200 }],
        total: 7200,
        also: [{ label: 'Slate zigzag' }],
      },
    });
    expect(await issue(first, body)).toEqual([bill]);
    expect(await ok<IssuedBill[]>(shop.counter, 'GET', address(second))).toEqual([bill]);
    const again = await shop.counter.call('POST', address(second), { ...body, id: randomUUID() });
    expect(again).toMatchObject({ status: 409, body: { code: 'bill-stands' } });
    const other = await shop.counter.call('POST', address(first), { ...body, also: [] });
    expect(other).toMatchObject({ status: 409, body: { code: 'id-used-otherwise' } });
    const { bytes } = await shop.counter.read(`/api/tickets/${second}/papers/bill`);
    expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
    // A credit from either takes it back for both.
    await issue(second, { kind: 'credit', reason: 'One each, please' });
    const [, credit] = await ok<IssuedBill[]>(shop.counter, 'GET', address(first));
    expect(credit).toMatchObject({ kind: 'credit', of: bill?.number, tickets: [first, second] });
  });

  it('counts two records that are one person as one customer', async () => {
    const { ticket: first, customer } = await pricedOf('Khaki zigzag');
    const { ticket: second, customer: double } = await pricedOf('Coral zigzag');
    await ok(shop.counter, 'POST', `/api/customers/${double}/merged`, { into: customer });
    const [bill] = await issue(first, { kind: 'bill', also: [second] });
    expect(bill?.tickets).toEqual([first, second]);
  });

  it('is not over machines of different customers', async () => {
    const [first, second] = [await priced('Lime portable'), await priced('Rust zigzag')];
    const refused = await shop.counter.call('POST', address(first), {
      id: randomUUID(),
      kind: 'bill',
      also: [second],
    });
    expect(refused).toMatchObject({ status: 409, body: { code: 'not-one-customer' } });
  });

  it('waits for the end of the work and for a price', async () => {
    const { ticket } = await shop.takenIn('Ansa Vire');
    const open = await shop.counter.call('POST', address(ticket), {
      id: randomUUID(),
      kind: 'bill',
    });
    expect(open).toMatchObject({ status: 409, body: { code: 'ticket-open' } });
  });
});

import { randomUUID } from 'node:crypto';
import type { DaySheet, Sale, ShopRecord } from '@nodo/api';
import { dayAfter, dayOf, toDay } from '@nodo/kernel';
import { describe, expect, it } from 'vitest';
import { ok, record, useCounter } from './counter.ts';
import { asSuper } from './database.ts';
import { commandOf } from './shop.ts';

const shop = useCounter();
const { takenIn } = shop;
const rates = { hour: 6000, taxPerMille: 190, taxIncluded: true };
const price = { labourMinutes: 30, rates, currency: 'EUR' };

/** The day on which the entries of these tests are made, whenever they arrive. */
const DAY = toDay('2026-03-02');
const sheetOf = (day: string) => ok<DaySheet>(shop.counter, 'GET', `/api/days/${day}`);

async function closed(name: string): Promise<string> {
  const { ticket } = await takenIn(name);
  await record(shop.technician, ticket, 'ticket-closed', { unrepaired: true, why: 'no-part' });
  return ticket;
}

describe('the sheet of a day', () => {
  it('has what came, what went, and what was paid by which way', async () => {
    const [one, other] = [await closed('Ilva Korr'), await closed('Pell Umbrick')];
    await record(shop.counter, one, 'bill-made', price);
    await record(shop.counter, one, 'payment-taken', { how: 'cash', amount: 1000 });
    await record(shop.counter, one, 'machine-collected', { withoutBill: 'Wants none.' });
    await record(shop.counter, one, 'payment-taken', { how: 'card', amount: 500 });
    const sheet = await sheetOf(DAY);
    expect(sheet.takenIn.map(({ line }) => line.ticket)).toEqual(
      expect.arrayContaining([one, other]),
    );
    expect(sheet.handedOut).toMatchObject([
      { line: { ticket: one, total: 3000, due: 1500 }, withoutBill: 'Wants none.' },
    ]);
    expect(sheet.takings).toEqual({ cash: 1000, card: 500, transfer: 0 });
    await record(shop.counter, one, 'payment-returned', { how: 'cash', amount: 200 });
    const { payments, takings } = await sheetOf(DAY);
    expect(payments.map(({ how, amount }) => `${how} ${amount}`)).toEqual([
      'cash 1000',
      'card 500',
      'cash -200',
    ]);
    expect(takings.cash).toBe(800);
  });

  it('leaves out what was undone, and the days before and after', async () => {
    const ticket = await closed('Edda Quill');
    await record(shop.counter, ticket, 'bill-made', price);
    const before = (await sheetOf(DAY)).takings.transfer;
    const paid = commandOf('payment-taken', { how: 'transfer', amount: 3000 });
    await ok(shop.counter, 'POST', `/api/tickets/${ticket}/events`, paid);
    expect((await sheetOf(DAY)).takings.transfer).toBe(before + 3000);
    await record(shop.counter, ticket, 'entry-corrected', { corrects: paid.id });
    expect((await sheetOf(DAY)).takings.transfer).toBe(before);
    for (const ahead of [-1, 1]) {
      const other = await sheetOf(dayAfter(DAY, ahead));
      expect([other.takenIn, other.handedOut, other.payments]).toEqual([[], [], []]);
    }
  });

  it('has what was sold without a ticket in the takings of its day', async () => {
    const { card } = await ok<ShopRecord>(shop.counter, 'GET', '/api/shop');
    const day = dayOf(new Date().toISOString(), card.timeZone);
    const before = await sheetOf(day);
    const lines = [
      { words: 'Needles, pack of five', count: 2, each: 550 },
      { words: 'Oil', count: 1, each: 400 },
    ];
    const sold = { id: randomUUID(), lines, how: 'card' };
    const path = '/api/sales';
    expect(await ok<Sale>(shop.counter, 'POST', path, sold)).toMatchObject({ total: 1500 });
    expect(await ok<Sale>(shop.counter, 'POST', path, sold)).toMatchObject({ total: 1500 });
    expect(await shop.counter.call('POST', path, { ...sold, how: 'cash' })).toMatchObject({
      status: 409,
    });
    const taxed = { perMille: card.taxPerMille, included: card.taxIncluded };
    const { bytes } = await shop.counter.read(`${path}/${sold.id}/receipt`);
    expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
    const after = await sheetOf(day);
    expect(after.sales.at(-1)).toMatchObject({ taxed });
    expect(after.sales.slice(before.sales.length)).toMatchObject([sold]);
    expect(after.takings.card).toBe(before.takings.card + 1500);
    expect(await shop.counter.call('POST', path, { ...sold, lines: [] })).toMatchObject({
      status: 400,
      body: { code: 'bad-input', path: 'lines' },
    });
  });

  it('keeps each count of the till beside what was taken, for good', async () => {
    const { takings } = await sheetOf(DAY);
    const count = { id: randomUUID(), counted: 4200, note: 'With the float.' };
    const path = `/api/days/${DAY}/counts`;
    const kept = await ok<DaySheet>(shop.counter, 'POST', path, count);
    expect(kept.counts).toMatchObject([{ ...count, taken: takings.cash }]);
    // Sent twice it stands once; the same id for another sum is refused.
    expect((await ok<DaySheet>(shop.counter, 'POST', path, count)).counts).toHaveLength(1);
    expect(await shop.counter.call('POST', path, { ...count, counted: 1 })).toMatchObject({
      status: 409,
      body: { code: 'id-used-otherwise' },
    });
    for (const statement of ['update till_count set counted = 1', 'delete from till_count']) {
      await expect(asSuper(shop.server.database.name, statement)).rejects.toThrow();
    }
  });

  it('is of a day of the calendar', async () => {
    expect(await shop.counter.call('GET', '/api/days/2026-02-30')).toMatchObject({
      status: 400,
      body: { code: 'bad-input' },
    });
  });
});

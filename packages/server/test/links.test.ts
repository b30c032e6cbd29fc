import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { useCounter } from './counter.ts';
import { Client } from './server.ts';
import { commandOf, intakeCommand } from './shop.ts';

const shop = useCounter();

const newTicket = async (): Promise<string> => {
  const ticket = randomUUID();
  await shop.lead.call('POST', '/api/tickets', {
    ticket,
    customer: null,
    drafts: [intakeCommand()],
  });
  return ticket;
};

describe('a link for a customer', () => {
  const open = (token: string) => new Client(shop.server.url).call('GET', `/api/shared/${token}`);
  const make = async (ticket: string) =>
    (await shop.lead.call('POST', `/api/tickets/${ticket}/links`, { days: 7 })).body as {
      link: { id: string };
      token: string;
    };

  it('shows what a customer may see, and nothing else', async () => {
    const ticket = randomUUID();
    const customer = { id: randomUUID(), name: 'Wenna Trosk', phone: '0555 0100' };
    await shop.lead.call('POST', '/api/tickets', {
      ticket,
      customer,
      drafts: [intakeCommand({ customer: customer.id, words: 'It skips.' })],
    });
    await shop.lead.call(
      'POST',
      `/api/tickets/${ticket}/events`,
      commandOf('observation-noted', { words: 'An inside remark' }),
    );
    await shop.lead.call(
      'POST',
      `/api/tickets/${ticket}/events`,
      commandOf('action-done', { action: 'path-dressed', note: 'Smoothed' }),
    );
    const { token } = await make(ticket);
    const { status, body } = await open(token);
    expect(status).toBe(200);
    expect(body).toEqual({
      shop: 'Bench Nowhere',
      family: 'drop-in',
      phone: '',
      openingHours: '',
      currency: 'EUR',
      timeZone: 'Europe/Vienna',
      unrepaired: null,
      promised: null,
      asked: null,
      bill: null,
      label: 'Teal zigzag',
      words: 'It skips.',
      state: 'at-the-bench',
      takenInAt: expect.any(String) as string,
      changedAt: expect.any(String) as string,
      done: expect.any(Array) as string[],
      until: expect.any(String) as string,
    });
    expect((body as { done: string[] }).done).toHaveLength(1);
  });

  it('holds until it is revoked, and is not guessed', async () => {
    const ticket = await newTicket();
    const { link, token } = await make(ticket);
    expect((await open(token)).status).toBe(200);
    // The nearest guess there is: one letter differs.
    const guess = token.slice(0, -1) + (token.endsWith('A') ? 'B' : 'A');
    expect((await open(guess)).status).toBe(404);
    await shop.lead.call('DELETE', `/api/tickets/${ticket}/links/${link.id}`);
    expect(await open(token)).toMatchObject({ status: 404, body: { code: 'no-such-link' } });
  });

  it('is of no use to another shop', async () => {
    const ticket = await newTicket();
    const { link } = await make(ticket);
    const stranger = await Client.signedIn(shop.server.url, shop.server.otherShop.people.lead);
    expect((await stranger.call('GET', `/api/tickets/${ticket}/links`)).body).toEqual([]);
    const revoked = await stranger.call('DELETE', `/api/tickets/${ticket}/links/${link.id}`);
    expect(revoked.status).toBe(404);
    const made = await stranger.call('POST', `/api/tickets/${ticket}/links`, { days: 7 });
    expect(made.status).toBe(404);
  });
});

import { ENDPOINTS } from '@nodo/api';
import { refuse } from '@nodo/kernel';
import { type BillContent, billContentOf, jointContent } from '@nodo/shop';
import { beginsTicket, type TicketEvent } from '@nodo/ticket';
import type { Express } from 'express';
import type { Auth } from '../auth/auth.ts';
import { route } from '../http/route.ts';
import type { EventStore } from '../store/port.ts';
import type { Profiles } from './profiles.ts';
import { ticketWithCard } from './ticketWithCard.ts';

/** Bills that are handed over, and the credits that correct them. */
export function billRoutes(
  app: Express,
  { people, audit }: Auth,
  { bills, sheets }: Pick<Profiles, 'bills' | 'sheets'>,
  store: EventStore,
  now: () => Date,
): void {
  route(app, people, ENDPOINTS.readBills, async ({ params, session }) => ({
    ok: true,
    answer: [...(await bills.of(session.shop.id, params.ticket))],
  }));

  route(app, people, ENDPOINTS.issueBill, async ({ params, body, session }) => {
    const { id: shop, name } = session.shop;
    if (body.kind === 'credit' && body.reason === '') {
      return { ok: false, refusal: refuse('reason-missing', 'reason') };
    }
    const asked = body.kind === 'bill' ? new Set([params.ticket, ...body.also]) : [params.ticket];
    const read = await Promise.all(
      [...asked].map((ticket) => ticketWithCard(store, sheets, shop, ticket)),
    );
    const contents: BillContent[] = [];
    for (const { ticket, model, card } of read) {
      if (!model) return { ok: false, refusal: refuse('no-such-ticket', 'ticket') };
      if (ticket.status === 'open') return { ok: false, refusal: refuse('ticket-open', 'ticket') };
      const content = billContentOf(ticket, model, name, card);
      if (content) contents.push(content);
    }
    if (read.length > 1) {
      // Two records that were found to be one person are one customer.
      const brought = read.flatMap(({ events: [first] }) => customerOf(first) ?? []);
      const known = await store.customers(shop, brought);
      const one = new Set(brought.map((customer) => known.get(customer)?.id));
      if (brought.length < read.length || one.size > 1 || one.has(undefined)) {
        return { ok: false, refusal: refuse('not-one-customer', 'also') };
      }
    }
    const [first, ...others] = contents;
    const content = first && contents.length === read.length && jointContent(first, others);
    if (first && contents.length === read.length && !content) {
      return { ok: false, refusal: refuse('prices-differ', 'also') };
    }
    const issued = await bills.issue(shop, params.ticket, {
      ...body,
      also: [...asked].slice(1),
      by: session.person.id,
      at: now(),
      content: content || undefined,
    });
    if (issued !== 'issued') return { ok: false, refusal: refuse(issued, 'kind') };
    for (const ticket of asked) {
      await audit.note({ shop, person: session.person.id, what: 'bill-issued', ticket });
    }
    return { ok: true, answer: [...(await bills.of(shop, params.ticket))] };
  });
}

function customerOf(first: TicketEvent | undefined): string | null {
  return first && beginsTicket(first) ? first.body.customer : null;
}

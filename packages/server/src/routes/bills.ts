import { ENDPOINTS } from '@nodo/api';
import { refuse } from '@nodo/kernel';
import { billContentOf } from '@nodo/shop';
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
    const { ticket, model, card } = await ticketWithCard(store, sheets, shop, params.ticket);
    if (!model) return { ok: false, refusal: refuse('no-such-ticket', 'ticket') };
    if (ticket.status === 'open') return { ok: false, refusal: refuse('ticket-open', 'ticket') };
    if (body.kind === 'credit' && body.reason === '') {
      return { ok: false, refusal: refuse('reason-missing', 'reason') };
    }
    const issued = await bills.issue(shop, params.ticket, {
      ...body,
      by: session.person.id,
      at: now(),
      content: billContentOf(ticket, model, name, card),
    });
    if (issued !== 'issued') return { ok: false, refusal: refuse(issued, 'kind') };
    await audit.note({
      shop,
      person: session.person.id,
      what: 'bill-issued',
      ticket: params.ticket,
    });
    return { ok: true, answer: [...(await bills.of(shop, params.ticket))] };
  });
}

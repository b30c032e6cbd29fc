import {
  beginsTicket,
  type Customer,
  type Draft,
  ENDPOINTS,
  refuse,
  type Session,
  type TicketFile,
} from '@nodo/contract';
import type { Express } from 'express';
import type { People } from '../auth/people.ts';
import { route } from '../http/route.ts';
import type { PhotoStore } from '../photos/photoStore.ts';
import type { EventStore } from '../store/port.ts';
import { type Recorded, recordDrafts } from '../store/record.ts';

export function ticketRoutes(
  app: Express,
  people: People,
  store: EventStore,
  photos: PhotoStore,
  now: () => Date,
): void {
  const fileOf = async (shop: string, ticket: string): Promise<TicketFile | undefined> => {
    const events = await store.load(shop, ticket);
    const first = events[0];
    if (!first || !beginsTicket(first)) return undefined;
    const { customer } = first.body;
    return {
      ticket,
      events: [...events],
      customer: (customer !== null && (await store.customer(shop, customer))) || null,
    };
  };

  /** For the one who is signed in. What names a photo waits until the photo is kept. */
  const record = async (
    { shop, person }: Session,
    ticket: string,
    drafts: readonly Draft[],
    customer?: Customer,
  ): Promise<Recorded> => {
    for (const { type, command } of drafts) {
      if (type === 'photo-kept' && !(await photos.has(shop.id, command.photo))) {
        return { ok: false, refusal: refuse('no-such-photo', 'command.photo') };
      }
    }
    const actor = { person: person.id, role: person.role };
    const request = { shop: shop.id, ticket, drafts, actor, ...(customer ? { customer } : {}) };
    return recordDrafts(store, request, now);
  };

  route(app, people, ENDPOINTS.listTickets, async ({ session }) => ({
    ok: true,
    answer: [...(await store.rack(session.shop.id))],
  }));

  route(app, people, ENDPOINTS.readTicket, async ({ params, session }) => {
    const file = await fileOf(session.shop.id, params.ticket);
    return file
      ? { ok: true, answer: file }
      : { ok: false, refusal: refuse('no-such-ticket', 'params.ticket') };
  });

  route(app, people, ENDPOINTS.takeIn, async ({ body, session }) => {
    const [first] = body.drafts;
    const customer = body.customer?.id ?? null;
    if (!first || !beginsTicket(first) || first.command.customer !== customer) {
      return { ok: false, refusal: refuse('bad-input', 'drafts.0') };
    }
    const recorded = await record(session, body.ticket, body.drafts, body.customer ?? undefined);
    if (!recorded.ok) return recorded;
    return { ok: true, answer: (await fileOf(session.shop.id, body.ticket)) as TicketFile };
  });

  route(app, people, ENDPOINTS.recordEvent, async ({ params, body, session }) => {
    if (beginsTicket(body)) return { ok: false, refusal: refuse('bad-input', 'type') };
    const recorded = await record(session, params.ticket, [body]);
    if (!recorded.ok) return recorded;
    const [event] = recorded.events;
    return event
      ? { ok: true, answer: event }
      : { ok: false, refusal: refuse('no-such-ticket', 'params.ticket') };
  });
}

import {
  type Actor,
  beginsTicket,
  type Customer,
  type Draft,
  ENDPOINTS,
  refuse,
  type TicketFile,
} from '@nodo/contract';
import type { Express } from 'express';
import type { Auth } from '../auth/auth.ts';
import type { Caller } from '../auth/people.ts';
import { identityOf, route } from '../http/route.ts';
import type { PhotoStore } from '../photos/photoStore.ts';
import { inTurn } from '../store/inTurn.ts';
import type { EventStore } from '../store/port.ts';
import { type Recorded, recordDrafts } from '../store/record.ts';

export function ticketRoutes(
  app: Express,
  { people, audit }: Auth,
  store: EventStore,
  photos: PhotoStore,
  now: () => Date,
): void {
  const oneByOne = inTurn();
  const filesOf = async (shop: string, ids: readonly string[]): Promise<TicketFile[]> => {
    const events = await store.loadAll(shop, ids);
    const customers = await store.customers(
      shop,
      events.flatMap((event) => (beginsTicket(event) ? (event.body.customer ?? []) : [])),
    );
    return ids.flatMap((ticket) => {
      const own = events.filter((event) => event.ticket === ticket);
      const [first] = own;
      if (!first || !beginsTicket(first)) return [];
      const customer = customers.find(({ id }) => id === first.body.customer) ?? null;
      return [{ ticket, events: own, customer }];
    });
  };
  const fileOf = async (shop: string, ticket: string): Promise<TicketFile | undefined> =>
    (await filesOf(shop, [ticket]))[0];

  /** What names a photo waits until the photo is kept. */
  const record = async (
    shop: string,
    ticket: string,
    drafts: readonly Draft[],
    actor: Actor,
    customer?: Customer,
  ): Promise<Recorded> => {
    for (const { type, command } of drafts) {
      if (type === 'photo-kept' && !(await photos.has(shop, command.photo))) {
        return { ok: false, refusal: refuse('no-such-photo', 'command.photo') };
      }
    }
    const request = { shop, ticket, drafts, actor, ...(customer ? { customer } : {}) };
    return oneByOne(`${shop} ${ticket}`, () => recordDrafts(store, request, now));
  };
  const caller = ({ person }: Caller): Actor => ({ person: person.id, role: person.role });

  route(app, people, ENDPOINTS.listTickets, async ({ session }) => ({
    ok: true,
    answer: [...(await store.rack(session.shop.id))],
  }));

  route(app, people, ENDPOINTS.openTickets, async ({ session }) => {
    const shop = session.shop.id;
    const answer = await filesOf(shop, await store.ticketIds(shop, 'open'));
    await audit.note({ shop, person: session.person.id, what: 'tickets-kept' });
    return { ok: true, answer };
  });

  route(app, people, ENDPOINTS.readTicket, async ({ params, session }) => {
    const { ticket } = params;
    const shop = session.shop.id;
    const file = await fileOf(shop, ticket);
    if (!file) return { ok: false, refusal: refuse('no-such-ticket', 'params.ticket') };
    await audit.note({ shop, person: session.person.id, what: 'ticket-read', ticket });
    return { ok: true, answer: file };
  });

  route(app, people, ENDPOINTS.takeIn, async ({ body, session }) => {
    const [first] = body.drafts;
    const customer = body.customer?.id ?? null;
    if (!first || !beginsTicket(first) || first.command.customer !== customer) {
      return { ok: false, refusal: refuse('bad-input', 'drafts.0') };
    }
    const shop = session.shop.id;
    const told = body.customer ?? undefined;
    const recorded = await record(shop, body.ticket, body.drafts, caller(session), told);
    if (!recorded.ok) return recorded;
    return { ok: true, answer: (await fileOf(shop, body.ticket)) as TicketFile };
  });

  route(app, people, ENDPOINTS.recordEvent, async ({ params, body, session, request }) => {
    if (beginsTicket(body)) return { ok: false, refusal: refuse('bad-input', 'type') };
    // An entry stays with the person who made it, whoever stands at the screen when it is sent.
    const { by = session.person.id } = body;
    const identity = identityOf(request);
    const actor =
      by === session.person.id
        ? caller(session)
        : identity && (await people.atScreen(identity, by));
    if (!actor) return { ok: false, refusal: refuse('not-at-this-screen', 'by') };
    const recorded = await record(session.shop.id, params.ticket, [body], actor);
    if (!recorded.ok) return recorded;
    const [event] = recorded.events;
    return event
      ? { ok: true, answer: event }
      : { ok: false, refusal: refuse('no-such-ticket', 'params.ticket') };
  });
}

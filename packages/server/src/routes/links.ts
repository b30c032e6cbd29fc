import { ENDPOINTS } from '@nodo/api';
import { refuse } from '@nodo/kernel';
import { foldTicket, modelOfTicket, viewForCustomer } from '@nodo/ticket';
import type { Express } from 'express';
import type { Auth } from '../auth/auth.ts';
import { route } from '../http/route.ts';
import type { EventStore } from '../store/port.ts';
import { versionIn } from '../store/record.ts';
import type { Profiles } from './profiles.ts';

/** Links by which a customer follows one ticket, and what they show. */
export function linkRoutes(
  app: Express,
  auth: Auth,
  { sheets }: Pick<Profiles, 'sheets'>,
  store: EventStore,
): void {
  const { people, links, audit } = auth;
  const noLink = (path: string) => ({ ok: false, refusal: refuse('no-such-link', path) }) as const;

  route(app, people, ENDPOINTS.listLinks, async ({ params: { ticket }, session }) => {
    const shop = session.shop.id;
    const answer = await links.list(shop, ticket);
    await audit.note({ shop, person: session.person.id, what: 'links-read', ticket });
    return { ok: true, answer };
  });

  route(app, people, ENDPOINTS.makeLink, async ({ params, body, session }) => {
    const shop = session.shop.id;
    const { ticket } = params;
    if ((await store.load(shop, ticket)).length === 0) {
      return { ok: false, refusal: refuse('no-such-ticket', 'params.ticket') };
    }
    const made = await links.make(shop, ticket, session.person.id, body.days);
    await audit.note({ shop, person: session.person.id, what: 'link-made', ticket });
    return { ok: true, answer: made };
  });

  route(app, people, ENDPOINTS.revokeLink, async ({ params, session }) => {
    const shop = session.shop.id;
    const { ticket } = params;
    if (!(await links.revoke(shop, ticket, params.link))) return noLink('params.link');
    await audit.note({ shop, person: session.person.id, what: 'link-revoked', ticket });
    return { ok: true, answer: {} };
  });

  route(app, people, ENDPOINTS.readShared, async ({ params }) => {
    const opened = await links.open(params.token);
    if (!opened) return noLink('params.token');
    const { shop, ticket: id, until } = opened;
    const [events, version, name, { card }] = await Promise.all([
      store.load(shop, id),
      versionIn(store, shop),
      people.shopName(shop),
      sheets.read(shop),
    ]);
    const ticket = foldTicket(id, events);
    const model = modelOfTicket(ticket, version);
    const view = model && viewForCustomer(ticket, model);
    if (!view) return noLink('params.token');
    await audit.note({ shop, person: null, what: 'link-read', ticket: id });
    return {
      ok: true,
      answer: {
        ...view,
        shop: name,
        phone: card.phone,
        openingHours: card.openingHours,
        currency: card.currency,
        timeZone: card.timeZone,
        until: until.toISOString(),
      },
    };
  });
}

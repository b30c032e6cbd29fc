import { ENDPOINTS } from '@nodo/api';
import { refuse } from '@nodo/kernel';
import type { Express } from 'express';
import type { Auth } from '../auth/auth.ts';
import { promisedDays } from '../calendars/promisedDays.ts';
import { route } from '../http/route.ts';
import type { EventStore } from '../store/port.ts';

/** Addresses that calendars read, and what they read there. */
export function calendarRoutes(
  app: Express,
  { people, audit, feeds }: Auth,
  store: EventStore,
): void {
  const none = (path: string) => ({ ok: false, refusal: refuse('no-such-link', path) }) as const;

  route(app, people, ENDPOINTS.listFeeds, async ({ session }) => ({
    ok: true,
    answer: await feeds.list(session.shop.id),
  }));

  route(app, people, ENDPOINTS.makeFeed, async ({ body, session: { shop, person } }) => {
    const made = await feeds.make(shop.id, body.what, person.id);
    await audit.note({ shop: shop.id, person: person.id, what: 'calendar-made' });
    return { ok: true, answer: made };
  });

  route(app, people, ENDPOINTS.revokeFeed, async ({ params, session: { shop, person } }) => {
    if (!(await feeds.revoke(shop.id, params.feed))) return none('params.feed');
    await audit.note({ shop: shop.id, person: person.id, what: 'calendar-revoked' });
    return { ok: true, answer: {} };
  });

  route(app, people, ENDPOINTS.readFeed, async ({ params, response }) => {
    const opened = await feeds.open(params.token);
    if (!opened) return none('params.token');
    const [name, rack] = await Promise.all([people.shopName(opened.shop), store.rack(opened.shop)]);
    response.set('content-type', 'text/calendar; charset=utf-8').end(promisedDays(name, rack));
    return 'answered';
  });
}

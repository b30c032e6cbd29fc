import { ENDPOINTS } from '@nodo/api';
import type { Express } from 'express';
import type { Sequelize } from 'sequelize';
import type { Auth } from '../auth/auth.ts';
import { rackFor } from '../http/names.ts';
import { route } from '../http/route.ts';
import { search } from '../search/search.ts';
import type { EventStore } from '../store/port.ts';

/** Rows of a page of what was fetched. */
const PAGE = 50;

/** Finding what is not in front of one: by letters, or far back in time. */
export function searchRoutes(
  app: Express,
  { people, audit }: Auth,
  db: Sequelize,
  store: EventStore,
): void {
  route(app, people, ENDPOINTS.search, async ({ params, session }) => {
    const { shop, person } = session;
    // Nothing is answered before it is noted who looked.
    const [answer] = await Promise.all([
      search(db, shop.id, params.find),
      audit.note({ shop: shop.id, person: person.id, what: 'searched' }),
    ]);
    return { ok: true, answer };
  });

  route(app, people, ENDPOINTS.listCollected, async ({ params, session }) => {
    const [at, id] = params.before?.split(' ') ?? [];
    const before = at !== undefined && id !== undefined ? { at, id } : undefined;
    const entries = await store.collected(session.shop.id, before, PAGE);
    const last = entries.at(-1);
    const next =
      last && entries.length === PAGE
        ? `${last.collectedAt ?? last.changedAt} ${last.ticket}`
        : null;
    return { ok: true, answer: { entries: rackFor(session.person.role, entries), next } };
  });
}

import { ENDPOINTS } from '@nodo/api';
import type { Express } from 'express';
import type { People } from '../auth/people.ts';
import { route } from '../http/route.ts';
import type { EventStore } from '../store/port.ts';
import { recordTables } from '../store/recordTables.ts';

export function tablesRoutes(
  app: Express,
  people: People,
  store: EventStore,
  now: () => Date,
): void {
  route(app, people, ENDPOINTS.readTables, async ({ session }) => ({
    ok: true,
    answer: [...(await store.tableEvents(session.shop.id))],
  }));

  route(app, people, ENDPOINTS.listCandidates, async ({ session }) => ({
    ok: true,
    answer: [...(await store.candidates(session.shop.id))],
  }));

  route(app, people, ENDPOINTS.recordTableEvent, async ({ body, session: { shop, person } }) => {
    const actor = { person: person.id, role: person.role };
    const recorded = await recordTables(store, { shop: shop.id, command: body, actor }, now);
    return recorded.ok ? { ok: true, answer: recorded.event } : recorded;
  });
}

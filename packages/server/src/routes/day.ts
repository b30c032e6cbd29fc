import { ENDPOINTS } from '@nodo/api';
import type { Express } from 'express';
import type { People } from '../auth/people.ts';
import { route } from '../http/route.ts';
import type { Profiles } from './profiles.ts';

/** What a day came to, for whoever closes the shop in the evening. */
export function dayRoutes(
  app: Express,
  people: People,
  { days, sheets }: Pick<Profiles, 'days' | 'sheets'>,
): void {
  route(app, people, ENDPOINTS.readDaySheet, async ({ params, session }) => {
    const shop = session.shop.id;
    const { card } = await sheets.read(shop);
    return { ok: true, answer: await days.of(shop, params.day, card.timeZone) };
  });
}

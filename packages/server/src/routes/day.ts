import { ENDPOINTS } from '@nodo/api';
import { dayOf, refuse } from '@nodo/kernel';
import { saleOf } from '@nodo/shop';
import type { Express } from 'express';
import type { Auth } from '../auth/auth.ts';
import { printedSale } from '../documents/saleReceipt.ts';
import { route } from '../http/route.ts';
import type { Profiles } from './profiles.ts';

/** What a day came to, for whoever closes the shop in the evening. */
export function dayRoutes(
  app: Express,
  { people, audit }: Pick<Auth, 'people' | 'audit'>,
  { days, sheets }: Pick<Profiles, 'days' | 'sheets'>,
  now: () => Date,
): void {
  route(app, people, ENDPOINTS.readDaySheet, async ({ params, session }) => {
    const shop = session.shop.id;
    const { card } = await sheets.read(shop);
    return { ok: true, answer: await days.of(shop, params.day, card.timeZone) };
  });

  route(app, people, ENDPOINTS.makeSale, async ({ body, session }) => {
    const shop = session.shop.id;
    const { card } = await sheets.read(shop);
    const [at, by] = [now(), session.person.id];
    const day = dayOf(at.toISOString(), card.timeZone);
    const sale = await days.sell(shop, body, saleOf(body.lines, card), { by, at, day });
    if (!sale) return { ok: false, refusal: refuse('id-used-otherwise', 'id') };
    await audit.note({ shop, person: by, what: 'sale-made' });
    return { ok: true, answer: sale };
  });

  route(app, people, ENDPOINTS.countTill, async ({ params, body, session }) => {
    const shop = session.shop.id;
    const { card } = await sheets.read(shop);
    const by = session.person.id;
    const of = { day: params.day, zone: card.timeZone };
    const sheet = await days.count(shop, of, body, { by, at: now() });
    if (!sheet) return { ok: false, refusal: refuse('id-used-otherwise', 'id') };
    await audit.note({ shop, person: by, what: 'till-counted' });
    return { ok: true, answer: sheet };
  });

  route(app, people, ENDPOINTS.readSaleReceipt, async ({ params, session, response }) => {
    const { id: shop, name } = session.shop;
    const { card } = await sheets.read(shop);
    const sale = await days.sale(shop, params.sale);
    if (!sale) return { ok: false, refusal: refuse('no-such-sale', 'params.sale') };
    response
      .type('application/pdf')
      .set('content-disposition', 'inline; filename="receipt.pdf"')
      .end(await printedSale(name, card, sale));
    return 'answered';
  });
}

import { type DocumentKind, ENDPOINTS, type Reach } from '@nodo/api';
import { refuse } from '@nodo/kernel';
import { billContentOf, type ShopProfile } from '@nodo/shop';
import { beginsTicket } from '@nodo/ticket';
import type { Express } from 'express';
import type { Auth } from '../auth/auth.ts';
import type { Caller } from '../auth/people.ts';
import { printed } from '../documents/documents.ts';
import { printedSampleCard } from '../documents/sampleCard.ts';
import { route } from '../http/route.ts';
import type { PhotoStore } from '../photos/photoStore.ts';
import type { EventStore } from '../store/port.ts';
import type { Profiles } from './profiles.ts';
import { ticketWithCard } from './ticketWithCard.ts';

/** Tags, receipts and bills as PDF. */
export function documentRoutes(
  app: Express,
  { people, audit, links }: Auth,
  { bills, sheets }: Pick<Profiles, 'bills' | 'sheets'>,
  store: EventStore,
  photos: PhotoStore,
  reach: Reach | null,
  now: () => Date,
): void {
  /** A link of its own for each paper that a customer takes along, good as long as the paper. */
  const customersPage = async (
    card: ShopProfile,
    { ticket, paper }: { readonly ticket: string; readonly paper: DocumentKind },
    { shop, person }: Caller,
  ): Promise<string | undefined> => {
    const days = termOf(paper, card);
    if (card.publicAddress === '' || days === undefined) return undefined;
    const { token } = await links.make(shop.id, ticket, person.id, days);
    await audit.note({ shop: shop.id, person: person.id, what: 'link-made', ticket });
    return `${card.publicAddress}/shared/${token}`;
  };

  // It says nothing of the shop.
  route(app, people, ENDPOINTS.readSampleCard, async ({ response }) => {
    response
      .type('application/pdf')
      .set('content-disposition', 'inline; filename="scale-card.pdf"')
      .end(await printedSampleCard());
    return 'answered';
  });

  route(app, people, ENDPOINTS.readPaper, async ({ params, session, request, response }) => {
    const { id: shop, name } = session.shop;
    const { events, ticket, model, card } = await ticketWithCard(
      store,
      sheets,
      shop,
      params.ticket,
    );
    const [first] = events;
    if (!model || !first || !beginsTicket(first) || ticket.intake?.tag === undefined) {
      return { ok: false, refusal: refuse('no-such-ticket', 'params.ticket') };
    }
    const customers = await store.customers(shop, [first.body.customer ?? ''].filter(Boolean));
    const signed = ticket.life.signed.findLast(({ what }) => what === 'intake');
    // What the code opens: where the other devices find it, or else where this one did.
    const here = reach?.address ?? `${request.protocol}://${request.get('host') ?? ''}`;
    const pdf = await printed(params.paper, {
      shop: name,
      at: now(),
      card,
      ticket,
      model,
      customer: customers.get(first.body.customer ?? '') ?? null,
      bills: await bills.of(shop, params.ticket),
      content: billContentOf(ticket, model, name, card),
      address: `${here}/t/${params.ticket}`,
      page: await customersPage(card, params, session),
      // A paper without it is better than none.
      signature: signed && (await photos.read(shop, signed.photo).catch(() => undefined)),
    });
    const { ticket: id } = params;
    await audit.note({ shop, person: session.person.id, what: 'paper-read', ticket: id });
    response
      .type('application/pdf')
      .set('content-disposition', `inline; filename="${ticket.intake.tag}-${params.paper}.pdf"`)
      .end(pdf);
    return 'answered';
  });
}

/** For how many days a paper is of use to whoever takes it along; undefined for those that stay in the shop. */
function termOf(
  paper: DocumentKind,
  { usualDays, uncollectedDays, warrantyDays }: ShopProfile,
): number | undefined {
  switch (paper) {
    case 'receipt':
    case 'reminder':
      return usualDays + uncollectedDays;
    case 'bill':
    case 'credit':
      return Math.max(1, warrantyDays);
    case 'tag-a7':
    case 'tag-label':
    case 'needle-card':
      return undefined;
  }
}

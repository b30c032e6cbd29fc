import type { FamilyModel } from '@nodo/knowledge';
import type { ShopProfile } from '@nodo/shop';
import { foldTicket, modelOfTicket, type Ticket, type TicketEvent } from '@nodo/ticket';
import type { ShopProfiles } from '../profiles/shopProfiles.ts';
import type { EventStore } from '../store/port.ts';
import { versionIn } from '../store/record.ts';

/** A ticket with the tables of its machine, undefined without one, and what holds for the shop. */
export async function ticketWithCard(
  store: EventStore,
  sheets: ShopProfiles,
  shop: string,
  id: string,
): Promise<{
  readonly events: readonly TicketEvent[];
  readonly ticket: Ticket;
  readonly model: FamilyModel | undefined;
  readonly card: ShopProfile;
}> {
  const [events, version, { card }] = await Promise.all([
    store.load(shop, id),
    versionIn(store, shop),
    sheets.read(shop),
  ]);
  const ticket = foldTicket(id, events);
  return { events, ticket, model: modelOfTicket(ticket, version), card };
}
